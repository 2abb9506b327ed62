export * from './instant.ts';
export * from './wall.ts';
export * from './says.ts';
