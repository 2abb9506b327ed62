import { parameter, type ParameterId } from '../parameters/index.ts';
import { fromBase, showNumber, toBase, unitLabel } from '../units/index.ts';
import type { Criterion, Tolerance } from './tables/criteria.ts';

/** One set of readings, each in its parameter's own unit; a parameter that was not read is absent. */
export type ReadingSet = Partial<Record<ParameterId, number>>;

/**
 * What one parameter does: `holding` within its band over the required sets, `moving` out of it, `short` of sets, or
 * `unread` so far.
 */
export interface ParameterVerdict {
  parameter: ParameterId;
  state: 'holding' | 'moving' | 'short' | 'unread';
  /** The values of the window, oldest first, in the parameter's unit. */
  window: number[];
  /** Middle of the band the next reading is judged by, and its half width; null before the first reading. */
  band: { middle: number; half: number } | null;
  /** Why, in a few words, such as `moved 1.2 °C, ± 0.2 °C allowed`. */
  because: string;
}

/** The verdict over all parameters of a criterion that were read at all. */
export interface Stability {
  stable: boolean;
  parameters: ParameterVerdict[];
  /** What still moves, is short of sets or was not read; empty when stable. */
  heldUpBy: ParameterVerdict[];
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

function halfWidth(tolerance: Tolerance, reference: number): number {
  return tolerance.absolute ?? (Math.abs(reference) * (tolerance.percent ?? 0)) / 100;
}

/** Compares with a hair's allowance, so that 7.45 and 7.35 do agree within 0.1. */
const within = (difference: number, half: number) => Math.abs(difference) <= half + 1e-9;

function judge(tolerance: Tolerance, rule: Criterion, sets: readonly ReadingSet[]): ParameterVerdict {
  const id = tolerance.parameter;
  const row = parameter(id);
  const values = sets.map((set) => set[id]);
  const recent = values.slice(-rule.sets);
  const window = recent.filter((value) => value !== undefined);
  const latest = window.at(-1);
  if (latest === undefined) return { parameter: id, state: 'unread', window, band: null, because: 'not read' };

  const reference = rule.against === 'median' ? median(window) : latest;
  const band = { middle: reference, half: halfWidth(tolerance, reference) };
  if (recent.length < rule.sets || window.length < recent.length) {
    return { parameter: id, state: 'short', window, band, because: `${window.length} of ${rule.sets} sets` };
  }
  const floor = tolerance.floor;
  if (floor !== undefined && window.every((value) => value <= floor)) {
    return { parameter: id, state: 'holding', window, band, because: `all at or below ${floor} ${unitLabel(row.unit)}` };
  }
  const deviations =
    rule.against === 'median'
      ? window.map((value) => ({ by: value - reference, half: band.half }))
      : window.slice(1).map((value, index) => ({ by: value - window[index]!, half: halfWidth(tolerance, window[index]!) }));
  const worst = deviations.reduce((a, b) => (Math.abs(b.by) - b.half > Math.abs(a.by) - a.half ? b : a));
  const shown = (value: number) =>
    showNumber(Math.abs(fromBase(toBase(value, row.unit), row.unit)), row.decimals + (row.decimals < 2 ? 1 : 0));
  return {
    parameter: id,
    window,
    band,
    state: within(worst.by, worst.half) ? 'holding' : 'moving',
    because: `moved ${shown(worst.by)} ${unitLabel(row.unit)}, ± ${shown(worst.half)} allowed`,
  };
}

/**
 * Whether the last sets of readings agree under a criterion. Every parameter of the criterion that an instrument has
 * read at least once counts; one that was never read is listed in `ignored` by the caller's choice of `chosen`.
 *
 * @param chosen the parameters to judge; by default all of the criterion
 */
export function judgeStability(rule: Criterion, sets: readonly ReadingSet[], chosen?: readonly ParameterId[]): Stability {
  const parameters = rule.tolerances
    .filter((tolerance) => !chosen || chosen.includes(tolerance.parameter))
    .map((tolerance) => judge(tolerance, rule, sets));
  const heldUpBy = parameters.filter((verdict) => verdict.state !== 'holding');
  return { stable: parameters.length > 0 && heldUpBy.length === 0, parameters, heldUpBy };
}
