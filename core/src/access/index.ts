export * from './accounts.ts';
export * from './entries.ts';
export * from './endpoints.ts';
export * from './words.ts';
