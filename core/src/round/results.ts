import { callsToLabs, followUps, resamples, type FollowUp, type Occasion } from '../act/index.ts';
import { purpose, type PurposeId, type RuleId, type SampleKind } from '../bottles/index.ts';
import { refOf } from '../editions/index.ts';
import {
  boundsOf,
  inReadingOrder,
  judgeResult,
  judgeSums,
  limitSetAt,
  limitSetNamed,
  weaknessOf,
  type JudgedResult,
  type LimitSet,
  type SumVerdict,
} from '../limits/index.ts';
import { isGerm, parameter } from '../parameters/index.ts';
import { isReported, type LabResult, type Standing } from '../read/index.ts';
import { wallTime } from '../time/index.ts';
import { handSamples, type HandSample } from './by-hand.ts';
import { tablesOf } from './editions.ts';
import { gapsOf, type VerdictGaps } from './gaps.ts';
import { lostBottles, refusedForms } from './lost.ts';
import { siteResults, type SiteResult } from './on-site.ts';
import { isDisinfected, isDrunk, originOf, type OwnLimitSet } from '../registers/index.ts';
import { benchCount, standingIn } from './standing.ts';
import type { RoundBook } from './state.ts';
import { besideTwin, type Twin } from './twins.ts';
import { visitState, type VisitState } from './visit.ts';

/** A judged result with what its bottle was, and where it comes from. */
export interface RoundResult extends JudgedResult, Pick<Standing, 'report' | 'bench' | 'known' | 'isPreliminary'> {
  sample: SampleKind;
  purpose: PurposeId;
  /** What passed a filter: by the report's word or by the bottle's. */
  isDissolved: boolean;
  /** Blanks of the round in which the same parameter was found: what they took up may be in this bottle too. */
  doubt: readonly string[];
  /** Another bottle of the same water that has another result. */
  twin: Twin | null;
}

/** A result of a blank: never the water of a point, and a mark on what it went along with when something was found. */
export interface BlankResult {
  visit: string;
  pointName: string;
  result: LabResult;
  isHit: boolean;
}

/** Bottles that hold water as it stood in the pipes. */
const standingWater: readonly RuleId[] = ['lead', 'leadFifth'];

type Sets = readonly [LimitSet, ...LimitSet[]];

export interface VisitVerdict {
  visit: string;
  pointName: string;
  /** Whether people drink it: then what is asked of a supply is asked of it. */
  use: 'supply' | 'monitoring';
  /** The day on which it was sampled, `YYYY-MM-DD`. */
  day: string;
  /** What its results were compared with; the first one leads. Those of the round, unless the point has its own. */
  sets: Sets;
  /** In reading order, by the set that leads. */
  judged: RoundResult[];
  /** By the set that leads. */
  sums: SumVerdict[];
  /** What was measured at the point itself. */
  onSite: SiteResult[];
}

export interface RoundVerdict {
  /** What the results of its points were compared with, but for those that have sets of their own; the first one leads. */
  sets: Sets;
  visits: VisitVerdict[];
  blanks: BlankResult[];
  occasions: Occasion[];
  byHand: HandSample[];
  gaps: VerdictGaps;
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
  standing: readonly Standing[],
  blanks: readonly BlankResult[],
  zone: string,
  sets: Sets,
): VisitVerdict {
  const [set, ...others] = sets;
  const { type } = visit.point;
  const use = isDrunk(visit.point) ? 'supply' : 'monitoring';
  const own = standing.flatMap((one) => {
    const bottle = visit.bottles.find((candidate) => candidate.id === one.result.bottle);
    if (bottle?.filledAt == null || !purpose(bottle.purpose).isWater) return [];
    return [{ ...one, bottle, day: wallTime(bottle.filledAt, zone).date }];
  });
  const hits = (id: LabResult['parameter']) =>
    blanks.filter(({ result, isHit }) => isHit && result.parameter === id).map(({ result }) => result.bottle);
  const isOver = (result: LabResult, day: string) => judgeResult(result, set, day, null).state.startsWith('over-');
  const judged = own.map(({ bottle, day, told = [], ...one }): RoundResult => {
    const { result } = one;
    // A number that was told on the other side of a value is another word, however near it lies.
    const isOtherSide = told.some((other) => isOver(other, day) !== isOver(result, day));
    const isDissolved =
      parameter(result.parameter).isBound === true &&
      (result.fraction ?? (bottle.card.filter && bottle.unfiltered === null ? 'dissolved' : 'total')) === 'dissolved';
    const weakness = weaknessOf(result.parameter, {
      sample: bottle.sample,
      isTold: !isReported(one),
      isOwnBench: one.bench !== undefined,
      isContradicted: one.isContradicted || isOtherSide,
      isLate: result.isLate === true,
      isDissolved: isDissolved && use === 'supply',
      isFlushed: type === 'tap' && !standingWater.includes(bottle.rule),
    });
    return {
      ...one,
      sample: bottle.sample,
      purpose: bottle.purpose,
      isDissolved,
      doubt: hits(result.parameter),
      twin: null,
      verdict: judgeResult(result, set, day, weakness),
      others: others.map((other) => ({ set: other, verdict: judgeResult(result, other, day, weakness) })),
    };
  });
  const sampledOn = own.map(({ day }) => day).sort()[0] ?? visit.date;
  const beside = judged.map((one) => besideTwin(one, judged));
  return {
    visit: visit.id,
    pointName: visit.name,
    use,
    day: sampledOn,
    sets,
    judged: inReadingOrder(beside),
    sums: sumsOf(beside, set, sampledOn),
    onSite: siteResults(visit, sets, zone),
  };
}

/**
 * The results of the water of a point, each once: a duplicate, blind or open, is a second look at the same water and stands for itself only
 * where there is no result of its sample, or it lies on the other side of a value.
 */
export function ofPoint<R extends Pick<RoundResult, 'result' | 'purpose' | 'isDissolved' | 'verdict'>>(judged: readonly R[]): R[] {
  const isOver = ({ verdict }: R) => verdict.state.startsWith('over-');
  const saysSame = (a: R, b: R) => a.result.parameter === b.result.parameter && a.isDissolved === b.isDissolved && isOver(a) === isOver(b);
  const samples = judged.filter((one) => one.purpose === 'sample');
  return judged.filter((one) => one.purpose === 'sample' || !samples.some((sample) => saysSame(one, sample)));
}

/** The sums of a set over the results of one point. A duplicate is not a second share; a sum of less than routine samples proves nothing. */
export function sumsOf(judged: readonly RoundResult[], set: LimitSet, day: string): SumVerdict[] {
  const shares = judged.filter((one) => one.purpose === 'sample');
  const isRoutine = shares.every(({ sample }) => sample === 'routine');
  return judgeSums(
    shares.map(({ result }) => result),
    set,
    day,
  ).map((sum) => (sum.state === 'meets' && !isRoutine ? { ...sum, state: 'proves-nothing' } : sum));
}

/** What follow-ups hang on: every judged result, and every sum by its first parameter. */
function occasionsOf(
  round: RoundBook,
  visits: readonly VisitState[],
  { visit, pointName, use, sets, judged, sums }: VisitVerdict,
): Occasion[] {
  const origin = originOf(visits.find(({ id }) => id === visit)!.point);
  const at = { visit, pointName, use, set: sets[0].id, origin };
  /** A blank of its batch grew: what is positive proves nothing. */
  const grew = (bottle: string, bench: string | undefined) =>
    bench !== undefined && (benchCount(round.culture, bottle)?.doubts.some(({ code }) => code === 'blank-grew') ?? false);
  const results = judged.map(({ result, verdict, sample, known, bench, twin, doubt }): Occasion => ({
    ...at,
    sample: sample === 'routine' ? 'routine' : 'special',
    parameter: result.parameter,
    state: verdict.state,
    doubt: grew(result.bottle, bench) ? 'blank' : twin?.isOther ? 'duplicate' : null,
    blanks: doubt,
    known,
  }));
  const together = sums.flatMap(({ rule, state, found, missing }) => {
    // A lower reporting limit does not help where a part was not looked for.
    if (state === 'cannot-tell' && missing.length > 0) return [];
    const ids = [...found, ...rule.shares.map((share) => share.parameter)];
    const share = judged.find(({ result }) => result.parameter === ids.find((id) => judged.some((one) => one.result.parameter === id)));
    if (!share) return [];
    const { sample, doubt: blanks, known, result } = share;
    return [
      {
        ...at,
        sample: sample === 'routine' ? ('routine' as const) : ('special' as const),
        parameter: result.parameter,
        state,
        doubt: null,
        blanks,
        known,
      },
    ];
  });
  return [...results, ...together];
}

/** What a visit is judged by; null where this copy of the product does not have the set that leads there: no other takes its place. */
export function setsAt({ limits, point }: VisitState, ofRound: Sets, own: readonly OwnLimitSet[]): Sets | null {
  const place = { kind: point.kind, isTreated: isDisinfected(point) || point.water === 'treated' };
  const [lead, ...others] = limits ? limits.map((ref) => limitSetNamed(ref, own)) : ofRound;
  return lead ? [limitSetAt(lead, place), ...others.flatMap((set) => (set ? [limitSetAt(set, place)] : []))] : null;
}

/** The verdict over all reports of a round that were read, points with bacteria first; null before the first. */
function judgeRound(visits: readonly VisitState[], round: RoundBook, zone: string, sets: readonly LimitSet[]): RoundVerdict | null {
  const [first, ...others] = sets;
  const standing = standingIn(round);
  const book = round.report;
  if (!first || standing.length + book.byHand.length === 0) return null;
  const hasGerms = ({ judged }: VisitVerdict) => judged.some(({ result }) => isGerm(result.parameter));
  const blanks = visits.flatMap((visit) =>
    blankResults(
      visit,
      standing.map(({ result }) => result),
    ),
  );
  const verdicts = visits
    .flatMap((visit) => {
      const own = setsAt(visit, [first, ...others], round.plan.ownLimits);
      return own ? [judgeVisit(visit, standing, blanks, zone, own)] : [];
    })
    .filter(({ judged, onSite }) => judged.length + onSite.length > 0)
    .sort((a, b) => Number(hasGerms(b)) - Number(hasGerms(a)));
  return {
    sets: [first, ...others],
    visits: verdicts,
    blanks,
    occasions: verdicts.flatMap((one) => occasionsOf(round, visits, one)),
    byHand: handSamples(visits, book),
    gaps: gapsOf(visits, book, standing),
  };
}

/** What the reports of a round say, and what must be done about it, soonest first. */
export function judge(round: RoundBook, visits: readonly VisitState[]): { verdict: RoundVerdict | null; followUps: FollowUp[] } {
  const { plan, editions, ownLimits } = round.plan;
  if (!plan || !editions) return { verdict: null, followUps: [] };
  const tables = tablesOf(editions, ownLimits);
  const isLeadKnown = tables.limits[0] !== undefined && refOf(tables.limits[0]) === editions.limits[0];
  const verdict = isLeadKnown ? judgeRound(visits, round, plan.zone, tables.limits) : null;
  const judged =
    verdict && tables.followUps
      ? followUps({ occasions: verdict.occasions, zone: plan.zone, table: tables.followUps, done: round.verdict })
      : [];
  const asks = tables.followUps?.lost ?? [];
  const lost = lostBottles(visits, round).filter(({ how }) => how === 'refused' || asks.includes('missing'));
  const asked = [
    ...(asks.includes('call-lab') ? callsToLabs(refusedForms(lost, round), plan.zone, round.verdict) : []),
    ...resamples(lost, round.verdict),
    ...judged,
  ];
  return { verdict, followUps: asked.sort((a, b) => a.due - b.due) };
}

/** The follow-ups of a round as it stands. */
export function judgedFollowUps(round: RoundBook): FollowUp[] {
  return judge(
    round,
    (round.plan.plan?.visits ?? []).map((visit) => visitState(round, visit.id)!),
  ).followUps;
}
