import type { Because } from '../due/index.ts';
import { arrivalState, placeReasons, testKindOf, type ArrivalState } from '../arrive/index.ts';
import {
  cardAt,
  purpose,
  rulesFor,
  worstSample,
  type AnalysisId,
  type BottleTable,
  type SampleKind,
  type SampleReason,
} from '../bottles/index.ts';
import { misfit, type Misfit } from '../book/index.ts';
import type { FieldTestsBook } from '../fieldtests/index.ts';
import { inTheField, type FieldBottle } from '../fill/index.ts';
import { household } from '../kit/index.ts';
import { levelState, type LevelState } from '../level/index.ts';
import type { PicturesBook } from '../pictures/index.ts';
import { bottlesAt, labellingOf, labFor, nthVisit, type PlanBook, type PlannedVisit } from '../plan/index.ts';
import { gearReasons } from '../prepare/index.ts';
import { purgeReasons, purgeState, type PurgeState } from '../purge/index.ts';
import type { Point } from '../registers/index.ts';
import {
  earliestFill,
  fillsAt,
  runsOf,
  runState,
  runThatFills,
  sampleReasons,
  unknownRun,
  type DueRun,
  type RunState,
} from '../tap/index.ts';
import { bottleInStream, type BottleState } from './bottle.ts';
import { tablesOf } from './editions.ts';
import { standingIn } from './standing.ts';
import { emptyVisit, type RoundBook, type VisitBook } from './state.ts';

/** Everything that is known of one visit. A well has a level and a purge; runs are of wells and taps. */
export interface VisitState {
  id: string;
  /** Of the round, `YYYY-MM-DD`. */
  date: string;
  point: Point;
  /** Whether it is the first visit of its point in the round, the second, … */
  nth: number;
  /** The point's name, told apart from other visits of the same point. */
  name: string;
  analyses: AnalysisId[];
  arrival: ArrivalState;
  level: LevelState | null;
  purge: PurgeState | null;
  /** In the order in which they were started. */
  runs: RunState[];
  /** Every run that is asked for or was started, in the order of their running. */
  due: readonly DueRun[];
  /** Runs of an edition that this copy of the product does not have. */
  unknownRuns: { procedure: string; edition: string }[];
  /** What its samples are at worst; each bottle says it of itself. */
  sample: SampleKind;
  bottles: BottleState[];
  /** The editions of the limits of this point alone; null where those of the round hold. */
  limits: readonly string[] | null;
  /** What asks for it, where it is no sample of the usual programme. */
  because: Because | null;
  table: BottleTable | null;
  pictures: PicturesBook['taken'];
  /** What somebody wrote down beside the steps, oldest first. */
  remarks: PicturesBook['remarks'];
  /** Field tests, in the order of their last entry. */
  tests: FieldTestsBook;
  /** The household that takes its samples; null where we do. */
  household: string | null;
}

const special = (code: SampleReason['code']): SampleReason => ({ code, makes: 'special', data: {} });

/** Why the sample in a bottle is less than a routine one, by the run that fills it, or for want of one. */
function runReasons(rule: FieldBottle['rule'], filledAt: number | null, run: RunState | null, hasUnknown: boolean): SampleReason[] {
  if (run) return sampleReasons(run, filledAt);
  // A run that cannot be judged here may have filled any of them.
  if (hasUnknown) return [special('unknown-protocol')];
  return rule === 'bacteria' ? [special('no-protocol')] : [];
}

/** The kinds of tests that a bottle is for. */
const kindsOf = (rule: FieldBottle['rule'], analyses: readonly AnalysisId[], table: BottleTable) =>
  analyses.filter((id) => rulesFor(table, [id]).includes(rule)).map((id) => testKindOf(table, id));

function look(visit: PlannedVisit, book: VisitBook, round: RoundBook, table: BottleTable | null): VisitState {
  const { id, point, analyses } = visit;
  const { plan, packed, extras } = round.plan;
  const level = point.type === 'well' ? levelState(book.level, point) : null;
  const purge = point.type === 'well' ? purgeState(book.purge, point, level?.agreed ?? null) : null;
  const runs = [...book.tap.values()].flatMap((run) => runState(run, point) ?? []);
  const unknownRuns = [...book.tap.values()].flatMap((run) => {
    const edition = unknownRun(run);
    return edition ? [{ procedure: run.procedure, edition }] : [];
  });
  const nth = nthVisit(plan!.visits, id);
  const sampled = { date: plan!.date, point, analyses, runs, unknownRuns, table };
  const due = runsOf(sampled);
  const arrival = arrivalState(book.arrive, table, analyses);
  const around = {
    custody: round.custody,
    household: household(round.kit),
    cultures: round.culture,
    report: round.report,
    standing: standingIn(round),
  };
  const isAtFilling = (run: RunState) => run.finished || run.now?.step.act.type === 'fill';
  const planned = (table ? bottlesAt(visit, labellingOf(plan!), table, { nth, extras: extras.filter((one) => one.visit === id) }) : []).map(
    (one) => ({ one, chain: inTheField(one, cardAt(table!, one.rule, point), book.fill) }),
  );
  const vialsOf = (set: string) => planned.flatMap(({ one, chain }) => (one.set === set ? chain.map((bottle) => bottle.id) : []));
  const bottles = planned.flatMap(({ one, chain }) => {
    const by = runThatFills({ table, due }, one);
    const measured = purge ? purge.ended !== null : by ? by.run !== null && isAtFilling(by.run) : runs.some(isAtFilling);
    const place = kindsOf(one.rule, analyses, table!);
    const run = by?.run ?? null;
    /** As if it had been filled at a moment (ms); as it is while nobody has filled it where that is null. */
    const reasonsAt = (bottle: FieldBottle, filledAt: number | null): SampleReason[] =>
      purpose(bottle.purpose).isWater
        ? [
            ...(bottle.unfiltered === null
              ? []
              : [{ code: 'unfiltered' as const, makes: 'special' as const, data: { reason: bottle.unfiltered } }]),
            ...gearReasons(bottle.card, round.prepare, filledAt),
            ...placeReasons(arrival, place, filledAt),
            ...(purge ? purgeReasons(purge, filledAt) : []),
            // Its protocol may still be run.
            ...(by && !run && bottle.filledAt === null ? [] : runReasons(bottle.rule, filledAt, run, unknownRuns.length > 0)),
          ]
        : [];
    const vials = vialsOf(one.set);
    return chain.map((bottle) => {
      const reasons = reasonsAt(bottle, bottle.filledAt);
      return bottleInStream(bottle, {
        ...around,
        vials,
        lab: labFor(round.plan, bottle),
        measured,
        reasons,
        foreseen: (now) => (bottle.filledAt !== null ? reasons : reasonsAt(bottle, run ? earliestFill(run, now) : now).map(asForeseen)),
        packed: packed.has(bottle.place),
      });
    });
  });
  return {
    ...sampled,
    due,
    id,
    nth,
    name: nth > 1 ? `${point.name}, visit ${nth}` : point.name,
    arrival,
    level,
    purge,
    sample: worstSample([
      ...runs.map((run) => run.sample),
      ...bottles.filter(({ lost }) => !lost).map((bottle) => bottle.sample),
      ...(arrival.verdicts.some(({ fitness }) => fitness === 'not-fit') ? (['special'] as const) : []),
      ...(unknownRuns.length > 0 ? (['special'] as const) : []),
    ]),
    bottles,
    limits: visit.limits ?? null,
    because: visit.because ?? null,
    pictures: book.pictures.taken,
    remarks: book.pictures.remarks,
    tests: book.fieldtests,
    household: round.kit.given?.name ?? null,
  };
}

/** A reason that has not come to pass yet says so. */
const asForeseen = (reason: SampleReason): SampleReason =>
  reason.code === 'stale' ? { ...reason, data: { ...reason.data, is: 'ahead' } } : reason;

/** What a sample is at a moment, and why. */
export interface SampleNow {
  sample: SampleKind;
  reasons: readonly SampleReason[];
}

/**
 * What the samples of a run are, from all that is known at a moment (ms): plan, gear, place, purge, run and the time that has passed and
 * that its clocks still take. Of a run whose bottles are all gone, what the run itself says.
 */
export function sampleNow(visit: VisitState, run: RunState, now: number): SampleNow {
  const bottles = visit.bottles.filter((bottle) => !bottle.lost && runThatFills(visit, bottle)?.procedure === run.procedure);
  const all = bottles.length > 0 ? bottles.flatMap((bottle) => bottle.foreseen(now)) : sampleReasons(run, null);
  const reasons = [...new Map(all.map((reason) => [JSON.stringify(reason), reason])).values()];
  return { sample: worstSample(reasons.map(({ makes }) => makes)), reasons };
}

interface Seen {
  plan: RoundBook['plan'];
  prepare: RoundBook['prepare'];
  custody: RoundBook['custody'];
  kit: RoundBook['kit'];
  culture: RoundBook['culture'];
  report: RoundBook['report'];
  visit: VisitState;
}

/**
 * States of visits by what they were made from, so that an entry at one point does not make those of all others anew. Where nothing was
 * written yet all visits of all rounds have one book: there they are kept by their plan, and go with it.
 */
const seen = new WeakMap<VisitBook | PlanBook, Map<string, Seen>>();

/** One visit of a round as it stands; null when the round has none such. */
export function visitState(round: RoundBook, id: string): VisitState | null {
  const { plan, prepare, custody, kit, culture, report } = round;
  const planned = plan.plan?.visits.find((candidate) => candidate.id === id);
  if (!planned || !plan.editions) return null;
  const book = round.visits.get(id) ?? emptyVisit;
  const keeper = book === emptyVisit ? plan : book;
  const known = seen.get(keeper)?.get(id);
  if (
    known &&
    known.plan === plan &&
    known.prepare.gear === prepare.gear &&
    known.custody === custody &&
    known.kit === kit &&
    known.culture === culture &&
    known.report === report
  )
    return known.visit;
  const visit = look(planned, book, round, tablesOf(plan.editions, []).bottles);
  seen.set(keeper, new Map(seen.get(keeper)).set(id, { plan, prepare, custody, kit, culture, report, visit }));
  return visit;
}

/** Why a bottle may not be filled at a visit as it stands, or null. For page and book alike. */
export function fillGate(visit: VisitState, bottle: Pick<FieldBottle, 'rule' | 'purpose'>): Misfit | null {
  // A blank holds none of the point's water.
  if (!purpose(bottle.purpose).isWater) return null;
  if (visit.purge && !visit.purge.ended) return misfit('end-purge-first', 'payload.bottle');
  const by = runThatFills(visit, bottle);
  if (!by || by.run?.finished) return null;
  const now = by.run?.now?.step;
  if (now && visit.table && rulesFor(visit.table, fillsAt(by.protocol, now)).includes(bottle.rule)) return null;
  return misfit('not-at-filling', 'payload.bottle', { title: by.protocol.title });
}
