import type { ColdCourse, RecordGaps } from './entry.ts';

/** How warm something may be, in °C. */
export interface Band {
  least: number;
  most: number;
}

/** What a record says of a time: how long it lay above and below a band, how long nothing was recorded (ms), and its ends (°C). */
export interface OutOfBand {
  above: number;
  below: number;
  unseen: number;
  warmest: number | null;
  coldest: number | null;
}

/** That something was not recorded between two readings; of a course that was thinned, they may lie further out than the gap. */
const isGap = (gaps: RecordGaps, from: number, to: number) => gaps.some(([a, b]) => from <= a && b <= to);

/** The part of a straight line from `a` to `b` that lies above `bound`, from 0 to 1. */
function partAbove(a: number, b: number, bound: number): number {
  if (a <= bound && b <= bound) return 0;
  if (a >= bound && b >= bound) return 1;
  return (Math.max(a, b) - bound) / Math.abs(a - b);
}

/**
 * How long a record lay outside of a band between two moments (ms), by straight lines from reading to reading; over a gap nothing is told,
 * and what lies before the first or after the last reading is unseen, too. Without a band nothing is above or below.
 */
export function outOfBand(course: ColdCourse, gaps: RecordGaps, band: Band | null, from: number, to: number): OutOfBand {
  const out: OutOfBand = { above: 0, below: 0, unseen: Math.max(0, to - from), warmest: null, coldest: null };
  const see = (value: number) => {
    out.warmest = Math.max(out.warmest ?? value, value);
    out.coldest = Math.min(out.coldest ?? value, value);
  };
  for (let place = 1; place < course.length; place++) {
    const [[t0, v0], [t1, v1]] = [course[place - 1]!, course[place]!];
    const [start, end] = [Math.max(t0, from), Math.min(t1, to)];
    if (end <= start || isGap(gaps, t0, t1)) continue;
    const at = (time: number) => v0 + ((v1 - v0) * (time - t0)) / (t1 - t0);
    const [a, b] = [at(start), at(end)];
    see(a);
    see(b);
    out.unseen -= end - start;
    if (!band) continue;
    out.above += (end - start) * partAbove(a, b, band.most);
    out.below += (end - start) * partAbove(-a, -b, -band.least);
  }
  return out;
}

/** What a record says of a moment (ms), in °C; null where it says nothing. */
export function recordedAt(course: ColdCourse, gaps: RecordGaps, at: number): number | null {
  const after = course.findIndex(([time]) => time >= at);
  if (after < 0) return null;
  const [t1, v1] = course[after]!;
  if (t1 === at) return v1;
  const before = course[after - 1];
  if (!before || isGap(gaps, before[0], t1)) return null;
  return before[1] + ((v1 - before[1]) * (at - before[0])) / (t1 - before[0]);
}
