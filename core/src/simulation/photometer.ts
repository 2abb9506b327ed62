import { normal, seedOf } from './noise.ts';

/** What chlorine a simulated water has, in mg/L, and what its colour and cloud read as before they are taken off. */
export interface ChlorineWater {
  free: number;
  combined: number;
  blank: number;
}

/** A simulated cuvette with reagent in it. Times in ms. */
export interface CuvetteTest {
  of: 'freeChlorine' | 'totalChlorine' | 'monochloramine';
  begunAt: number;
  isZeroed: boolean;
  /** The sample was made up to so many parts. */
  parts: number;
  /** What it shows at most and its smallest step, in mg/L. */
  most: number;
  step: number;
}

/** How fast colour comes, in s: of what is free, of what is bound with its own reagent, and without it. */
const fast = 2;
const slow = 55;
const creep = 700;
/** From so many s on it fades, by this part a minute. */
const keeps = 600;
const fades = 0.02;
/** Bubbles read as more in the first seconds after the reagent went in. */
const bubbles = { amount: 0.08, gone: 8 };

const come = (time: number, pace: number) => 1 - Math.exp(-Math.max(0, time) / pace);

/**
 * What a simulated photometer shows at a moment, as text in mg/L, or null where it is over its range. Whoever reads too early reads too
 * little or a bubble; who reads free chlorine late reads what is bound with it; who waits too long, a colour that fades; who did not set
 * zero with this water, its colour.
 */
export function photometerShows(water: ChlorineWater, test: CuvetteTest, at: number, seed: string): string | null {
  const ran = (at - test.begunAt) / 1000;
  const free = test.of === 'monochloramine' ? 0 : water.free * come(ran, fast);
  const combined = water.combined * come(ran, test.of === 'freeChlorine' ? creep : slow);
  const faded = 1 - Math.max(0, ran - keeps) * (fades / 60);
  const noise = normal(seedOf(seed), Math.floor(ran)) * 0.005;
  const bubble = ran < bubbles.gone ? Math.abs(normal(seedOf(seed), 7)) * bubbles.amount * (1 - ran / bubbles.gone) : 0;
  const shown = ((free + combined) / test.parts) * Math.max(0, faded) + (test.isZeroed ? 0 : water.blank) + noise + bubble;
  if (shown > test.most) return null;
  const decimals = Math.max(0, Math.ceil(-Math.log10(test.step)));
  return Math.max(0, Math.round(shown / 0.01) * 0.01).toFixed(decimals);
}

/** Chlorine of a simulated point: a little over the least that its operator keeps, the rest bound; none where nothing is dosed. */
export function chlorineAt(point: string, least: number | null, isChloramine: boolean): ChlorineWater {
  const way = (place: number) => Math.abs(normal(seedOf(point), place));
  const blank = 0.03 + 0.02 * way(1);
  if (least === null) return { free: 0, combined: 0, blank };
  const dose = least + 0.1 + 0.12 * way(2);
  return isChloramine ? { free: 0, combined: dose + 0.8, blank } : { free: dose, combined: 0.04 + 0.03 * way(3), blank };
}
