import { inOwnUnit, type ParameterId } from '@fonte/core/parameters';
import type { VisitState } from '@fonte/core/round';
import type { ReadingRow } from './tables.ts';

/** One row for each number of each set from a place on, in the parameter's own unit. */
export function purgeRows(book: string, { point, purge }: VisitState, from = 0): ReadingRow[] {
  if (!purge || purge.count <= from) return [];
  return purge.setsFrom(from).flatMap((set) =>
    Object.entries(set.values).map(([parameter, typed]) => ({
      book,
      id: `${set.entry}:${parameter}`,
      point: point.id,
      parameter,
      at: set.at,
      value: inOwnUnit(parameter as ParameterId, typed),
      pumped: set.pumped,
    })),
  );
}
