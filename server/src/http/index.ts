export * from './problem.ts';
export * from './route.ts';
export * from './services.ts';
export * from './busy.ts';
export * from './who.ts';
