export * from './entries.ts';
export * from './plan.ts';
export * from './bottles.ts';
export * from './code.ts';
export * from './words.ts';
export * from './day.ts';
