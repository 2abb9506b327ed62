import type { AnalysisId } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import type { PlannedVisit } from './entries.ts';
import { firstWater, type FirstWaterRow } from './tables/first-water.ts';

/** What of a visit is taken of the first water of its tap. */
export function firstWaterAt(
  { point, analyses }: Pick<PlannedVisit, 'point' | 'analyses'>,
  rows: readonly FirstWaterRow[] = firstWater,
): FirstWaterRow[] {
  return point.type === 'tap' ? rows.filter(({ analysis }) => analyses.includes(analysis)) : [];
}

/** Whether an analysis is taken before anything else runs at its tap. */
export const isFirstWater = (analysis: AnalysisId): boolean => firstWater.some((row) => row.analysis === analysis);

/**
 * Tests that want the first water of a tap and cannot have it: two of them at one visit, or one after an earlier visit of the same
 * tap. Visits in the order of the day.
 */
export function questionFirstWater(visits: readonly PlannedVisit[], rows: readonly FirstWaterRow[] = firstWater): Finding[] {
  return visits.flatMap((visit, place): Finding[] => {
    const [first, second] = firstWaterAt(visit, rows);
    if (!first) return [];
    const found = (code: string, data: Finding['data']): Finding[] => [
      { code, severity: 'stop', field: 'visits', data: { name: visit.point.name, ...data } },
    ];
    if (second) return found('first-water-twice', { first: first.analysis, second: second.analysis });
    const isUsed = visits.slice(0, place).some((one) => one.point.id === visit.point.id && one.analyses.length > 0);
    return isUsed ? found('first-water-gone', { first: first.analysis, hours: first.unusedHours }) : [];
  });
}
