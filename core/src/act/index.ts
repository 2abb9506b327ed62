export * from './entries.ts';
export * from './actions.ts';
