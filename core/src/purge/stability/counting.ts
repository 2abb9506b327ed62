import type { Criterion } from './criterion.ts';

/** When a set was read (ms) and what was pumped by then (m³). */
export interface Moment {
  at: number;
  pumped: number;
}

/**
 * Which sets count towards a criterion, the oldest first: a set that follows the last one that counts too soon proves nothing, since
 * water that hardly had time to change agrees with itself. Such a set may still disprove, and is judged all the same.
 *
 * @param one the volume that the method counts by, in m³; null where it has none, and then only the time is looked at
 */
export function countingSets({ between }: Pick<Criterion, 'between'>, sets: readonly Moment[], one: number | null): boolean[] {
  if (!between) return sets.map(() => true);
  const { seconds = Infinity, volumes = Infinity } = between;
  const volume = one === null ? Infinity : volumes * one;
  if (seconds === Infinity && volume === Infinity) return sets.map(() => true);
  let last: Moment | null = null;
  return sets.map((set) => {
    const counts = last === null || set.at - last.at >= seconds * 1000 || set.pumped - last.pumped >= volume - 1e-9;
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
