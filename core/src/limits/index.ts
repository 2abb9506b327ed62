export * from './judge.ts';
export * from './sums.ts';
export * from './ranking.ts';
export { limitSets } from './tables/index.ts';
export * from './words.ts';
