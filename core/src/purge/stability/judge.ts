import type { Coded } from '../../findings/index.ts';
import type { ParameterId } from '../../parameters/index.ts';
import { windowFrom } from './counting.ts';
import { allowedAt, type Criterion, type Tolerance } from './criterion.ts';

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

export interface JudgedBy {
  /** The coarsest step in which each parameter was read in these sets; not looked at where it is left out. */
  steps?: ReadingSteps;
  /** Which of the sets count, all unless said otherwise: what does not may disprove and never prove. */
  counts?: readonly boolean[];
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Compares with a hair's allowance, so that 7.45 and 7.35 do agree within 0.1. */
const within = (difference: number, half: number) => Math.abs(difference) <= half + 1e-9;

/** A value of the window with whether its set counts. */
interface Value {
  value: number;
  counts: boolean;
}

/** How far each value is from what it is held against, and how far it may be. */
const deviations: Record<Criterion['against'], (values: readonly Value[], tolerance: Tolerance) => { by: number; half: number }[]> = {
  previous: (values, tolerance) => {
    let reference = values[0]!.value;
    return values.slice(1).map(({ value, counts }) => {
      const found = { by: value - reference, half: allowedAt(tolerance, reference) };
      if (counts) reference = value;
      return found;
    });
  },
  median: (values, tolerance) => {
    const middle = medianOf(values);
    return values.map(({ value }) => ({ by: value - middle, half: allowedAt(tolerance, middle) }));
  },
  spread: (values, tolerance) => {
    const all = values.map(({ value }) => value);
    return [{ by: Math.max(...all) - Math.min(...all), half: allowedAt(tolerance, medianOf(values)) }];
  },
};
const medianOf = (values: readonly Value[]) => median(values.filter(({ counts }) => counts).map(({ value }) => value));

function judge(
  tolerance: Tolerance,
  rule: Criterion,
  sets: readonly { set: ReadingSet; counts: boolean }[],
  steps: ReadingSteps,
): ParameterVerdict {
  const id = tolerance.parameter;
  const counting = sets.filter(({ counts }) => counts).length;
  const values = sets.flatMap(({ set, counts }): Value[] => (set[id] === undefined ? [] : [{ value: set[id], counts }]));
  const window = values.map(({ value }) => value);
  const latest = window.at(-1);
  if (latest === undefined) return { parameter: id, state: 'unread', window, band: null, because: { code: 'not-read' } };

  const read = values.filter(({ counts }) => counts).length;
  const reference = rule.against === 'previous' || read === 0 ? latest : medianOf(values);
  const band = { middle: reference, half: allowedAt(tolerance, reference) };
  const verdict = (state: ParameterVerdict['state'], because: Coded): ParameterVerdict => ({ parameter: id, state, window, band, because });
  if (counting < rule.sets || read < counting) return verdict('short', { code: 'few-sets', data: { read, asked: rule.sets } });
  const { floor, blind } = tolerance;
  if (floor !== undefined && window.every((value) => value <= floor))
    return verdict('holding', { code: 'at-floor', data: { parameter: id, floor } });
  const step = steps[id];
  if (blind !== undefined && step !== undefined && within(step, blind) && window.every((value) => value <= step + 1e-9))
    return verdict('holding', { code: 'below-step', data: { parameter: id, step } });
  // Numbers that are read more coarsely than they may differ agree of themselves.
  if (step !== undefined && step > band.half + 1e-9)
    return verdict('coarse', { code: 'too-coarse', data: { parameter: id, step, allowed: band.half } });
  const worst = deviations[rule.against](values, tolerance).reduce((a, b) => (Math.abs(b.by) - b.half > Math.abs(a.by) - a.half ? b : a), {
    by: 0,
    half: Infinity,
  });
  return verdict(within(worst.by, worst.half) ? 'holding' : 'moving', {
    code: 'moved',
    data: { parameter: id, by: Math.abs(worst.by), allowed: worst.half },
  });
}

/**
 * Whether the last sets of readings agree under a criterion. Every parameter of the criterion that an instrument has
 * read at least once counts; one that was never read is listed in `ignored` by the caller's choice of `chosen`.
 *
 * @param sets the window: from the first of the last sets that count, see {@link windowFrom}
 * @param chosen the parameters to judge; by default all of the criterion
 */
export function judgeStability(
  rule: Criterion,
  sets: readonly ReadingSet[],
  chosen?: readonly ParameterId[],
  { steps = {}, counts }: JudgedBy = {},
): Stability {
  const counting = counts ?? sets.map(() => true);
  const from = windowFrom(counting, rule.sets);
  const window = sets.slice(from).map((set, place) => ({ set, counts: counting[from + place]! }));
  const parameters = rule.tolerances
    .filter((tolerance) => !chosen || chosen.includes(tolerance.parameter))
    .map((tolerance) => judge(tolerance, rule, window, steps));
  const heldUpBy = parameters.filter((verdict) => verdict.state !== 'holding');
  return { stable: parameters.length > 0 && heldUpBy.length === 0, parameters, heldUpBy };
}
