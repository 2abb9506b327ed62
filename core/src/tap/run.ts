import { worstSample, type AnalysisId, type SampleKind, type SampleReason } from '../bottles/index.ts';
import { refOf } from '../editions/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { Point } from '../registers/index.ts';
import { unitLabel } from '../units/index.ts';
import { hour, second } from '../time/index.ts';
import { effectOf, lastReading, stopsOf } from './answers.ts';
import type { StepAnswer } from './entries.ts';
import type { Effect, Protocol, Step } from './protocol.ts';
import type { RunStep } from './run-step.ts';
import { exceptionalWays, procedureTitles, protocols } from './tables/index.ts';
import { isFor, stepsAt, stepsFor } from './where.ts';

/** Least free chlorine in mg/L that is proposed for a new point. Source: WHO Guidelines, point of delivery (from memory). */
export const usualResidualMinimum = 0.2;

/** Where a run stands. `sample` is what its bottle is: the worst that a stop or a departure makes of it. */
export interface RunState {
  /** The procedure of the visit that it is. */
  procedure: string;
  protocol: Protocol;
  startedAt: number;
  steps: RunStep[];
  now: RunStep | null;
  sample: SampleKind;
  /** Ended by a stop of the protocol. */
  abandoned: boolean;
  /** Given up by a person, and why. */
  givenUp: string | null;
  /** Runs before it that came to nothing: when each was begun (ms), and why it ended. */
  before: readonly RunBefore[];
  /** Steps to which it went back, and why. */
  reopened: readonly Reopened[];
  departures: { step: Step; reason: string; effect: Effect }[];
  finished: boolean;
}

/** The analyses for which a protocol takes the samples. */
export const takenBy = ({ analysis, also = [] }: Protocol): AnalysisId[] => [analysis, ...also];

/** Whether a protocol may be run at a point. */
export const mayRunAt = ({ at = ['tap'], where = {} }: Protocol, point: Point): boolean => at.includes(point.type) && isFor(where, point);

/** The procedure that a protocol is a way of. */
export const procedureOf = ({ id, way }: Protocol): string => way?.of ?? id;

/** A procedure that analyses ask for at a point, and the ways to run it there. */
export interface Procedure {
  id: string;
  ways: Protocol[];
}

/** The day from which on each protocol is asked for: that of its first edition. */
const begins = new Map<string, string>();
for (const { id, from } of protocols.all) if (from < (begins.get(id) ?? '9999')) begins.set(id, from);

/**
 * The procedures that take samples for some of these analyses at a point, each with its ways, in the order of their running. Only those are
 * asked for that there were on the day of the round (`YYYY-MM-DD`): a round of before reads as it always did.
 */
export function proceduresFor(analyses: readonly AnalysisId[], point: Point, date: string): Procedure[] {
  const found = new Map<string, Protocol[]>();
  for (const protocol of protocols.newest) {
    if (!takenBy(protocol).some((one) => analyses.includes(one)) || protocol.ridesWith?.some((one) => analyses.includes(one))) continue;
    if (!mayRunAt(protocol, point) || begins.get(protocol.id)! > date) continue;
    const id = procedureOf(protocol);
    found.set(id, [...(found.get(id) ?? []), protocol]);
  }
  return [...found].map(([id, ways]) => ({ id, ways }));
}

/** Whether the way that was gone at another point may be proposed here: not where one of the ways is for what has happened at a place. */
export const mayFollow = (ways: readonly Protocol[]): boolean => !ways.some((way) => occasionOf(way) !== null);

/** What has happened where a way is gone that is only for it: an outbreak, a flood. Such a sample is no routine one for its lab. */
export const occasionOf = ({ id }: Protocol): string | null => exceptionalWays[id] ?? null;

/** What is measured on the way, whichever way is taken, where analyses ask for a protocol at a point: `date` as `YYYY-MM-DD`. */
export function measuredFor(analyses: readonly AnalysisId[], point: Point, date: string): ParameterId[] {
  const steps = proceduresFor(analyses, point, date).flatMap(({ ways }) => ways.flatMap((way) => stepsFor(way, point)));
  return [...new Set(steps.flatMap(({ act }) => (act.type === 'measure' || act.type === 'constant' ? [act.parameter] : [])))];
}

/** What a procedure is called while it is open which way it will go. */
export const titleOf = ({ id, ways }: Procedure): string => (ways.length === 1 ? ways[0]!.title : (procedureTitles[id] ?? ways[0]!.title));

/** The first way of each procedure that analyses ask for at a point today: what is reckoned with before somebody has chosen. */
export const protocolsFor = (analyses: readonly AnalysisId[], point: Point): Protocol[] =>
  proceduresFor(analyses, point, '9999').map(({ ways }) => ways[0]!);

/** The protocol of an id and edition, or null when this copy of the product does not have it. */
export function findProtocol(id: string, edition: string): Protocol | null {
  return protocols.find(refOf({ id, edition }));
}

/** Whether nothing of a run is left to do: it is finished, or nothing more comes of it. */
export function isOver({ finished, abandoned, givenUp }: RunState): boolean {
  return finished || abandoned || givenUp !== null;
}

interface Given {
  entry: string;
  at: number;
  departure: string | null;
  test?: string | null;
  /** Null for a step that was left out. */
  answer: StepAnswer | null;
}

/** What a book says of one run. */
export interface RunBook {
  procedure: string;
  start: { at: number; protocol: string; edition: string; entry: string };
  given: ReadonlyMap<string, Given>;
  clocks: ReadonlyMap<string, { from: number; backdated: number; restarts: readonly string[] }>;
  givenUp: string | null;
  before?: readonly RunBefore[];
  reopened?: readonly { step: string; reason: string }[];
}

/** A step that was done again, and why. */
export interface Reopened {
  say: string;
  reason: string;
}

/** A run that was given up or ended by a stop, before its bottle was filled. */
export interface RunBefore {
  at: number;
  protocol: string;
  why: string;
}

/** What a run that came to nothing is remembered by. */
export const asBefore = ({ startedAt, protocol, givenUp, steps }: RunState): RunBefore => ({
  at: startedAt,
  protocol: protocol.title,
  why: givenUp ?? steps.flatMap(({ stops }) => stops).find(({ outcome }) => outcome === 'abandoned')?.say ?? '',
});

/**
 * Where a run stands; null for an edition that is not known here, see {@link unknownRun}. Steps whose condition is not met
 * are left out of the list once the choice they hang on is made.
 */
export function runState({ procedure, start, given, clocks, givenUp, before = [], reopened = [] }: RunBook, point: Point): RunState | null {
  const protocol = findProtocol(start.protocol, start.edition);
  if (!protocol) return null;
  const answers = new Map([...given].flatMap(([step, { answer }]) => (answer ? [[step, answer] as const] : [])));
  let reached = false;
  const steps = stepsAt(protocol, point, answers).map((step): RunStep => {
    const closing = given.get(step.id);
    const clock = clocks.get(step.id);
    const state = closing ? (closing.answer ? 'done' : 'skipped') : reached ? 'later' : 'now';
    if (!closing) reached = true;
    return {
      step,
      state,
      clockFrom: clock?.from ?? null,
      clockBackdated: clock?.backdated ?? 0,
      restarts: clock?.restarts ?? [],
      doneAt: closing?.at ?? null,
      entry: closing?.entry ?? null,
      answer: closing?.answer ?? null,
      departure: closing?.departure ?? null,
      test: closing?.test ?? null,
      stops: closing?.answer ? stopsOf(step, closing.answer, point, answers) : [],
    };
  });
  const stops = steps.flatMap((step) => step.stops);
  const departures = steps.flatMap(({ step, departure, answer, clockFrom, doneAt }) =>
    departure ? [{ step, reason: departure, effect: effectOf(step, answer, point, isOverrun(step, clockFrom, doneAt)) }] : [],
  );
  const abandoned = stops.some((stop) => stop.outcome === 'abandoned');
  const now = abandoned || givenUp !== null ? null : (steps.find((step) => step.state === 'now') ?? null);
  return {
    procedure,
    protocol,
    startedAt: start.at,
    steps,
    now,
    abandoned,
    givenUp,
    before,
    reopened: reopened.map(({ step, reason }) => ({ say: protocol.steps.find(({ id }) => id === step)?.say ?? step, reason })),
    sample: worstSample([
      ...stops.map(({ outcome }) => (outcome === 'invalid' ? outcome : ('special' as const))),
      ...departures.flatMap(({ effect }) => (effect === 'noted' ? [] : [effect])),
    ]),
    departures,
    finished: !abandoned && givenUp === null && now === null,
  };
}

/** Whether a clock ran longer than it may; times in ms. */
function isOverrun({ act }: Step, from: number | null, until: number | null): boolean {
  return act.type === 'clock' && act.most !== undefined && from !== null && until !== null && until - from > act.most * second;
}

/** The analyses whose bottles are filled at a step: of several that fill, each its own; else all of the protocol. */
export function fillsAt(protocol: Protocol, { act }: Step): AnalysisId[] {
  if (act.type !== 'fill') return [];
  return protocol.steps.filter((step) => step.act.type === 'fill').length > 1 ? [act.analysis] : takenBy(protocol);
}

/** The edition of a run that this copy of the product does not have: it can be kept, not judged. */
export function unknownRun({ start }: RunBook): string | null {
  return findProtocol(start.protocol, start.edition) ? null : refOf({ id: start.protocol, edition: start.edition });
}

/** The measured value of a step as typed with its unit, for the form; null when it was not measured. */
export function measured(run: RunState, parameter: string): string | null {
  const found = run.steps.find(({ step: { act } }) => (act.type === 'measure' || act.type === 'constant') && act.parameter === parameter);
  const reading = lastReading(found?.answer);
  return reading && `${reading.text} ${unitLabel(reading.unit)}`;
}

/**
 * From when on (ms) a reading is one that the step now asks for: the end of the step before it. What was measured before that is of
 * other water, as chlorine before the bleach was rinsed off.
 */
export const readableFrom = ({ steps, startedAt }: Pick<RunState, 'steps' | 'startedAt'>): number =>
  Math.max(startedAt, ...steps.map(({ doneAt }) => doneAt ?? 0));

/** A bottle may be filled for so long, in ms, where an edition does not say it. */
const usuallyFresh = hour;

/** The step at which a run began to flush and measure, once it is done: from it on its water ages, and to it an interrupted run goes back. */
export const flushOf = ({ steps }: Pick<RunState, 'steps'>): RunStep | null =>
  steps.find(({ step: { act }, doneAt }) => (act.type === 'clock' || act.type === 'measure') && doneAt !== null) ?? null;

/**
 * Whether a bottle was filled so long after a run began to flush and measure that the water is another. Times in ms.
 */
export function isStale({ steps, protocol }: RunState, filledAt: number): boolean {
  const first = flushOf({ steps });
  const fresh = protocol.freshFor === undefined ? usuallyFresh : protocol.freshFor * second;
  return first?.doneAt != null && filledAt - first.doneAt > fresh;
}

/** When a run's bottles are filled at the earliest (ms), if everything goes well from now on: after the clocks that are left. */
export function earliestFill({ steps }: RunState, now: number): number {
  return steps.reduce((at, { step: { act }, clockFrom, doneAt }) => {
    if (act.type !== 'clock' || doneAt !== null) return at;
    return Math.max(at, (clockFrom ?? at) + act.least * second);
  }, now);
}

/** What makes the sample of a run what it is; `filledAt` in ms, null before it is filled. */
export function sampleReasons(run: RunState, filledAt: number | null): SampleReason[] {
  const stops = run.steps.flatMap(({ stops: found }) =>
    found.map(({ say, outcome }): SampleReason => ({ code: 'stop', makes: outcome === 'invalid' ? 'invalid' : 'special', data: { say } })),
  );
  const departures = run.departures.map(({ step, reason, effect }): SampleReason => ({
    code: 'departure',
    makes: effect === 'noted' ? 'routine' : effect,
    data: { step: step.say, reason },
  }));
  const stale: SampleReason[] = filledAt !== null && isStale(run, filledAt) ? [{ code: 'stale', makes: 'special', data: {} }] : [];
  const again = run.before.map(({ protocol, why }): SampleReason => ({ code: 'begun-again', makes: 'routine', data: { protocol, why } }));
  const reopened = run.reopened.map(({ say, reason }): SampleReason => ({
    code: 'reopened',
    makes: 'routine',
    data: { step: say, reason },
  }));
  return [...again, ...reopened, ...stops, ...departures, ...stale];
}
