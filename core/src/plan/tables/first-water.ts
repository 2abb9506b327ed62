import type { AnalysisId } from '../../bottles/index.ts';

/** What must be taken of the first water of a tap that nobody used for a while. */
export interface FirstWaterRow {
  analysis: AnalysisId;
  /** So many hours at least nobody used it. */
  unusedHours: number;
  source: string;
}

/** Of the first water there is only one: two of these cannot share a visit. */
export const firstWater: readonly FirstWaterRow[] = [
  { analysis: 'legionella', unusedHours: 2, source: 'Pre-flush sample, tap not used for two hours: common practice' },
];
