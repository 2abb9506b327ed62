export * from './entries.ts';
export * from './depth.ts';
export * from './agreement.ts';
export * from './question.ts';
export * from './steel-tape.ts';
export * from './level.ts';
export * from './words.ts';
export { tolerances, type Tolerances } from './tables/tolerances.ts';
export * from './endpoints.ts';
