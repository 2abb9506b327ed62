export * from './roles.ts';
export * from './words.ts';
