export * from './judge.ts';
export * from './sums.ts';
export * from './ranking.ts';
export { euDrinkingWater } from './tables/eu-2020-2184.ts';
