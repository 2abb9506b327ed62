export * from './entry.ts';
export * from './chain.ts';
export * from './corrections.ts';
