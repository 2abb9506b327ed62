export * from './entries.ts';
export * from './type.ts';
export * from './pictures.ts';
export * from './endpoints.ts';
export * from './words.ts';
