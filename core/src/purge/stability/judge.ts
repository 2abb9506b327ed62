import type { Coded } from '../../findings/index.ts';
import type { ParameterId } from '../../parameters/index.ts';
import { windowFrom } from './counting.ts';
import { allowedAt, type Criterion, type Tolerance } from './criterion.ts';

/** One set of readings, each in its parameter's own unit; a parameter that was not read is absent. */
export type ReadingSet = Partial<Record<ParameterId, number>>;

/** The step in which each parameter was read, in its own unit: 0.1 for a meter that shows 7.4. */
export type ReadingSteps = Partial<Record<ParameterId, number>>;

/**
 * What one parameter does: `holding` within its band over the required sets, `moving` out of it, `drifting` one way by small steps, `short`
 * of sets, read in steps too `coarse` for its band, or `unread` so far.
 */
export interface ParameterVerdict {
  parameter: ParameterId;
  state: 'holding' | 'moving' | 'drifting' | 'short' | 'coarse' | 'unread';
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

interface Deviation {
  by: number;
  half: number;
}
/** By how much more than it may the worst of them is off. */
const excess = ({ by, half }: Deviation) => Math.abs(by) - half;
const none: Deviation = { by: 0, half: Infinity };

/** The worst of a window: how far a value is from what it is held against, and how far it may be. `counts` as in {@link JudgedBy}. */
const worstOf: Record<
  Criterion['against'],
  (window: readonly number[], counts: readonly boolean[] | null, tolerance: Tolerance) => Deviation
> = {
  previous: (window, counts, tolerance) => {
    let [worst, reference] = [none, window[0]!];
    for (let place = 1; place < window.length; place++) {
      const found = { by: window[place]! - reference, half: allowedAt(tolerance, reference) };
      if (excess(found) > excess(worst)) worst = found;
      if (!counts || counts[place]) reference = window[place]!;
    }
    return worst;
  },
  median: (window, counts, tolerance) => {
    const middle = middleOf(window, counts);
    const half = allowedAt(tolerance, middle);
    return window.map((value) => ({ by: value - middle, half })).reduce((a, b) => (excess(b) > excess(a) ? b : a));
  },
  spread: (window, counts, tolerance) => ({
    by: Math.max(...window) - Math.min(...window),
    half: allowedAt(tolerance, middleOf(window, counts)),
  }),
};
const middleOf = (window: readonly number[], counts: readonly boolean[] | null) =>
  median(counts ? window.filter((_, place) => counts[place]) : window);

/** By how much the values that count went one way all along; 0 where one of them turned back or stood still. */
function driftOf(window: readonly number[], counts: readonly boolean[] | null): number {
  const values = counts ? window.filter((_, place) => counts[place]) : window;
  if (values.length < 3) return 0;
  const ways = new Set(values.slice(1).map((value, place) => Math.sign(value - values[place]!)));
  return ways.size === 1 ? values.at(-1)! - values[0]! : 0;
}

/** What of a criterion decides whether one parameter holds. */
type HeldBy = Pick<Criterion, 'against'> & { isDriftTold?: boolean };

type Held = Omit<ParameterVerdict, 'parameter' | 'window' | 'band'>;

/** What a full window says: numbers and reason in the parameter's own unit. */
function hold(
  tolerance: Tolerance,
  { against, isDriftTold = false }: HeldBy,
  window: readonly number[],
  counts: readonly boolean[] | null,
  step?: number,
): Held {
  const { parameter: id, floor, blind } = tolerance;
  if (floor !== undefined && window.every((value) => value <= floor))
    return { state: 'holding', because: { code: 'at-floor', data: { parameter: id, floor } } };
  if (blind !== undefined && step !== undefined && within(step, blind) && window.every((value) => value <= step + 1e-9))
    return { state: 'holding', because: { code: 'below-step', data: { parameter: id, step } } };
  const reference = against === 'previous' ? window.at(-1)! : middleOf(window, counts);
  const allowed = allowedAt(tolerance, reference);
  // Numbers that are read more coarsely than they may differ agree of themselves.
  if (step !== undefined && step > allowed + 1e-9)
    return { state: 'coarse', because: { code: 'too-coarse', data: { parameter: id, step, allowed } } };
  const worst = worstOf[against](window, counts, tolerance);
  const drift = isDriftTold ? driftOf(window, counts) : 0;
  if (within(worst.by, worst.half) && !within(drift, allowed))
    return { state: 'drifting', because: { code: 'drifting', data: { parameter: id, by: Math.abs(drift), sets: window.length, allowed } } };
  return {
    state: within(worst.by, worst.half) ? 'holding' : 'moving',
    because: { code: 'moved', data: { parameter: id, by: Math.abs(worst.by), allowed: worst.half } },
  };
}

/** Whether a parameter holds over a window of sets that all count. `step` in its own unit. */
export const holds = (tolerance: Tolerance, rule: HeldBy, window: readonly number[], step?: number): boolean =>
  hold(tolerance, rule, window, null, step).state === 'holding';

function judge(
  tolerance: Tolerance,
  rule: Criterion,
  sets: readonly { set: ReadingSet; counts: boolean }[],
  steps: ReadingSteps,
): ParameterVerdict {
  const id = tolerance.parameter;
  const read = sets.filter(({ set }) => set[id] !== undefined);
  const [window, counts] = [read.map(({ set }) => set[id]!), read.map((one) => one.counts)];
  const latest = window.at(-1);
  if (latest === undefined) return { parameter: id, state: 'unread', window, band: null, because: { code: 'not-read' } };

  const [asked, got] = [sets.filter((one) => one.counts).length, counts.filter(Boolean).length];
  const reference = rule.against === 'previous' || got === 0 ? latest : middleOf(window, counts);
  const band = { middle: reference, half: allowedAt(tolerance, reference) };
  if (asked < rule.sets || got < asked)
    return { parameter: id, state: 'short', window, band, because: { code: 'few-sets', data: { read: got, asked: rule.sets } } };
  return { parameter: id, window, band, ...hold(tolerance, rule, window, counts, steps[id]) };
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
