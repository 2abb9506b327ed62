export * from './dialect.ts';
export * from './schema.ts';
export * from './store.ts';
