export { faultGroups, fitnesses, testKinds, type FaultRow, type Fitness, type Lasts, type TestKind } from './tables/faults.ts';
export * from './fitness.ts';
export * from './entries.ts';
export * from './arrive.ts';
export * from './endpoints.ts';
export * from './words.ts';
export * from './asks.ts';
