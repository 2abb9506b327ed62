import { mostReadings, type ColdCourse, type RecordGaps } from '../custody/index.ts';
import { minute } from '../time/index.ts';
import type { Recorded } from './reading/read.ts';
import { thinned } from './thin.ts';

/** Readings further apart than three of its steps, and than this (ms), have a gap between them. Common practice. */
const leastGap = 10 * minute;

/** What a record of a box says of a time, ready for the book. */
export interface ColdRecord {
  course: ColdCourse;
  gaps: RecordGaps;
  readings: number;
  outside: number;
}

/** The readings of a record between two moments (ms), with one to either side; gaps are found before it is thinned. */
export function coldRecord({ times, values }: Pick<Recorded, 'times' | 'values'>, from: number, to: number): ColdRecord {
  const inside = [...times.keys()].filter((place) => times[place]! >= from && times[place]! <= to);
  if (inside.length === 0) return { course: [], gaps: [], readings: 0, outside: times.length };
  const kept = { times: times.subarray(inside[0], inside.at(-1)! + 1), values: values.subarray(inside[0], inside.at(-1)! + 1) };
  const steps = kept.times.subarray(1).map((time, place) => time - kept.times[place]!);
  const usual = steps.toSorted()[steps.length >> 1] ?? 0;
  const least = Math.max(leastGap, 3 * usual);
  const gaps: RecordGaps = [];
  for (const [place, step] of steps.entries()) if (step > least) gaps.push([kept.times[place]!, kept.times[place + 1]!]);
  const thin = thinned(kept.times, kept.values, mostReadings);
  return {
    course: thin.times.map((time, place) => [Math.round(time), Math.round(thin.values[place]! * 1000) / 1000]),
    gaps: gaps.slice(0, 500),
    readings: inside.length,
    outside: times.length - inside.length,
  };
}
