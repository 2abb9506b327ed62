export { copyDatabase, faultsOfFile } from './copy.ts';
export * from './dialect.ts';
export * from './faults.ts';
export { makerOf } from './file.ts';
export * from './generation.ts';
export * from './schema.ts';
export * from './store.ts';
