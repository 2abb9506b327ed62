import type { AnalysisId } from '../bottles/index.ts';
import { backdatedBy, misfit, postdatedBy, type Entry, type Misfit, type Room } from '../book/index.ts';
import { refOf } from '../editions/index.ts';
import { questionReading } from '../parameters/index.ts';
import type { Point, TapPoint } from '../registers/index.ts';
import { convert, readNumber, unitLabel } from '../units/index.ts';
import { millis, second, showDuration } from '../time/index.ts';
import { clockStarted, runStarted, stepDone, stepSkipped, type StepAnswer } from './entries.ts';
import type { MeasureStop, Protocol, Step, Stop } from './protocol.ts';
import { protocols } from './tables/index.ts';

/** Least free chlorine in mg/L that is proposed for a new point. Source: WHO Guidelines, point of delivery (from memory). */
export const usualResidualMinimum = 0.2;

export interface RunStep {
  step: Step;
  state: 'done' | 'skipped' | 'now' | 'later';
  /** When its clock was started, in ms. */
  clockFrom: number | null;
  /** How long, in ms, after its time the start of its clock was written down; 0 when it was started as it happened. */
  clockBackdated: number;
  doneAt: number | null;
  entry: string | null;
  answer: StepAnswer | null;
  departure: string | null;
  stops: Stop[];
}

/** Where a run stands. `sample` is what the bottle is: only a run without stops takes a routine sample. */
export interface RunState {
  protocol: Protocol;
  startedAt: number;
  steps: RunStep[];
  now: RunStep | null;
  sample: 'routine' | 'special';
  abandoned: boolean;
  departures: { step: Step; reason: string }[];
  finished: boolean;
}

/** The protocol that takes samples for one of these analyses, in its latest edition; null when none is asked for by a protocol. */
export function protocolFor(analyses: readonly AnalysisId[]): Protocol | null {
  return protocols.newest.findLast((protocol) => analyses.includes(protocol.analysis)) ?? null;
}

/** The protocol of an id and edition, or null when this copy of the product does not have it. */
export function findProtocol(id: string, edition: string): Protocol | null {
  return protocols.find(refOf({ id, edition }));
}

function stopLimit(stop: MeasureStop, point: TapPoint): { below?: number; above?: number } {
  const below = stop.below === 'residual-minimum' ? (point.tap.residualMinimum ?? undefined) : stop.below;
  return { ...(below === undefined ? {} : { below }), ...(stop.above === undefined ? {} : { above: stop.above }) };
}

/** The stops that an answer to a step brings, before it is written down as well as after. */
export function stopsOf(step: Step, answer: StepAnswer, point: TapPoint): Stop[] {
  const { act } = step;
  if (act.type === 'checks' && answer.type === 'checks') {
    return act.items.flatMap((item) => (item.stop && answer.no.includes(item.id) ? [item.stop] : []));
  }
  if (act.type === 'measure' && answer.type === 'measure') {
    const reading = readNumber(answer.reading.text);
    if (!reading.ok) return [];
    const value = convert(reading.value, answer.reading.unit, act.unit);
    return act.stops.filter((stop) => {
      const { below, above } = stopLimit(stop, point);
      return (below !== undefined && value < below) || (above !== undefined && value > above);
    });
  }
  return [];
}

/**
 * Why an answer cannot be taken for a step, or null. A short clock or a check answered no is no misfit here: it is a
 * departure and needs a reason, see {@link departs}.
 */
export function misfitAnswer(step: Step, answer: StepAnswer): Misfit | null {
  const { act } = step;
  if (act.type !== answer.type) return misfit('other-answer', 'payload.answer.type', { type: act.type });
  if (act.type === 'choose' && answer.type === 'choose' && !act.options.some((option) => option.id === answer.option)) {
    return misfit('no-such-option', 'payload.answer.option');
  }
  if (act.type === 'checks' && answer.type === 'checks') {
    const given = [...answer.yes, ...answer.no];
    const strange = given.find((id, index) => !act.items.some((item) => item.id === id) || given.indexOf(id) !== index);
    if (strange !== undefined) return misfit('no-such-item', 'payload.answer');
    const open = act.items.find((item) => !given.includes(item.id));
    if (open) return misfit('unanswered', `payload.answer.${open.id}`, { label: open.label });
  }
  if (act.type === 'measure' && answer.type === 'measure') {
    const stop = questionReading(act.parameter, answer.reading).find((finding) => finding.severity === 'stop');
    if (stop) return misfit('cannot-be', 'payload.answer.reading.text', { why: stop.message });
  }
  return null;
}

/** Why an answer departs from the protocol and so needs a reason, or null. `now` in ms. */
export function departs(run: RunStep, answer: StepAnswer, now: number): string | null {
  const { act } = run.step;
  if (act.type === 'clock') {
    const seconds = run.clockFrom === null ? 0 : (now - run.clockFrom) / second;
    if (run.clockBackdated > 0) return `The start of the clock was written down ${showDuration(run.clockBackdated)} after its time.`;
    if (seconds < act.least) return `The clock asks for at least ${act.least} s; it ran ${Math.max(0, Math.floor(seconds))} s.`;
  }
  if (act.type === 'checks' && answer.type === 'checks' && answer.no.length > 0) {
    const missed = act.items.filter((item) => answer.no.includes(item.id)).map((item) => item.label);
    return `Answered no: ${missed.join('; ')}.`;
  }
  return null;
}

function isAsked(step: Step, answers: ReadonlyMap<string, StepAnswer>): boolean {
  if (!step.when) return true;
  const answer = answers.get(step.when.step);
  return answer?.type === 'choose' && step.when.chosen.includes(answer.option);
}

interface Given {
  entry: string;
  at: number;
  departure: string | null;
  /** Null for a step that was left out. */
  answer: StepAnswer | null;
}

/** What a book says of the run of one visit. */
export interface RunBook {
  start: { at: number; protocol: string; edition: string; entry: string } | null;
  given: ReadonlyMap<string, Given>;
  clocks: ReadonlyMap<string, { from: number; backdated: number }>;
}

export interface RunAround {
  point: Point;
  /** Whether a bottle that the protocol fills is still empty. */
  isToFill: (analysis: AnalysisId) => boolean;
}

/**
 * Where the run of a visit stands; null before it is started, and for an edition that is not known here, see
 * {@link unknownRun}. Steps whose condition is not met are left out of the list once the choice they hang on is made.
 */
export function runState({ start, given, clocks }: RunBook, point: TapPoint): RunState | null {
  const protocol = start && findProtocol(start.protocol, start.edition);
  if (!start || !protocol) return null;
  const answers = new Map([...given].flatMap(([step, { answer }]) => (answer ? [[step, answer] as const] : [])));
  let reached = false;
  const steps = protocol.steps
    .filter((step) => isAsked(step, answers))
    .map((step): RunStep => {
      const closing = given.get(step.id);
      const clock = clocks.get(step.id);
      const state = closing ? (closing.answer ? 'done' : 'skipped') : reached ? 'later' : 'now';
      if (!closing) reached = true;
      return {
        step,
        state,
        clockFrom: clock?.from ?? null,
        clockBackdated: clock?.backdated ?? 0,
        doneAt: closing?.at ?? null,
        entry: closing?.entry ?? null,
        answer: closing?.answer ?? null,
        departure: closing?.departure ?? null,
        stops: closing?.answer ? stopsOf(step, closing.answer, point) : [],
      };
    });
  const stops = steps.flatMap((step) => step.stops);
  const abandoned = stops.some((stop) => stop.outcome === 'abandoned');
  const now = abandoned ? null : (steps.find((step) => step.state === 'now') ?? null);
  return {
    protocol,
    startedAt: start.at,
    steps,
    now,
    abandoned,
    sample: stops.length > 0 ? 'special' : 'routine',
    departures: steps.flatMap((step) => (step.departure ? [{ step: step.step, reason: step.departure }] : [])),
    finished: !abandoned && now === null,
  };
}

/** The edition of a run that this copy of the product does not have: it can be kept, not judged. */
export function unknownRun({ start }: RunBook): string | null {
  return start && !findProtocol(start.protocol, start.edition) ? refOf({ id: start.protocol, edition: start.edition }) : null;
}

function stepFits(book: RunBook, entry: Entry, point: TapPoint, around: RunAround): Misfit | null {
  const run = runState(book, point);
  // Its steps cannot be judged; they are kept as they are.
  if (!run) return null;
  const { step } = entry.payload as { step: string };
  const { now } = run;
  if (!now) return misfit('run-over', 'payload.step');
  if (now.step.id !== step) return misfit('other-step', 'payload.step', { say: now.step.say });
  if (clockStarted.is(entry)) {
    if (now.step.act.type !== 'clock') return misfit('no-clock', 'payload.step');
    return now.clockFrom === null ? null : misfit('clock-runs', 'payload.step');
  }
  if (!stepDone.is(entry)) return null;
  const refused = misfitAnswer(now.step, entry.payload.answer);
  if (refused) return refused;
  if (now.step.act.type === 'fill' && around.isToFill(now.step.act.analysis)) return misfit('fill-first', 'payload.step');
  const early = now.step.act.type === 'clock' ? postdatedBy(entry) : 0;
  const why =
    departs(now, entry.payload.answer, millis(entry.at)) ??
    (early > 0 ? `The end of the clock was written down ${showDuration(early)} before its time.` : null);
  return why && !entry.payload.departure ? misfit('departure-unexplained', 'payload.departure', { why }) : null;
}

export const runRoom: Room<RunBook, RunAround> = {
  kinds: [runStarted, clockStarted, stepDone, stepSkipped],
  empty: { start: null, given: new Map(), clocks: new Map() },
  fits: (book, entry, around) => {
    const { point } = around;
    if (point.type !== 'tap') return misfit('not-a-tap', 'visit');
    if (runStarted.is(entry)) return book.start ? misfit('run-started', 'visit') : null;
    return book.start ? stepFits(book, entry, point, around) : misfit('start-first', 'visit');
  },
  advance: (book, entry) => {
    const at = millis(entry.at);
    if (runStarted.is(entry)) return { ...book, start: { at, entry: entry.id, ...entry.payload } };
    if (clockStarted.is(entry)) {
      return { ...book, clocks: new Map(book.clocks).set(entry.payload.step, { from: at, backdated: backdatedBy(entry) }) };
    }
    if (!stepDone.is(entry) && !stepSkipped.is(entry)) return book;
    const { step, departure = null } = entry.payload;
    const answer = stepDone.is(entry) ? entry.payload.answer : null;
    return { ...book, given: new Map(book.given).set(step, { entry: entry.id, at, departure, answer }) };
  },
};

/** The measured value of a step as typed with its unit, for the form; null when it was not measured. */
export function measured(run: RunState, parameter: string): string | null {
  const found = run.steps.find(({ step }) => step.act.type === 'measure' && step.act.parameter === parameter);
  return found?.answer?.type === 'measure' ? `${found.answer.reading.text} ${unitLabel(found.answer.reading.unit)}` : null;
}
