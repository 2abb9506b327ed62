import { followUps, resamples, type FollowUp, type Occasion, type RefusedBottle } from '../act/index.ts';
import { inReadingOrder, judgeResult, judgeSums, type JudgedResult, type LimitSet, type SumVerdict } from '../limits/index.ts';
import { parameter } from '../parameters/index.ts';
import type { LabResult, ReadBook } from '../read/index.ts';
import { wallTime } from '../time/index.ts';
import { tablesOf } from './editions.ts';
import type { RoundBook } from './state.ts';
import { visitState, type VisitState } from './visit.ts';

export interface VisitVerdict {
  visit: string;
  pointName: string;
  use: 'supply' | 'monitoring';
  sample: 'routine' | 'special';
  /** In reading order. */
  judged: JudgedResult[];
  sums: SumVerdict[];
}

export interface RoundVerdict {
  set: LimitSet;
  visits: VisitVerdict[];
  occasions: Occasion[];
}

function judgeVisit(visit: VisitState, results: readonly LabResult[], zone: string, set: LimitSet): VisitVerdict {
  const own = results.flatMap((result) => {
    const bottle = visit.bottles.find((candidate) => candidate.id === result.bottle);
    return bottle?.filledAt != null ? [{ result, filledAt: bottle.filledAt }] : [];
  });
  const judged = own.map(({ result, filledAt }) => ({ result, verdict: judgeResult(result, set, wallTime(filledAt, zone).date) }));
  return {
    visit: visit.id,
    pointName: visit.point.name,
    use: visit.point.use,
    sample: visit.sample,
    judged: inReadingOrder(judged),
    sums: judgeSums(
      own.map(({ result }) => result),
      set,
    ),
  };
}

/** The verdict over all reports of a round that were read, points with bacteria first; null before the first. */
export function judgeRound(visits: readonly VisitState[], reports: ReadBook, zone: string, set: LimitSet): RoundVerdict | null {
  const results = reports.flatMap((report) => (report.putAside ? [] : (report.read?.results ?? [])));
  if (results.length === 0) return null;
  const hasGerms = ({ judged }: VisitVerdict) => judged.some(({ result }) => parameter(result.parameter).unit === 'per100mL');
  const verdicts = visits
    .map((visit) => judgeVisit(visit, results, zone, set))
    .filter((verdict) => verdict.judged.length > 0)
    .sort((a, b) => Number(hasGerms(b)) - Number(hasGerms(a)));
  const occasions = verdicts.flatMap(({ visit, pointName, use, sample, judged, sums }) => [
    ...judged.map(({ result, verdict }): Occasion => ({
      visit,
      pointName,
      use,
      sample,
      parameter: result.parameter,
      state: verdict.state,
    })),
    ...sums.flatMap((sum): Occasion[] =>
      sum.rule.shares.slice(0, 1).map((share) => ({ visit, pointName, use, sample, parameter: share.parameter, state: sum.state })),
    ),
  ]);
  return { set, visits: verdicts, occasions };
}

function refusedBottles(visits: readonly VisitState[], { custody }: RoundBook): RefusedBottle[] {
  return visits.flatMap((visit) =>
    visit.bottles.flatMap((bottle) => {
      const answer = custody.find((handOver) => handOver.answer?.bottles.some((line) => line.bottle === bottle.id))?.answer;
      if (bottle.lost?.how !== 'refused' || !answer) return [];
      return [{ bottle: bottle.id, visit: visit.id, pointName: visit.point.name, reason: bottle.lost.reason, at: answer.at }];
    }),
  );
}

/** What the reports of a round say, and what must be done about it, soonest first. */
export function judge(round: RoundBook, visits: readonly VisitState[]): { verdict: RoundVerdict | null; followUps: FollowUp[] } {
  const { plan, editions } = round.plan;
  if (!plan || !editions) return { verdict: null, followUps: [] };
  const tables = tablesOf(editions);
  const verdict = tables.limits && judgeRound(visits, round.read, plan.zone, tables.limits);
  const arrived = round.read[0]?.at;
  const judged =
    verdict && tables.followUps && arrived !== undefined
      ? followUps({ occasions: verdict.occasions, arrived, zone: plan.zone, table: tables.followUps, done: round.act })
      : [];
  return { verdict, followUps: [...resamples(refusedBottles(visits, round), round.act), ...judged].sort((a, b) => a.due - b.due) };
}

/** The follow-ups of a round as it stands. */
export function judgedFollowUps(round: RoundBook): FollowUp[] {
  return judge(
    round,
    (round.plan.plan?.visits ?? []).map((visit) => visitState(round, visit.id)!),
  ).followUps;
}
