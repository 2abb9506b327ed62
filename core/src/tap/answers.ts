import { misfit, type Misfit } from '../book/index.ts';
import type { PurposeId } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import { questionReading } from '../parameters/index.ts';
import { residualLeast, type Point } from '../registers/index.ts';
import { base, convert, readNumber, unit as unitOf, type Typed, type UnitId } from '../units/index.ts';
import { second } from '../time/index.ts';
import type { StepAnswer } from './entries.ts';
import type { CheckItem, Effect, MeasureStop, Protocol, Step, Stop } from './protocol.ts';
import type { RunStep } from './run-step.ts';
import { usualByAnalysis, usualByWater, type UsualTemperature } from './tables/usual-temperatures.ts';

const isOfDimension = (one: UnitId, other: UnitId) => unitOf(one).dimension === unitOf(other).dimension;

/** The answers to the steps before, by step. */
export type Answers = ReadonlyMap<string, StepAnswer>;

function numberIn({ text, unit }: Typed, wanted: UnitId): number | null {
  const reading = readNumber(text);
  return reading.ok && isOfDimension(unit, wanted) ? convert(reading.value, unit, wanted) : null;
}

/** What was measured last at a step; null where nothing was. */
export function lastReading(answer: StepAnswer | null | undefined): Typed | null {
  if (answer?.type === 'measure') return answer.reading;
  return answer?.type === 'constant' ? (answer.readings.at(-1) ?? null) : null;
}

/** A measured answer in a unit; null for one that was not measured. */
function measuredIn(answer: StepAnswer | undefined, unit: UnitId): number | null {
  const reading = lastReading(answer);
  return reading && numberIn(reading, unit);
}

/** Whether the last readings of a step that is measured until it is constant lie within its width. */
export function isConstant({ within, count, unit }: Extract<Step['act'], { type: 'constant' }>, readings: readonly Typed[]): boolean {
  const last = readings.slice(-count).map((one) => numberIn(one, unit) ?? Number.NaN);
  // A hair more than the width: 0.1 + 0.2 is no more than 0.3.
  return last.length === count && Math.max(...last) - Math.min(...last) <= within * (1 + 1e-9);
}

/** What holds of a stop at a point; null where it holds not there. */
function stopLimit(stop: MeasureStop, point: Point, unit: UnitId, before: Answers): { below?: number; above?: number } | null {
  const minimum = residualLeast(point) ?? undefined;
  if (stop.where && (stop.where === 'disinfected') !== (minimum !== undefined)) return null;
  const below = stop.below === 'residual-minimum' ? minimum : stop.below;
  const above = stop.aboveStep ? (measuredIn(before.get(stop.aboveStep), unit) ?? undefined) : stop.above;
  return below === undefined && above === undefined
    ? null
    : { ...(below === undefined ? {} : { below }), ...(above === undefined ? {} : { above }) };
}

/** The stops that an answer to a step brings, before it is written down as well as after. `before` has the answers to earlier steps. */
export function stopsOf(step: Step, answer: StepAnswer, point: Point, before: Answers = new Map()): Stop[] {
  const { act } = step;
  if (act.type === 'checks' && answer.type === 'checks') {
    return act.items.flatMap((item) => (item.stop && answer.no.includes(item.id) ? [item.stop] : []));
  }
  if (act.type === 'since' && answer.type === 'since') return base(answer.lasted) < act.least ? [act.stop] : [];
  if (act.type === 'measure' && answer.type === 'measure') {
    const value = measuredIn(answer, act.unit);
    if (value === null) return [];
    return act.stops.filter((stop) => {
      const { below, above } = stopLimit(stop, point, act.unit, before) ?? {};
      return (below !== undefined && value < below) || (above !== undefined && value > above);
    });
  }
  return [];
}

/** The run that a step is of, with the answers that it has so far. */
interface OfRun {
  protocol: Pick<Protocol, 'steps'>;
  steps: readonly { step: Pick<Step, 'id'>; answer: StepAnswer | null }[];
}

/** What is usual for the temperature that a run asks for: by which water was said to come, else by what the run is for. */
function usualTemperature({ protocol, steps }: OfRun): UsualTemperature | null {
  const chosen = steps.find(({ step }) => step.id === 'water')?.answer;
  if (chosen?.type === 'choose' && Object.hasOwn(usualByWater, chosen.option)) return usualByWater[chosen.option]!;
  const analyses = protocol.steps.flatMap(({ act }) => (act.type === 'fill' ? [act.analysis] : []));
  return analyses.flatMap((analysis) => usualByAnalysis[analysis] ?? [])[0] ?? null;
}

/**
 * What is odd about the numbers of an answer, before it is written down: the parameter's own questions, and the step's.
 * @param run the run that the step is of: what is usual for hot water is not so for cold
 */
export function questionStep({ act }: Step, answer: StepAnswer, run?: OfRun): Finding[] {
  if (act.type !== 'measure' && act.type !== 'constant') return [];
  const usual = run && act.type === 'measure' && act.parameter === 'temperature' ? usualTemperature(run) : null;
  if (usual) {
    const degrees = measuredIn(answer, 'degC');
    return degrees !== null && (degrees < usual.least || degrees > usual.most)
      ? [{ code: 'asked-above', severity: 'question', field: 'temperature', data: { says: usual.says } }]
      : [];
  }
  const readings = answer.type === 'measure' ? [answer.reading] : answer.type === 'constant' ? answer.readings : [];
  const found = readings.flatMap((reading) => questionReading(act.parameter, reading)).filter(({ severity }) => severity === 'question');
  const asked = act.type === 'measure' ? act.asked : undefined;
  const value = measuredIn(answer, act.unit);
  return asked && value !== null && value > asked.above
    ? [...found, { code: 'asked-above', severity: 'question', field: act.parameter, data: { says: asked.says } }]
    : found;
}

/** A clock that has run so many times its least, and so much longer (s), was forgotten rather than watched. Common practice. */
const forgotten = { times: 4, longer: 3600 } as const;

/** Whether a clock without an end ran so long that somebody may have forgotten it. `now` in ms. */
export function questionClock({ step: { act }, clockFrom }: Pick<RunStep, 'step' | 'clockFrom'>, now: number): Finding[] {
  if (act.type !== 'clock' || act.most !== undefined || clockFrom === null) return [];
  const ran = (now - clockFrom) / second;
  if (ran <= Math.max(forgotten.times * act.least, act.least + forgotten.longer)) return [];
  return [{ code: 'clock-forgotten', severity: 'question', field: 'clock', data: { minutes: Math.floor(ran / 60) } }];
}

/** Whether some answer to a step would be a stop at this point: without the answer nobody knows what the sample is. */
export function decidesSample({ act }: Step, point: Point): boolean {
  if (act.type === 'checks') return act.items.some((item) => item.stop);
  if (act.type === 'since') return true;
  return (
    act.type === 'measure' && act.stops.some((stop) => stop.aboveStep !== undefined || stopLimit(stop, point, act.unit, new Map()) !== null)
  );
}

/** What a departure from a step makes of the sample where the edition does not say it. */
const unsaid: Effect = 'special';

/** From the mildest to the worst. */
const effects: readonly Effect[] = ['noted', 'special', 'invalid'];
const worst = (all: readonly Effect[]): Effect => effects[Math.max(0, ...all.map((one) => effects.indexOf(one)))]!;

/**
 * What a departure from a step makes of the sample: each check answered no by its own effect, a step that was left out or cut short
 * by the step's. What was left out and might have been a stop is never just noted.
 * @param isOverrun its clock ran longer than its most
 */
export function effectOf(step: Step, answer: StepAnswer | null, point: Point, isOverrun = false): Effect {
  const { act, departed = unsaid } = step;
  if (isOverrun && step.overrun) return step.overrun;
  if (act.type === 'checks' && answer?.type === 'checks')
    return worst(act.items.filter((item) => answer.no.includes(item.id) && !item.stop).map((item) => item.no ?? unsaid));
  return answer === null && decidesSample(step, point) ? worst([departed, 'special']) : departed;
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
    if (!isOfDimension(answer.reading.unit, act.unit)) return misfit('other-unit', 'payload.answer.reading.unit', { unit: act.unit });
    const stop = questionReading(act.parameter, answer.reading).find((finding) => finding.severity === 'stop');
    if (stop) return misfit('cannot-be', 'payload.answer.reading.text', { ...stop.data, finding: stop.code });
  }
  if (act.type === 'constant' && answer.type === 'constant')
    for (const [place, reading] of answer.readings.entries()) {
      if (!isOfDimension(reading.unit, act.unit)) return misfit('other-unit', `payload.answer.readings.${place}.unit`, { unit: act.unit });
      const stop = questionReading(act.parameter, reading).find((finding) => finding.severity === 'stop');
      if (stop) return misfit('cannot-be', `payload.answer.readings.${place}`, { ...stop.data, finding: stop.code });
    }
  return null;
}

/** What of a round's bottles a step asks about. */
export interface BottleSeen {
  purpose: PurposeId;
  state: string;
}

/**
 * Whether somebody says that a blank is filled where the book knows that none is: nobody swears to a bottle that is not planned, or still
 * empty. Null where it goes together.
 * @param of which items say so: those that their edition marks
 */
export function misfitBlank(
  { act }: Step,
  answer: StepAnswer,
  bottles: () => readonly BottleSeen[],
  of: (item: CheckItem) => PurposeId | undefined = ({ filled }) => filled,
): Misfit | null {
  if (act.type !== 'checks' || answer.type !== 'checks') return null;
  for (const item of act.items) {
    const purpose = of(item);
    if (!purpose || !answer.yes.includes(item.id)) continue;
    const own = bottles().filter((one) => one.purpose === purpose);
    if (!own.some(({ state }) => state === 'filled'))
      return misfit(own.length === 0 ? 'blank-not-planned' : 'blank-not-filled', `payload.answer.${item.id}`);
  }
  return null;
}

/** The item of the first editions, which the book did not judge. */
export const saysBlank = ({ id, filled }: CheckItem): PurposeId | undefined => filled ?? (id === 'blank' ? 'field-blank' : undefined);

/**
 * Why an answer departs from the protocol and so needs a reason, or null. A departure is not refused: it is written down
 * with its reason. `now` in ms.
 */
export function departs(run: RunStep, answer: StepAnswer, now: number): Misfit | null {
  const { act } = run.step;
  const departure = (code: string, data: Misfit['data']) => misfit(code, 'payload.departure', data);
  if (act.type === 'clock') {
    const ran = run.clockFrom === null ? 0 : Math.max(0, (now - run.clockFrom) / second);
    if (run.clockBackdated > 0) return departure('clock-backdated', { by: run.clockBackdated });
    if (act.most !== undefined && ran > act.most) return departure('clock-over', { most: act.most, ran });
    if (ran < act.least) return departure('clock-short', { least: act.least, ran });
  }
  if (act.type === 'constant' && answer.type === 'constant' && !isConstant(act, answer.readings))
    return departure('not-constant', { count: act.count, within: act.within, unit: act.unit });
  if (act.type === 'times' && answer.type === 'times' && answer.times < act.least)
    return departure('too-few-times', { least: act.least, times: answer.times });
  if (act.type === 'checks' && answer.type === 'checks' && answer.no.length > 0) {
    const missed = act.items.filter((item) => answer.no.includes(item.id)).map((item) => item.label);
    return departure('answered-no', { items: missed.join('; ') });
  }
  return null;
}
