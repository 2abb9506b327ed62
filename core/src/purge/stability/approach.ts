import type { ParameterId } from '../../parameters/index.ts';
import type { Criterion } from './criterion.ts';
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

/** Fewer sets tell nothing of a curve of three numbers. */
const leastSets = 5;
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

/** A fit of one shape to a course: y = level + swing · what is left of the old water, 1 at its first set. */
interface Fit {
  /** What is left so many sets after the first. */
  later: (time: number) => number;
  level: number;
  swing: number;
  /** (XᵀX)⁻¹ of level and swing. */
  spread: readonly [number, number, number];
  /** Sum of squares that it misses, that with the usual noise, and the weight of this shape among the others. */
  missed: number;
  left: number;
  weight: number;
}

/** So much a reading of a meter is uncertain before it is rounded: as a part of its step, and of the value. Common practice of such probes. */
const usualNoise = {
  ofStep: 0.35,
  ofValue: { turbidity: 0.012, oxygen: 0.003, conductivity: 0.001 } as Partial<Record<ParameterId, number>>,
} as const;
/** So many readings that is worth. */
const noiseWorth = 4;
/** Sets that one curve explains less well than so many times the usual noise are not of one water: the oldest are left out. */
const mayMiss = 2.5;

/**
 * What is left of the old water after a time in sets, where it went through so many volumes one after the other that mix (tanks in series):
 * 1 at first, 0 in the end.
 */
function left(volumes: number, decay: number, time: number): number {
  const x = time / decay;
  let [sum, term] = [1, 1];
  for (let i = 1; i < volumes; i++) {
    term *= x / i;
    sum += term;
  }
  return sum * Math.exp(-x);
}

/**
 * A course fitted by every shape and decay time of a grid; the likelihood with level, swing and noise integrated out.
 * @param began how many sets before the first of these the new water began to come
 */
function fits(values: readonly number[], usual: number, began: number): Fit[] {
  const n = values.length;
  const found: Fit[] = [];
  for (const volumes of [1, 2, 3])
    for (let decay = shortest / volumes; decay < longest / volumes; decay *= 1.17) {
      let [s1, s2, y1, y2] = [0, 0, 0, 0];
      const unit = left(volumes, decay, began);
      const basis = values.map((value, time) => {
        const one = left(volumes, decay, began + time) / unit;
        s1 += one;
        s2 += one * one;
        y1 += value;
        y2 += value * one;
        return one;
      });
      const det = n * s2 - s1 * s1;
      if (!(det > 1e-7)) continue;
      const level = (s2 * y1 - s1 * y2) / det;
      const swing = (n * y2 - s1 * y1) / det;
      const missed = values.reduce((sum, one, place) => sum + (one - level - swing * basis[place]!) ** 2, 0);
      const off = missed + noiseWorth * usual * usual;
      const weight = -0.5 * Math.log(det) - ((n - 2 + noiseWorth) / 2) * Math.log(off) - slowness * Math.log(decay * volumes);
      const later = (time: number) => left(volumes, decay, began + time) / unit;
      found.push({ later, level, swing, spread: [s2 / det, -s1 / det, n / det], missed, left: off, weight });
    }
  const best = Math.max(...found.map(({ weight }) => weight));
  for (const one of found) one.weight = Math.exp(one.weight - best);
  return found;
}

/** The longest decay time that is looked for, in sets, and how much less likely a long one is taken to be before anything is seen. */
const [shortest, longest] = [0.4, 25];
const slowness = 0.5;

/** Of the change from set to set so much may be left in the later half, and it still slows down. */
const mayKeep = 0.85;

/** Whether a course slows down: what goes on as fast as before may be the middle of an approach or a drift, and nothing tells which. */
function isSlowing(values: readonly number[], usual: number): boolean {
  const half = (values.length - 1) >> 1;
  const change = (from: number, to: number) => Math.abs(values[to]! - values[from]!) / (to - from);
  const [before, after] = [change(0, half), change(half, values.length - 1)];
  return after <= mayKeep * before || after <= usual;
}

/** The last values that one curve explains, with its fits: five at least. */
function fitted(values: readonly number[], usual: number, began: number): { values: readonly number[]; fits: Fit[] } {
  for (let from = 0; ; from++) {
    const last = values.slice(from);
    const all = fits(last, usual, began + from);
    const missed = Math.min(...all.map((one) => one.missed));
    if (last.length <= leastSets || Math.sqrt(missed / (last.length - 3)) <= mayMiss * usual) return { values: last, fits: all };
  }
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
    const usual = usualNoise.ofStep * step + (usualNoise.ofValue[id] ?? 0) * Math.abs(read.at(-1)!) + 1e-9;
    if (!isSlowing(read, usual) && !holds(tolerance, rule.against, read.slice(-rule.sets), step || undefined))
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
        !holds(course.tolerance, rule.against, all.slice(k - 1, k - 1 + rule.sets), course.step || undefined);
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
