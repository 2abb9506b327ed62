import { refOf } from '../editions/index.ts';
import type { Point } from '../registers/index.ts';
import { limitSets } from './tables/index.ts';
import type { LimitSet } from './tables/limit-set.ts';
import { setsByWater } from './tables/uses.ts';

/**
 * The editions that the water of a point is compared with on a day (`YYYY-MM-DD`) by what it is used for; null where those of the round hold.
 * @example setsForWater({ water: 'irrigation' }, '2026-11-23') // ['irrigation-fao-29@2026-1']
 */
export function setsForWater({ water }: Pick<Point, 'water'>, day: string): string[] | null {
  const ids = water && setsByWater[water];
  const found = ids?.flatMap((id) => limitSets.on(id, day) ?? []) ?? [];
  return found.length > 0 ? found.map(refOf) : null;
}

/**
 * What water is used for that a set is for; null for sets of drinking water. A set of the house is for what its published one is for.
 * @example waterOf({ id: 'irrigation-fao-29' }) // 'irrigation'
 */
export function waterOf({ id }: Pick<LimitSet, 'id'>): keyof typeof setsByWater | null {
  const found = (Object.keys(setsByWater) as (keyof typeof setsByWater)[]).find((water) => setsByWater[water]?.includes(id));
  return found ?? null;
}
