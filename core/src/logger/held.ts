import type { LevelOfRecord } from '../level/index.ts';
import type { LoggerRecord } from '../registers/index.ts';
import { day, hour } from '../time/index.ts';

/** Readings of the logger further apart in time than this say nothing of a moment between them, in ms. */
const tieGap = 2 * hour;
/** Where the water moves by more than this between two readings, in m, a level by hand is not held against them. */
const tieMoves = 0.05;

/** A level by hand beside what the logger had at that moment. */
export interface Tie {
  /** ms since 1970 in UTC. */
  at: number;
  /** m below the mark, by hand. */
  depth: number;
  /** m of water over the sensor, by the logger. */
  head: number;
  /** How far, in m, the level by hand is below the one by the logger, once that is held to the line. */
  off: number;
  isUsed: boolean;
  /** Why it is not used. */
  why?: 'moves' | 'said';
}

/** The line that a logger is held to: how deep its sensor hangs at a moment, and how that changes. */
export interface Held {
  /** ms since 1970 in UTC. */
  at: number;
  /** m below the mark at that moment. */
  hangs: number;
  /** m in a day, downwards; the sensor drifts, or slips. */
  perDay: number;
  ties: Tie[];
}

interface Heads {
  times: Float64Array;
  /** m. */
  values: Float64Array;
}

/** The place of the first reading at or after a moment. */
function placeOf(times: Float64Array, at: number): number {
  let [low, high] = [0, times.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (times[middle]! < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

function tieAt({ times, values }: Heads, { at, depth }: LevelOfRecord, without: LoggerRecord['without']): Omit<Tie, 'off'> | null {
  const place = placeOf(times, at);
  const isExact = times[place] === at;
  const [before, after] = [isExact ? place : place - 1, place];
  if (before < 0 || after >= times.length || times[after]! - times[before]! > tieGap) return null;
  const [low, high] = [values[before]!, values[after]!];
  const span = times[after]! - times[before]!;
  const head = span === 0 ? low : low + ((high - low) * (at - times[before]!)) / span;
  const why = without.some((one) => one.at === at) ? 'said' : Math.abs(high - low) > tieMoves ? 'moves' : undefined;
  return { at, depth, head, isUsed: why === undefined, ...(why ? { why } : {}) };
}

/**
 * Holds a logger to the levels that were read by hand at its mark: how deep its sensor hangs is what level and head are together, the same
 * all the time (their mean) or on a line through time (least squares). Without any, what was said holds; null where nothing was.
 */
export function heldTo(heads: Heads, record: LoggerRecord, manual: readonly LevelOfRecord[]): Held | null {
  const ties = manual
    .filter(({ measuringPoint }) => measuringPoint === record.mark)
    .flatMap((level) => tieAt(heads, level, record.without) ?? [])
    .sort((a, b) => a.at - b.at);
  const used = ties.filter(({ isUsed }) => isUsed);
  const begin = heads.times[0] ?? 0;
  const withOff = (at: number, hangs: number, perDay: number): Held => ({
    at,
    hangs,
    perDay,
    ties: ties.map((tie) => ({ ...tie, off: tie.depth + tie.head - (hangs + (perDay * (tie.at - at)) / day) })),
  });
  if (used.length === 0) return record.hangs === undefined ? null : withOff(begin, record.hangs, 0);
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const middle = mean(used.map(({ at }) => at));
  const hangs = mean(used.map(({ depth, head }) => depth + head));
  const spread = used.reduce((sum, { at }) => sum + ((at - middle) / day) ** 2, 0);
  const isLine = record.line === 'line' && used.length >= 2 && spread > 0;
  const perDay = isLine ? used.reduce((sum, { at, depth, head }) => sum + ((at - middle) / day) * (depth + head - hangs), 0) / spread : 0;
  return withOff(middle, hangs, perDay);
}
