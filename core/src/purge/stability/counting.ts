import type { Pumping } from '../pumping/pumped.ts';
import { reachedAt } from '../pumping/pumped.ts';
import type { Criterion } from './criterion.ts';

/** When a set was read (ms) and what was pumped by then (m³). */
export interface Moment {
  at: number;
  pumped: number;
}

/** What a method counts its water by: what stands in the well, or what pump, tubing and flow cell hold (m³). */
export interface CountedBy {
  of: 'casing' | 'drive-train';
  volume: number;
}

/** What has to lie between two sets for the later one to count. */
export interface Spacing {
  /** So long (ms), or so much pumped (m³): either does. Null where the criterion asks for nothing. */
  either: { time: number; volume: number } | null;
  /**
   * And so much pumped (m³): before pump, tubing and flow cell are renewed, a set reads the water of the one before. 0 where nothing
   * is known of them. Common practice.
   */
  renewed: number;
}

export function spacingOf({ between }: Pick<Criterion, 'between'>, by: CountedBy | null): Spacing {
  const { seconds = Infinity, volumes = Infinity } = between ?? {};
  const volume = by && volumes < Infinity ? volumes * by.volume : Infinity;
  const isAsked = seconds < Infinity || volume < Infinity;
  return { either: isAsked ? { time: seconds * 1000, volume } : null, renewed: by?.of === 'drive-train' ? by.volume : 0 };
}

/** A hair's allowance for volumes in m³: a litre is not missed by its last digit. */
const hair = 1e-9;

/** Why a set that follows one that counts does not count itself: too little time, or the same water as before. */
export type TooSoon = { code: 'too-close'; after: number; time: number } | { code: 'same-water'; pumped: number; renewed: number };

/** Why a set does not count after the last one that does; null where it counts. */
export function tooSoon({ either, renewed }: Spacing, last: Moment, next: Moment): TooSoon | null {
  const [after, pumped] = [next.at - last.at, next.pumped - last.pumped];
  if (renewed > 0 && pumped < renewed - hair) return { code: 'same-water', pumped, renewed };
  if (either && after < either.time && pumped < either.volume - hair) return { code: 'too-close', after, time: either.time };
  return null;
}

/**
 * When a set counts at the earliest (ms), as the pump runs now; null where nothing tells it: the pump stands, or its flow is not known.
 * @param last the last set that counts
 */
export function nextCounts({ either, renewed }: Spacing, last: Moment, pumping: Pumping): number | null {
  const spaced = either ? Math.min(last.at + either.time, reachedAt(pumping, last.pumped + either.volume) ?? Infinity) : last.at;
  const fresh = renewed > 0 ? reachedAt(pumping, last.pumped + renewed) : last.at;
  return fresh === null || spaced === Infinity ? null : Math.max(spaced, fresh);
}

/**
 * Which sets count towards a criterion, the oldest first: a set that follows the last one that counts too soon proves nothing, since
 * water that hardly had time to change agrees with itself. Such a set may still disprove, and is judged all the same.
 */
export function countingSets(spacing: Spacing, sets: readonly Moment[]): boolean[] {
  let last: Moment | null = null;
  return sets.map((set) => {
    const counts = last === null || tooSoon(spacing, last, set) === null;
    if (counts) last = set;
    return counts;
  });
}

/** Where the window of the last sets that count begins; 0 where there are fewer. */
export function windowFrom(counts: readonly boolean[], sets: number): number {
  let left = sets;
  for (let place = counts.length - 1; place > 0; place--) {
    if (counts[place]) left -= 1;
    if (left === 0) return place;
  }
  return 0;
}
