import type { ParameterId } from '../../parameters/index.ts';
import type { Criterion } from './criterion.ts';
import { fitted, isSlowing, leastSets, noiseWorth, usualNoiseOf, type Fit } from './fit.ts';
import { holds, type ReadingSet, type ReadingSteps } from './judge.ts';

/** When a purge will be stable, in sets from now on: most likely at `likely`, and four times out of five between `from` and `to`. */
export interface Estimate {
  state: 'told';
  from: number;
  likely: number;
  to: number;
  /** What is most often the last to hold. */
  last: ParameterId;
}
/** Nothing is told, and why: too few sets; nothing that is seen tells when; something moves so that it will not hold. */
export interface NoEstimate {
  state: 'few-sets' | 'cannot-tell' | 'not-approaching';
  /** What keeps it from being told, where that is known. */
  by: ParameterId | null;
}

/** So many of the last sets are looked at: what came before was other water. */
const looked = 9;
/** Further than so many sets nothing is foretold. */
const horizon = 24;
const draws = 240;
/** Where it stays open more often than this, no time is told. */
const mayStayOpen = 0.25;
/** So many times as much between the ends of the interval, and so many sets, is no answer. */
const tooWide = { times: 6, sets: 9 } as const;

/** Numbers that are drawn the same for the same readings (a hash after Mulberry32). */
function lots(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

interface Course {
  id: ParameterId;
  tolerance: Criterion['tolerances'][number];
  /** The last values, as they were read. */
  window: readonly number[];
  fits: readonly Fit[];
  total: number;
  step: number;
  degrees: number;
  /** The last time seen, from the first on. */
  now: number;
}

const normalOf = (lot: () => number) => Math.sqrt(-2 * Math.log(Math.max(1e-12, lot()))) * Math.cos(2 * Math.PI * lot());
/** A chi-square number of so many degrees: a sum of squares. */
function chiOf(lot: () => number, degrees: number): number {
  let sum = 0;
  for (let i = 0; i < degrees; i++) sum += normalOf(lot) ** 2;
  return Math.max(sum, 1e-3);
}

/** One way in which a course may go on: its next values, as a meter would show them. */
function goOn({ fits: all, total, degrees, now, step }: Course, lot: () => number): Float64Array {
  let pick = lot() * total;
  const fit = all.find(({ weight }) => (pick -= weight) <= 0) ?? all.at(-1)!;
  const noise = Math.sqrt(fit.left / chiOf(lot, degrees));
  const [a, b, c] = fit.spread;
  const [u, v] = [normalOf(lot), normalOf(lot)];
  const level = fit.level + noise * Math.sqrt(a) * u;
  const swing = fit.swing + noise * ((b / Math.sqrt(a)) * u + Math.sqrt(Math.max(0, c - (b * b) / a)) * v);
  const next = new Float64Array(horizon);
  for (let k = 0; k < horizon; k++) {
    const value = level + swing * fit.later(now + k + 1) + noise * normalOf(lot);
    next[k] = step > 0 ? Math.round(value / step) * step : value;
  }
  return next;
}

/**
 * When a purge will be stable under a criterion: each parameter's approach is fitted by the course of water that is
 * replaced through one to three mixing volumes, whose time, level, swing and noise are as uncertain as the readings leave them, and gone on with many times; the criterion itself says in each when it is met. The
 * interval holds four times out of five; where the readings do not tell, nothing is told.
 *
 * Source: Bayesian fit of an exponential approach with uninformative priors, marginalised over a grid of decay times (common practice of
 * statistics); that it covers is tested on simulated wells.
 *
 * @param sets those that count, oldest first, about evenly spaced; the next ones are taken to follow at the same distance
 */
export function estimateStable(
  rule: Criterion,
  sets: readonly ReadingSet[],
  chosen: readonly ParameterId[],
  steps: ReadingSteps = {},
): Estimate | NoEstimate {
  const judged = rule.tolerances.filter(({ parameter }) => chosen.includes(parameter));
  const recent = sets.slice(-looked);
  if (judged.length === 0 || recent.length < leastSets) return { state: 'few-sets', by: null };
  const courses: Course[] = [];
  for (const tolerance of judged) {
    const { parameter: id } = tolerance;
    const values = recent.map((set) => set[id]);
    if (values.some((value) => value === undefined)) return { state: 'few-sets', by: id };
    const step = steps[id] ?? 0;
    const read = values as number[];
    const usual = usualNoiseOf(id, step, read.at(-1)!);
    if (!isSlowing(read, usual) && !holds(tolerance, rule, read.slice(-rule.sets), step || undefined))
      return { state: 'not-approaching', by: id };
    const fit = fitted(read, usual, sets.length - recent.length + 1);
    courses.push({
      id,
      tolerance,
      window: read.slice(-(rule.sets - 1)),
      fits: fit.fits,
      total: fit.fits.reduce((sum, { weight }) => sum + weight, 0),
      step,
      degrees: fit.values.length - 2 + noiseWorth,
      now: fit.values.length - 1,
    });
  }
  const lot = lots(recent.length * 7919 + Math.round((recent.at(-1)![courses[0]!.id] ?? 0) * 1000));
  const met = new Array<number>(horizon + 1).fill(0);
  const openBy = new Map<ParameterId, number>();
  const lastBy = new Map<ParameterId, number>();
  const count = (in_: Map<ParameterId, number>, id: ParameterId) => in_.set(id, (in_.get(id) ?? 0) + 1);
  for (let draw = 0; draw < draws; draw++) {
    const going = courses.map((course) => ({ course, all: [...course.window, ...goOn(course, lot)] }));
    let open = going[0]!;
    let last: ParameterId | null = null;
    let k = 1;
    for (; k <= horizon; k++) {
      const isOpen = ({ course, all }: (typeof going)[number]) =>
        !holds(course.tolerance, rule, all.slice(k - 1, k - 1 + rule.sets), course.step || undefined);
      // What was open before is most likely open still.
      const found = isOpen(open) ? open : going.find(isOpen);
      if (!found) break;
      open = found;
      last = open.course.id;
    }
    met[Math.min(k, horizon + 1) - 1]! += 1;
    if (last) count(k > horizon ? openBy : lastBy, last);
  }
  const most = (of: Map<ParameterId, number>) => [...of].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
  if (met[horizon]! / draws > mayStayOpen)
    return { state: met[horizon]! / draws > 0.8 ? 'not-approaching' : 'cannot-tell', by: most(openBy) };
  const { from, to } = interval(met);
  if (to > horizon || (to - from > tooWide.sets && to > tooWide.times * from))
    return { state: 'cannot-tell', by: most(openBy) ?? most(lastBy) };
  let half = 0;
  const likely = met.findIndex((one) => (half += one) >= draws / 2) + 1;
  return { state: 'told', from, likely: Math.min(Math.max(likely, from), to), to, last: most(lastBy) ?? courses[0]!.id };
}

/** The interval about the middle whose share is nearest to four out of five: sets come in whole numbers. */
function interval(met: readonly number[]): { from: number; to: number } {
  const wanted = 0.8 * draws;
  let best = { from: 1, to: met.length, off: Infinity };
  const sums = met.reduce<number[]>((all, one) => [...all, all.at(-1)! + one], [0]);
  for (let from = 1; from <= met.length; from++)
    for (let to = from; to <= met.length; to++) {
      const inside = sums[to]! - sums[from - 1]!;
      // What lies before and after is to be about as much.
      const off = Math.abs(inside - wanted) + 0.2 * Math.abs(sums[from - 1]! - (draws - sums[to]!));
      if (off < best.off) best = { from, to, off };
    }
  return best;
}
