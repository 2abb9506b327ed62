import { refOf } from '../editions/index.ts';
import type { Point } from '../registers/index.ts';
import { limitSets } from './tables/index.ts';
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
