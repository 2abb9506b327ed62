export * from './entries.ts';
export * from './scout.ts';
export * from './endpoints.ts';
export * from './words.ts';
