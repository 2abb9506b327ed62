import type { Finding } from '../findings/index.ts';
import { minute } from '../time/index.ts';
import type { WaterState } from './entries.ts';
import type { LevelReading } from './reading.ts';
import { recovery } from './recovery.ts';
import type { Tolerances } from './tables/tolerances.ts';

/** What the pump of a visit does, as far as its book says: runs since, or stands since (ms). */
export interface PumpNow {
  isOn: boolean;
  at: number;
}

/** Two levels at rest of one visit that are further apart than this, in m, contradict each other. Common practice. */
export const restMayDiffer = 0.05;

interface ReadAmong {
  /** What was read at this visit before, the oldest first. */
  readings: readonly LevelReading[];
  pump: PumpNow | null;
  /** When it is read (ms). */
  at: number;
  tolerances: Tolerances | null;
}

/**
 * Whether what is said of the water contradicts what the visit's book says: a well is not at rest while its pump runs, after it
 * stopped, or after a level that was pumped, until its readings show that it came back.
 */
export function questionWater(water: WaterState | '', { readings, pump, at, tolerances }: ReadAmong): Finding[] {
  if (water !== 'static') return [];
  if (pump?.isOn) return [{ code: 'pump-is-on', severity: 'question', field: 'water', data: { minutes: (at - pump.at) / minute } }];
  const last = readings.at(-1);
  const pumped = readings.filter((one) => one.water === 'pumped-lately');
  if (last?.water === 'pumped-lately' && recovery(pumped, tolerances)?.isAtRest) return [];
  if (last && last.water !== 'static')
    return [{ code: 'was-pumped', severity: 'question', field: 'water', data: { minutes: (at - last.at) / minute, water: last.water } }];
  const isSince = pump !== null && (!last || last.at < pump.at);
  return isSince ? [{ code: 'pump-stopped', severity: 'question', field: 'water', data: { minutes: (at - pump.at) / minute } }] : [];
}

/** What becomes of the level at rest of a visit when two readings agree on another one. */
export type OtherRest = 'same' | 'after-pumping' | 'contradicts';

/** How a level at rest stands to the one that the visit has already. Depths in m below the mark, moments in ms. */
export function againstRest(
  known: Pick<LevelReading, 'at' | 'depth' | 'measuringPoint'>,
  found: Pick<LevelReading, 'at' | 'depth' | 'measuringPoint'>,
  { readings, pump }: Pick<ReadAmong, 'readings' | 'pump'>,
): OtherRest {
  const wasPumped = pump !== null && pump.at > known.at;
  if (wasPumped || readings.some(({ at, water }) => at > known.at && at <= found.at && water !== 'static')) return 'after-pumping';
  const isSameMark = found.measuringPoint === known.measuringPoint;
  return isSameMark && Math.abs(found.depth - known.depth) > restMayDiffer ? 'contradicts' : 'same';
}
