export * from './entries.ts';
export * from './protocol.ts';
export * from './answers.ts';
export * from './run-step.ts';
export * from './run.ts';
export * from './due.ts';
export * from './room.ts';
export { protocols } from './tables/index.ts';
export * from './words.ts';
