export * from './entries.ts';
export * from './fill.ts';
