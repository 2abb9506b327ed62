export * from './entry.ts';
export * from './out.ts';
