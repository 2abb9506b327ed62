export * from './judge.ts';
export { duplicateDiffers, duplicatesMayDiffer } from './duplicates.ts';
export * from './sums.ts';
export * from './ranking.ts';
export { limitSets } from './tables/index.ts';
export * from './words.ts';
export { groupsConcerned, type SpecialGroup } from './groups.ts';
export { setsForWater } from './uses.ts';
