import type { AnalysisId } from '../bottles/index.ts';
import type { Entry } from '../book/index.ts';
import { questionReading } from '../parameters/index.ts';
import type { TapPoint } from '../registers/index.ts';
import { convert, readNumber, unitLabel } from '../units/index.ts';
import { millis, second } from '../time/index.ts';
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
  return protocols.findLast((protocol) => analyses.includes(protocol.analysis)) ?? null;
}

/** The protocol of an id and edition, or null when this copy of the product does not have it. */
export function findProtocol(id: string, edition: string): Protocol | null {
  return protocols.find((protocol) => protocol.id === id && protocol.edition === edition) ?? null;
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
 * Why an answer cannot be taken for a step, or null. A short clock or an unanswered check is no refusal here: it is a
 * departure and needs a reason, see {@link departs}.
 */
export function refuseAnswer(step: Step, answer: StepAnswer): { path: string; message: string } | null {
  const { act } = step;
  if (act.type !== answer.type) return { path: 'answer.type', message: `This step asks for ${act.type}.` };
  if (act.type === 'choose' && answer.type === 'choose' && !act.options.some((option) => option.id === answer.option)) {
    return { path: 'answer.option', message: 'Not one of the options.' };
  }
  if (act.type === 'checks' && answer.type === 'checks') {
    const open = act.items.find((item) => !answer.yes.includes(item.id) && !answer.no.includes(item.id));
    if (open) return { path: `answer.${open.id}`, message: `Answer “${open.label}”.` };
  }
  if (act.type === 'measure' && answer.type === 'measure') {
    const stop = questionReading(act.parameter, answer.reading).find((finding) => finding.severity === 'stop');
    if (stop) return { path: 'answer.reading.text', message: stop.message };
  }
  return null;
}

/** Why an answer departs from the protocol and so needs a reason, or null. `now` in ms. */
export function departs(run: RunStep, answer: StepAnswer, now: number): string | null {
  const { act } = run.step;
  if (act.type === 'clock') {
    const seconds = run.clockFrom === null ? 0 : (now - run.clockFrom) / second;
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

/**
 * Where the run of a visit stands; null before it is started. Steps whose condition is not met are left out of the
 * list once the choice they hang on is made. `entries` are corrected ones of the visit.
 */
export function foldRun(entries: readonly Entry[], point: TapPoint): RunState | null {
  const start = entries.find(runStarted.is);
  const protocol = start && findProtocol(start.payload.protocol, start.payload.edition);
  if (!start || !protocol) return null;

  const answers = new Map<string, StepAnswer>();
  for (const entry of entries) if (stepDone.is(entry)) answers.set(entry.payload.step, entry.payload.answer);

  let reached = false;
  const steps = protocol.steps
    .filter((step) => isAsked(step, answers))
    .map((step): RunStep => {
      const done = entries.filter(stepDone.is).findLast((entry) => entry.payload.step === step.id);
      const skipped = entries.filter(stepSkipped.is).findLast((entry) => entry.payload.step === step.id);
      const clock = entries.filter(clockStarted.is).findLast((entry) => entry.payload.step === step.id);
      const closing = done ?? skipped;
      const state = done ? 'done' : skipped ? 'skipped' : reached ? 'later' : 'now';
      if (!closing) reached = true;
      return {
        step,
        state,
        clockFrom: clock ? millis(clock.at) : null,
        doneAt: closing ? millis(closing.at) : null,
        entry: closing?.id ?? null,
        answer: done?.payload.answer ?? null,
        departure: closing?.payload.departure ?? null,
        stops: done ? stopsOf(step, done.payload.answer, point) : [],
      };
    });
  const stops = steps.flatMap((step) => step.stops);
  const abandoned = stops.some((stop) => stop.outcome === 'abandoned');
  const now = abandoned ? null : (steps.find((step) => step.state === 'now') ?? null);
  return {
    protocol,
    startedAt: millis(start.at),
    steps,
    now,
    abandoned,
    sample: stops.length > 0 ? 'special' : 'routine',
    departures: steps.flatMap((step) => (step.departure ? [{ step: step.step, reason: step.departure }] : [])),
    finished: !abandoned && now === null,
  };
}

/** The measured value of a step as typed with its unit, for the form; null when it was not measured. */
export function measured(run: RunState, parameter: string): string | null {
  const found = run.steps.find(({ step }) => step.act.type === 'measure' && step.act.parameter === parameter);
  return found?.answer?.type === 'measure' ? `${found.answer.reading.text} ${unitLabel(found.answer.reading.unit)}` : null;
}
