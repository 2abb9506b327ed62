import type { ParameterId } from '../../parameters/index.ts';

/** Fewer sets tell nothing of a curve of three numbers. */
export const leastSets = 5;

/** A fit of one shape to a course: y = level + swing · what is left of the old water, 1 at its first set. */
export interface Fit {
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
/** That of a reading of a parameter in its own unit, by the step and the value it was read with. */
export const usualNoiseOf = (id: ParameterId, step: number, value: number): number =>
  usualNoise.ofStep * step + (usualNoise.ofValue[id] ?? 0) * Math.abs(value) + 1e-9;
/** So many readings that is worth. */
export const noiseWorth = 4;
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
export function isSlowing(values: readonly number[], usual: number): boolean {
  const half = (values.length - 1) >> 1;
  const change = (from: number, to: number) => Math.abs(values[to]! - values[from]!) / (to - from);
  const [before, after] = [change(0, half), change(half, values.length - 1)];
  return after <= mayKeep * before || after <= usual;
}

/** The last values that one curve explains, with its fits: five at least. */
export function fitted(values: readonly number[], usual: number, began: number): { values: readonly number[]; fits: Fit[] } {
  for (let from = 0; ; from++) {
    const last = values.slice(from);
    const all = fits(last, usual, began + from);
    const missed = Math.min(...all.map((one) => one.missed));
    if (last.length <= leastSets || Math.sqrt(missed / (last.length - 3)) <= mayMiss * usual) return { values: last, fits: all };
  }
}
