export type { CheckRow, Tolerance } from './tables/checks.ts';
export type { PackRow } from './tables/packing.ts';
export * from './check.ts';
export * from './packing.ts';
export * from './entries.ts';
export * from './prepare.ts';
export * from './endpoints.ts';
export * from './words.ts';
