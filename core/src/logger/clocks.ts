import type { Finding } from '../findings/index.ts';
import { hour } from '../time/index.ts';
import { between } from './between.ts';
import type { Recorded } from './reading/read.ts';

/** Hours by which two clocks are tried against one another. */
const lags = [-3, -2, -1, 0, 1, 2, 3];
/** So many hours are looked at. */
const mostHours = 4000;
/** Fewer say nothing. */
const leastHours = 48;
/** What is left of the air's movement has to be this much less, as a share of its variance, for another hour to be asked about. */
const clearlyLess = 0.7;

/**
 * Weather that is in both records has to be in them at the same time: where taking the air off an hour sooner or later leaves clearly less
 * movement, one clock is off, or goes by summer time. Movements are compared from hour to hour, so that the course of the water itself
 * weighs little.
 */
export function clocksApart(water: Recorded, air: Recorded): Finding[] {
  const begin = Math.max(water.times[0] ?? Infinity, (air.times[0] ?? Infinity) + 3 * hour);
  const end = Math.min(water.times.at(-1) ?? -Infinity, (air.times.at(-1) ?? -Infinity) - 3 * hour);
  const hours = Math.min(mostHours, Math.floor((end - begin) / hour));
  if (!(hours >= leastHours)) return [];
  const each = (recorded: Recorded, lag: number) => {
    const at = between(recorded, 2 * hour);
    return Array.from({ length: hours }, (_, place) => at(begin + (place + lag) * hour));
  };
  const own = each(water, 0);
  const moves = (lag: number) => {
    const off = each(air, lag);
    let [sum, seen] = [0, 0];
    for (let i = 1; i < hours; i++) {
      const step = own[i]! - off[i]! - (own[i - 1]! - off[i - 1]!);
      if (Number.isNaN(step)) continue;
      sum += step ** 2;
      seen += 1;
    }
    return seen < leastHours ? Infinity : sum / seen;
  };
  const tried = lags.map((lag) => ({ lag, left: moves(lag) }));
  const now = tried.find(({ lag }) => lag === 0)!;
  const best = tried.reduce((least, one) => (one.left < least.left ? one : least), now);
  return best.lag !== 0 && best.left < clearlyLess * now.left
    ? [
        {
          code: 'clocks-apart',
          severity: 'question',
          field: 'air',
          data: { hours: Math.abs(best.lag), late: best.lag > 0 ? 'air' : 'water' },
        },
      ]
    : [];
}
