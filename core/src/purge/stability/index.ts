export { allowedAt, apartOf, type Against, type Allowed, type Criterion, type Tolerance } from './criterion.ts';
export {
  countingSets,
  nextCounts,
  spacingOf,
  tooSoon,
  windowFrom,
  type CountedBy,
  type Moment,
  type Spacing,
  type TooSoon,
} from './counting.ts';
export { judgeStability, type JudgedBy, type ParameterVerdict, type ReadingSet, type ReadingSteps, type Stability } from './judge.ts';
export { criterionOf, refOfOwn } from './own.ts';
export { compareCriteria, type Compared } from './compare.ts';
export { suggestCriterion, type Suggested } from './suggest.ts';
export { estimateStable, type Estimate, type NoEstimate } from './approach.ts';
export { sayAgainst, sayStability, sayTolerance } from './words.ts';
