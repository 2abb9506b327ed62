export * from './entries.ts';
export * from './plan.ts';
export * from './bottles.ts';
