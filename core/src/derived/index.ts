export { derive, type Derived } from './derive.ts';
export { judgeDerived } from './verdict.ts';
export { questionAnalysis } from './check.ts';
export { forCrops, infiltrationBy, notForAnimals, type ForCrops, type Infiltration } from './uses.ts';
export { milliequivalents } from './tables/quantities.ts';
export { derivedFindings, sayInfiltration } from './words.ts';
