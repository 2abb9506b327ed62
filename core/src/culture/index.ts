export * from './methods.ts';
export * from './entries.ts';
export * from './judge.ts';
export * from './room.ts';
export * from './words.ts';
