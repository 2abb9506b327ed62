export * from './problem.ts';
export * from './timing.ts';
export * from './solve.ts';
export { mostExact } from './exact.ts';
