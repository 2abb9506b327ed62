export * from './instant.ts';
export * from './wall.ts';
