import type { Finding } from '../findings/index.ts';
import { conductivityAt25, inOwnUnit, oxygenSaturation, parameter, questionReading, type ParameterId } from '../parameters/index.ts';
import { base, convert, readNumber, type Typed } from '../units/index.ts';
import type { Shown } from './entries.ts';
import { method, type MethodId } from './methods.ts';

/** What a test says of the water, in the parameter's own unit: a number, a bound, or a class of a chart. */
export interface Told {
  parameter: ParameterId;
  form: 'value' | 'below' | 'above' | 'class';
  /** What it is at least and at most; no end above where the range shows no more. */
  low: number;
  high: number;
}

/** What a reading is read beside. */
export interface Beside {
  parts?: number;
  compensation?: 'meter' | 'none' | undefined;
  temperature?: Typed | undefined;
  elevation?: Typed | undefined;
}

const own = (id: MethodId, value: number) => convert(value, method(id).unit, parameter(method(id).parameter).unit);

/** A number as it was shown, in the parameter's own unit, before any dilution; null where it is none. */
function numberShown(id: MethodId, reading: Typed, { compensation, temperature }: Beside): number | null {
  if (!readNumber(reading.text).ok) return null;
  const value = inOwnUnit(method(id).parameter, reading);
  const isRaw = method(id).beside === 'compensation' && compensation === 'none' && temperature !== undefined;
  return isRaw && value > 0 ? conductivityAt25({ measured: value, temperature: base(temperature) }).value : value;
}

/**
 * What a test tells. Below the method's step it is not told from nothing; over its range it is only known to be more. A sample that was
 * made up to n parts has n times as much. At an end of what a dye tells, it is known only to be there or beyond. Null for a text that is no number.
 */
export function tell(id: MethodId, shown: Shown, beside: Beside = {}): Told | null {
  const { parameter: of, step, range, tells } = method(id);
  const { parts = 1 } = beside;
  const told = (form: Told['form'], low: number, high: number): Told => ({ parameter: of, form, low: low * parts, high: high * parts });
  if (shown.is === 'class') return told('class', own(id, shown.from), own(id, shown.to));
  const most = range ? own(id, range[1]) : Infinity;
  if (shown.is === 'over') return told('above', most === Infinity ? 0 : most, Infinity);
  const value = numberShown(id, shown.reading, beside);
  if (value === null) return null;
  if (value > most) return told('above', most, Infinity);
  if (tells && value >= tells[1]) return told('above', tells[1], Infinity);
  if (tells && value <= tells[0]) return told('below', 0, tells[0]);
  return step !== undefined && value < own(id, step) * (1 - 1e-9) ? told('below', 0, own(id, step)) : told('value', value, value);
}

/** Oxygen beyond this part of what air gives is asked about: more is rare in water that no sun shines on. Common practice. */
const overSaturated = 1.1;

/** What of oxygen the air would give, as a part; null where nobody says how warm it is. */
export function saturationOf({ low }: Told, { temperature, elevation }: Beside): number | null {
  if (!temperature || !readNumber(temperature.text).ok) return null;
  const at = elevation && readNumber(elevation.text).ok ? base(elevation) : 0;
  return low / oxygenSaturation(base(temperature), at).value;
}

/** What is around a test that is asked about. */
export interface Asked {
  /** Water before any disinfection. */
  isRaw: boolean;
  /** What free or total chlorine, the other of the two, was told last; null where it was not. */
  other: Told | null;
  /** Between which values the instrument may be used, in the parameter's own unit. */
  ranges?: readonly { parameter: ParameterId; from: number; to: number }[] | undefined;
}

/** What the difference of free and total chlorine is judged to: one step of a photometer. */
const chlorineStep = 0.02;

/** Whether more is said to be free than there is in all. */
export function isFreeAboveTotal(one: Told, other: Told | null): boolean {
  const [free, total] = one.parameter === 'freeChlorine' ? [one, other] : [other, one];
  return (
    free?.parameter === 'freeChlorine' &&
    total?.parameter === 'totalChlorine' &&
    free.low > total.high + Math.max(chlorineStep, 0.05 * free.low)
  );
}

/** What a reading at an end of its range does not tell. */
function endOf(id: MethodId, { form, low, high }: Told): Finding[] {
  const { parameter: of, tells } = method(id);
  const note = (code: string, data: Finding['data']): Finding[] => [{ code, severity: 'note', field: of, data }];
  const { unit } = parameter(of);
  if (tells && form !== 'value') return note('end-of-dye', { least: tells[0], most: tells[1] });
  if (form === 'below') return note('not-from-zero', { high, unit });
  return form === 'above' ? note('dilute', { low, unit }) : [];
}

/** What a reading between two steps of a chart does not tell. */
function betweenSteps(id: MethodId, shown: Shown): Finding[] {
  const { parameter: of, chart, unit } = method(id);
  if (!chart || shown.is !== 'class' || shown.from === shown.to) return [];
  return [{ code: 'between-steps', severity: 'note', field: of, data: { to: shown.to, unit } }];
}

/** Whether no water has so little or so much. */
const isImpossible = ({ low, high }: Told, [least, most]: readonly [number, number]): boolean =>
  low < least || (Number.isFinite(high) && high > most);

/** Whether a reading lies beyond what its instrument reads, before it was multiplied. */
const isBeyond = (told: Told, parts: number, { from, to }: { from: number; to: number }): boolean =>
  told.form === 'value' && (told.low / parts < from || told.high / parts > to);

/** What is odd about a reading before it is written down; `stop` cannot be. */
export function questionTest(id: MethodId, shown: Shown, beside: Beside, { isRaw, other, ranges = [] }: Asked): Finding[] {
  const { parameter: of } = method(id);
  if (shown.is === 'number') {
    const odd = questionReading(of, shown.reading);
    if (odd.some(({ severity }) => severity === 'stop')) return odd;
  }
  const told = tell(id, shown, beside);
  if (!told) return [];
  const { parts = 1 } = beside;
  const found: Finding[] = shown.is === 'number' && parts === 1 ? questionReading(of, shown.reading) : [];
  const ask = (code: string, data: Finding['data'] = {}) => found.push({ code, severity: 'question', field: of, data });
  const [least, most] = parameter(of).possible;
  if (isImpossible(told, [least, most]))
    return [{ code: 'impossible', severity: 'stop', field: of, data: { parameter: of, least, most, unit: parameter(of).unit } }];
  if (isFreeAboveTotal(told, other)) ask('free-above-total', { free: told.low, other: other!.low });
  if (isRaw && /Chlorine$|chloramine$/.test(of) && told.form !== 'below' && told.low > chlorineStep)
    ask('chlorine-in-raw', { low: told.low });
  const part = of === 'oxygen' ? (saturationOf(told, beside) ?? 0) : 0;
  if (part > overSaturated) ask('over-saturated', { percent: Math.round(part * 100) });
  const range = ranges.find((one) => one.parameter === of);
  if (range && isBeyond(told, parts, range)) ask('instrument-range', { from: range.from, to: range.to, unit: parameter(of).unit });
  return [...found, ...endOf(id, told), ...betweenSteps(id, shown)];
}

/** What of a test is held against a number that is typed. */
interface TestBeside {
  told: Told | null;
  readAt: number | null;
  dropped: string | null;
}

/**
 * Whether chlorine that is typed at a step goes with what tests of the same water told: free above total doubts both.
 * @param since tests read before this moment (ms) are of other water
 */
export function questionBesideTests(
  act: { type: string; parameter?: ParameterId },
  answer: { type: string; reading?: Typed },
  tests: readonly TestBeside[],
  since: number,
): Finding[] {
  const { parameter: of } = act;
  if (answer.type !== 'measure' || !answer.reading || (of !== 'freeChlorine' && of !== 'totalChlorine')) return [];
  if (!readNumber(answer.reading.text).ok) return [];
  const value = inOwnUnit(of, answer.reading);
  const typed: Told = { parameter: of, form: 'value', low: value, high: value };
  const other = tests.findLast(
    ({ told, readAt, dropped }) =>
      told && told.parameter !== of && (readAt ?? 0) >= since && dropped === null && /^(free|total)Chlorine$/.test(told.parameter),
  );
  return other?.told && isFreeAboveTotal(typed, other.told)
    ? [{ code: 'free-above-total', severity: 'question', field: of, data: { free: value, other: other.told.low } }]
    : [];
}
