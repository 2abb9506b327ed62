export * from './entries.ts';
export * from './pipes.ts';
export * from './volume.ts';
export * from './flow.ts';
export * from './criteria.ts';
export * from './stability.ts';
export * from './purge.ts';
export * from './words.ts';
