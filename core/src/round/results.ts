import { followUps, resamples, type FollowUp, type Occasion, type RefusedBottle } from '../act/index.ts';
import { purpose, type PurposeId } from '../bottles/index.ts';
import {
  boundsOf,
  inReadingOrder,
  judgeResult,
  judgeSums,
  limitSets,
  type JudgedResult,
  type LimitSet,
  type SumVerdict,
} from '../limits/index.ts';
import { refOf } from '../editions/index.ts';
import { parameter } from '../parameters/index.ts';
import type { LabResult, ReadBook } from '../read/index.ts';
import { wallTime } from '../time/index.ts';
import { tablesOf } from './editions.ts';
import type { RoundBook } from './state.ts';
import { visitState, type VisitState } from './visit.ts';

/** A judged result with what its bottle was. */
export interface RoundResult extends JudgedResult {
  sample: 'routine' | 'special';
  purpose: PurposeId;
  /** Blanks of the round in which the same parameter was found: what they took up may be in this bottle too. */
  doubt: readonly string[];
}

/** A result of a blank: never the water of a point, and a mark on what it went along with when something was found. */
export interface BlankResult {
  visit: string;
  pointName: string;
  result: LabResult;
  isHit: boolean;
}

type Sets = readonly [LimitSet, ...LimitSet[]];

export interface VisitVerdict {
  visit: string;
  pointName: string;
  use: 'supply' | 'monitoring';
  /** What its results were compared with; the first one leads. Those of the round, unless the point has its own. */
  sets: Sets;
  /** In reading order, by the set that leads. */
  judged: RoundResult[];
  /** By the set that leads. */
  sums: SumVerdict[];
}

export interface RoundVerdict {
  /** What the results of its points were compared with, but for those that have sets of their own; the first one leads. */
  sets: Sets;
  visits: VisitVerdict[];
  blanks: BlankResult[];
  occasions: Occasion[];
}

function blankResults(visit: VisitState, results: readonly LabResult[]): BlankResult[] {
  return results.flatMap((result) => {
    const bottle = visit.bottles.find((candidate) => candidate.id === result.bottle);
    if (!bottle || purpose(bottle.purpose).isWater) return [];
    return [{ visit: visit.id, pointName: visit.name, result, isHit: boundsOf(result).low > 0 }];
  });
}

function judgeVisit(
  visit: VisitState,
  results: readonly LabResult[],
  blanks: readonly BlankResult[],
  zone: string,
  sets: Sets,
): VisitVerdict {
  const [set, ...others] = sets;
  const own = results.flatMap((result) => {
    const bottle = visit.bottles.find((candidate) => candidate.id === result.bottle);
    if (bottle?.filledAt == null || !purpose(bottle.purpose).isWater) return [];
    return [{ result, sample: bottle.sample, purpose: bottle.purpose, day: wallTime(bottle.filledAt, zone).date }];
  });
  const hits = (id: LabResult['parameter']) =>
    blanks.filter(({ result, isHit }) => isHit && result.parameter === id).map(({ result }) => result.bottle);
  const judged = own.map(({ result, sample, purpose: own, day }) => ({
    result,
    sample,
    purpose: own,
    doubt: hits(result.parameter),
    verdict: judgeResult(result, set, day),
    others: others.map((other) => ({ set: other, verdict: judgeResult(result, other, day) })),
  }));
  // A duplicate is not a second share of a sum.
  const all = own.filter((one) => one.purpose === 'sample').map(({ result }) => result);
  return { visit: visit.id, pointName: visit.name, use: visit.point.use, sets, judged: inReadingOrder(judged), sums: judgeSums(all, set) };
}

/** What follow-ups hang on: every judged result, and every sum by its first parameter. */
function occasionsOf({ visit, pointName, use, judged, sums }: VisitVerdict): Occasion[] {
  const at = { visit, pointName, use };
  const results = judged.map(({ result, verdict, sample }): Occasion => ({
    ...at,
    sample,
    parameter: result.parameter,
    state: verdict.state,
  }));
  const together = sums.flatMap(({ rule, state }) =>
    rule.shares.slice(0, 1).map(({ parameter: id }): Occasion => {
      const sample = judged.find(({ result }) => result.parameter === id)?.sample ?? 'routine';
      return { ...at, sample, parameter: id, state };
    }),
  );
  return [...results, ...together];
}

/** What a visit is judged by; null where this copy of the product does not have the set that leads there: no other takes its place. */
function setsAt({ limits }: VisitState, ofRound: Sets): Sets | null {
  if (!limits) return ofRound;
  const [lead, ...others] = limits.map((ref) => limitSets.find(ref));
  return lead ? [lead, ...others.filter((set) => set !== null)] : null;
}

/** The verdict over all reports of a round that were read, points with bacteria first; null before the first. */
export function judgeRound(visits: readonly VisitState[], reports: ReadBook, zone: string, sets: readonly LimitSet[]): RoundVerdict | null {
  const [first, ...others] = sets;
  const results = reports.flatMap((report) => (report.putAside ? [] : (report.read?.results ?? [])));
  if (results.length === 0 || !first) return null;
  const hasGerms = ({ judged }: VisitVerdict) => judged.some(({ result }) => parameter(result.parameter).unit === 'per100mL');
  const blanks = visits.flatMap((visit) => blankResults(visit, results));
  const verdicts = visits
    .flatMap((visit) => {
      const own = setsAt(visit, [first, ...others]);
      return own ? [judgeVisit(visit, results, blanks, zone, own)] : [];
    })
    .filter((verdict) => verdict.judged.length > 0)
    .sort((a, b) => Number(hasGerms(b)) - Number(hasGerms(a)));
  return { sets: [first, ...others], visits: verdicts, blanks, occasions: verdicts.flatMap(occasionsOf) };
}

function refusedBottles(visits: readonly VisitState[], { custody }: RoundBook): RefusedBottle[] {
  return visits.flatMap((visit) =>
    visit.bottles.flatMap((bottle) => {
      const answer = custody.find((handOver) => handOver.answer?.bottles.some((line) => line.bottle === bottle.id))?.answer;
      if (bottle.lost?.how !== 'refused' || !answer) return [];
      return [{ bottle: bottle.id, visit: visit.id, pointName: visit.name, reason: bottle.lost.reason, at: answer.at }];
    }),
  );
}

/** What the reports of a round say, and what must be done about it, soonest first. */
export function judge(round: RoundBook, visits: readonly VisitState[]): { verdict: RoundVerdict | null; followUps: FollowUp[] } {
  const { plan, editions } = round.plan;
  if (!plan || !editions) return { verdict: null, followUps: [] };
  const tables = tablesOf(editions);
  const isLeadKnown = tables.limits[0] !== undefined && refOf(tables.limits[0]) === editions.limits[0];
  const verdict = isLeadKnown ? judgeRound(visits, round.report, plan.zone, tables.limits) : null;
  const arrived = round.report[0]?.at;
  const judged =
    verdict && tables.followUps && arrived !== undefined
      ? followUps({ occasions: verdict.occasions, arrived, zone: plan.zone, table: tables.followUps, done: round.verdict })
      : [];
  return { verdict, followUps: [...resamples(refusedBottles(visits, round), round.verdict), ...judged].sort((a, b) => a.due - b.due) };
}

/** The follow-ups of a round as it stands. */
export function judgedFollowUps(round: RoundBook): FollowUp[] {
  return judge(
    round,
    (round.plan.plan?.visits ?? []).map((visit) => visitState(round, visit.id)!),
  ).followUps;
}
