export * from './endpoint.ts';
export * from './problem.ts';
export * from './own.ts';
