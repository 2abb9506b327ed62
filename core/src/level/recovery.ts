import { minute } from '../time/index.ts';
import type { LevelReading } from './reading.ts';
import type { Tolerances } from './tables/tolerances.ts';

/** How a level changes between the last two readings at one mark that are far enough apart to tell. */
export interface Recovery {
  /** m/min; negative while the water rises. */
  perMinute: number;
  /** Slower than this, in m/min, it is at rest; null where the round has no figure. */
  least: number | null;
  isAtRest: boolean;
}

/** Readings nearer than this, in min, tell no change. */
const apart = 1;

/** What the readings of a well that recovers say, the oldest first; null before there are two of them a minute apart. */
export function recovery(
  readings: readonly Pick<LevelReading, 'at' | 'depth' | 'measuringPoint'>[],
  tolerances: Tolerances | null,
): Recovery | null {
  const last = readings.at(-1);
  const before = readings.findLast((one) => last && one.measuringPoint === last.measuringPoint && last.at - one.at >= apart * minute);
  if (!last || !before) return null;
  const perMinute = (last.depth - before.depth) / ((last.at - before.at) / minute);
  const least = tolerances?.recovery?.perMinute ?? null;
  return { perMinute, least, isAtRest: least !== null && Math.abs(perMinute) <= least };
}
