import type { Coded } from '../findings/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { Criterion, Tolerance } from './tables/criteria.ts';

/** One set of readings, each in its parameter's own unit; a parameter that was not read is absent. */
export type ReadingSet = Partial<Record<ParameterId, number>>;

/** The step in which each parameter was read, in its own unit: 0.1 for a meter that shows 7.4. */
export type ReadingSteps = Partial<Record<ParameterId, number>>;

/**
 * What one parameter does: `holding` within its band over the required sets, `moving` out of it, `short` of sets, read in steps too
 * `coarse` for its band, or `unread` so far.
 */
export interface ParameterVerdict {
  parameter: ParameterId;
  state: 'holding' | 'moving' | 'short' | 'coarse' | 'unread';
  /** The values of the window, oldest first, in the parameter's unit. */
  window: number[];
  /** Middle of the band the next reading is judged by, and its half width; null before the first reading. */
  band: { middle: number; half: number } | null;
  /** Why, with its numbers in the parameter's own unit. */
  because: Coded;
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
  const { absolute, small, percent = 0 } = tolerance;
  const share = small && Math.abs(reference) <= small.most ? small.percent : percent;
  return absolute ?? (Math.abs(reference) * share) / 100;
}

/** Compares with a hair's allowance, so that 7.45 and 7.35 do agree within 0.1. */
const within = (difference: number, half: number) => Math.abs(difference) <= half + 1e-9;

function judge(tolerance: Tolerance, rule: Criterion, sets: readonly ReadingSet[], steps: ReadingSteps): ParameterVerdict {
  const id = tolerance.parameter;
  const values = sets.map((set) => set[id]);
  const recent = values.slice(-rule.sets);
  const window = recent.filter((value) => value !== undefined);
  const latest = window.at(-1);
  if (latest === undefined) return { parameter: id, state: 'unread', window, band: null, because: { code: 'not-read' } };

  const reference = rule.against === 'median' ? median(window) : latest;
  const band = { middle: reference, half: halfWidth(tolerance, reference) };
  if (recent.length < rule.sets || window.length < recent.length) {
    return { parameter: id, state: 'short', window, band, because: { code: 'few-sets', data: { read: window.length, asked: rule.sets } } };
  }
  const floor = tolerance.floor;
  if (floor !== undefined && window.every((value) => value <= floor)) {
    return { parameter: id, state: 'holding', window, band, because: { code: 'at-floor', data: { parameter: id, floor } } };
  }
  const step = steps[id];
  // Numbers that are read more coarsely than they may differ agree of themselves.
  if (step !== undefined && step > band.half + 1e-9)
    return {
      parameter: id,
      state: 'coarse',
      window,
      band,
      because: { code: 'too-coarse', data: { parameter: id, step, allowed: band.half } },
    };
  const deviations =
    rule.against === 'median'
      ? window.map((value) => ({ by: value - reference, half: band.half }))
      : window.slice(1).map((value, index) => ({ by: value - window[index]!, half: halfWidth(tolerance, window[index]!) }));
  const worst = deviations.reduce((a, b) => (Math.abs(b.by) - b.half > Math.abs(a.by) - a.half ? b : a));
  return {
    parameter: id,
    window,
    band,
    state: within(worst.by, worst.half) ? 'holding' : 'moving',
    because: { code: 'moved', data: { parameter: id, by: Math.abs(worst.by), allowed: worst.half } },
  };
}

/**
 * Whether the last sets of readings agree under a criterion. Every parameter of the criterion that an instrument has
 * read at least once counts; one that was never read is listed in `ignored` by the caller's choice of `chosen`.
 *
 * @param chosen the parameters to judge; by default all of the criterion
 * @param steps the coarsest step in which each was read in these sets; not looked at where it is left out
 */
export function judgeStability(
  rule: Criterion,
  sets: readonly ReadingSet[],
  chosen?: readonly ParameterId[],
  steps: ReadingSteps = {},
): Stability {
  const parameters = rule.tolerances
    .filter((tolerance) => !chosen || chosen.includes(tolerance.parameter))
    .map((tolerance) => judge(tolerance, rule, sets, steps));
  const heldUpBy = parameters.filter((verdict) => verdict.state !== 'holding');
  return { stable: parameters.length > 0 && heldUpBy.length === 0, parameters, heldUpBy };
}
