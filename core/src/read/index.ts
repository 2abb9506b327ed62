export * from './entries.ts';
export * from './decode.ts';
export * from './table.ts';
export * from './mapping.ts';
export * from './value.ts';
export * from './interpret.ts';
export * from './missing.ts';
export * from './report.ts';
