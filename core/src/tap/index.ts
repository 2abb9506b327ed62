export * from './entries.ts';
export * from './protocol.ts';
export * from './run.ts';
export { protocols } from './tables/index.ts';
export * from './words.ts';
