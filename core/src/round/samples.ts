import { rulesFor, worstSample } from '../bottles/index.ts';
import type { SampleOfRecord } from '../due/index.ts';
import { wallTime } from '../time/index.ts';
import type { RoundState } from './fold.ts';
import type { VisitState } from './visit.ts';

/** What became of one analysis at a visit; null for what will not be taken any more and was not begun. */
function stateOf(
  visit: VisitState,
  analysis: SampleOfRecord['analysis'],
  isGivenUp: boolean,
): { state: SampleOfRecord['state']; at: number | null } | null {
  const rules = visit.table ? rulesFor(visit.table, [analysis]) : [];
  const own = visit.bottles.filter(({ rule, purpose }) => purpose === 'sample' && rules.includes(rule));
  const at = own.reduce<number | null>(
    (first, { filledAt }) => (filledAt !== null && (first === null || filledAt < first) ? filledAt : first),
    null,
  );
  const { leftOut } = visit.level ?? { leftOut: null };
  if (leftOut?.why === 'dry' && own.every(({ filledAt }) => filledAt === null)) return { state: 'dry', at: leftOut.at };
  // A bottle that was thrown away has a spare in its place; one that the lab refused has none.
  const live = own.filter(({ lost }) => lost?.how !== 'discarded');
  if (live.some(({ lost }) => lost !== null)) return { state: 'refused', at };
  if (live.length === 0 || live.some(({ state }) => state !== 'filled')) return isGivenUp ? null : { state: 'planned', at: null };
  const worst = worstSample(live.map(({ sample }) => sample));
  return { state: worst === 'routine' ? 'taken' : worst === 'special' ? 'special' : 'spoilt', at };
}

/** What of a round counts for programmes: every analysis that is asked for at its visits. */
export function samplesOf(id: string, round: RoundState): SampleOfRecord[] {
  const { zone, date } = round.plan;
  return round.visits.flatMap((visit) =>
    visit.analyses.flatMap((analysis): SampleOfRecord[] => {
      const found = stateOf(visit, analysis, round.givenUp !== null);
      if (!found) return [];
      const day = found.at === null ? date : wallTime(found.at, zone).date;
      return [{ round: id, visit: visit.id, point: visit.point.id, analysis, date: day, state: found.state, because: visit.because }];
    }),
  );
}
