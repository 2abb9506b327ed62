export * from './kinds.ts';
export * from './fold.ts';
export * from './results.ts';
export * from './bottle.ts';
export * from './next.ts';
export * from './form.ts';
export * from './admit.ts';
export * from './overview.ts';
