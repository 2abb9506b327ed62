import { inOwnUnit, type ParameterId } from '@fonte/core/parameters';
import type { RoundState } from '@fonte/core/round';
import type { ReadingRow } from '../store/index.ts';

/** One row for each number of each set, in the parameter's own unit. */
export function purgeRows(book: string, round: RoundState): ReadingRow[] {
  return round.visits.flatMap((visit) =>
    (visit.purge?.sets ?? []).flatMap((set) =>
      Object.entries(set.values).map(([parameter, typed]) => ({
        id: `${set.entry}:${parameter}`,
        book,
        point: visit.point.id,
        parameter,
        at: set.at,
        value: inOwnUnit(parameter as ParameterId, typed),
        pumped: set.pumped,
      })),
    ),
  );
}
