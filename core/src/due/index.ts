export * from './programme.ts';
export * from './period.ts';
export * from './counts.ts';
export * from './because.ts';
export * from './samples.ts';
export * from './due.ts';
export * from './endpoints.ts';
export * from './words.ts';
