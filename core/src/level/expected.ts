import { day } from '../time/index.ts';
import type { LevelOfRecord } from './endpoints.ts';
import type { Tolerances } from './tables/tolerances.ts';

/** Fewer readings, or a shorter time in days, tell no season. */
const enough = { readings: 10, days: 400 } as const;
/** A reading may be so many robust standard deviations from what its season and trend say. */
const mayDiffer = 4;
const year = 365.2425;
/** So many readings are looked at, spread over the whole record. */
const mostReadings = 1000;

/** What a record says that a level should be at a moment. */
export interface Expected {
  /** m below the mark, and how far from it a reading may be. */
  depth: number;
  half: number;
  readings: number;
}

/** Solves a small system by elimination with pivots; null where it has no one answer. */
function solve(rows: number[][], right: number[]): number[] | null {
  const n = right.length;
  const a = rows.map((row, i) => [...row, right[i]!]);
  for (let i = 0; i < n; i++) {
    const pivot = a.slice(i).reduce((best, row, place) => (Math.abs(row[i]!) > Math.abs(a[best]![i]!) ? i + place : best), i);
    [a[i], a[pivot]] = [a[pivot]!, a[i]!];
    if (Math.abs(a[i]![i]!) < 1e-9) return null;
    for (let j = i + 1; j < n; j++) {
      const part = a[j]![i]! / a[i]![i]!;
      for (let k = i; k <= n; k++) a[j]![k]! -= part * a[i]![k]!;
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--)
    x[i] = (a[i]![n]! - x.slice(i + 1).reduce((sum, one, k) => sum + one * a[i]![i + 1 + k]!, 0)) / a[i]![i]!;
  return x;
}

/** The median; the upper one of two. */
export const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

/**
 * What the record of a well at one mark says of a moment: its mean, its trend and its yearly wave, fitted so that single bad readings weigh
 * little (least squares with Huber's weights, 1.345 robust standard deviations; Huber 1981). Null where the record is too short to know.
 *
 * @param at ms since 1970 in UTC
 */
export function expectedLevel(record: readonly Pick<LevelOfRecord, 'at' | 'depth'>[], at: number, { jump }: Tolerances): Expected | null {
  // Of a logger's thousands a part says as much.
  const each = Math.ceil(record.length / mostReadings);
  const read = each > 1 ? record.filter((_, place) => place % each === 0) : record;
  const times = read.map((one) => one.at / day);
  const first = times.reduce((least, time) => Math.min(least, time), Infinity);
  const last = times.reduce((most, time) => Math.max(most, time), -Infinity);
  if (read.length < enough.readings || last - first < enough.days) return null;
  const basis = (time: number) => {
    const angle = (2 * Math.PI * time) / year;
    return [1, (time - first) / year, Math.cos(angle), Math.sin(angle)];
  };
  const rows = times.map(basis);
  const say = (x: readonly number[], row: readonly number[]) => row[0]! * x[0]! + row[1]! * x[1]! + row[2]! * x[2]! + row[3]! * x[3]!;
  let weights = rows.map(() => 1);
  let found: number[] | null = null;
  let scale = 0;
  for (let round = 0; round < 20; round++) {
    found = solve(...weighed(rows, read, weights));
    if (!found) return null;
    const off = rows.map((row, k) => Math.abs(read[k]!.depth - say(found!, row)));
    scale = 1.4826 * middle(off);
    weights = off.map((one) => (one <= 1.345 * scale || one === 0 ? 1 : (1.345 * scale) / one));
  }
  return { depth: say(found!, basis(at / day)), half: Math.max(jump.least / 2, mayDiffer * scale), readings: record.length };
}

/** The normal equations of weighed rows. */
function weighed(rows: readonly number[][], read: readonly { depth: number }[], weights: readonly number[]): [number[][], number[]] {
  const size = rows[0]!.length;
  const [left, right] = [Array.from({ length: size }, () => new Array<number>(size).fill(0)), new Array<number>(size).fill(0)];
  for (const [k, row] of rows.entries())
    for (let i = 0; i < size; i++) {
      const part = weights[k]! * row[i]!;
      right[i]! += part * read[k]!.depth;
      for (let j = 0; j < size; j++) left[i]![j]! += part * row[j]!;
    }
  return [left, right];
}
