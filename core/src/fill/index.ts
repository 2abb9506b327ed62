export * from './entries.ts';
export * from './fill.ts';
export * from './words.ts';
