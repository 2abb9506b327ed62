import { canonicalJson } from '@fonte/core/book';
import { earlierArrival } from '@fonte/core/arrive';
import type { VisitState } from '@fonte/core/round';
import type { ArrivalRow } from './tables.ts';

/** One row where something was found on arrival that is worth knowing next time. */
export function arrivalRows(book: string, visit: VisitState): ArrivalRow[] {
  const found = earlierArrival(book, visit.id, visit.arrival);
  if (!found) return [];
  const { at, hazards, found: faults, odd } = found;
  return [{ book, id: visit.id, point: visit.point.id, at, hazards: JSON.stringify(hazards), found: canonicalJson(faults), odd }];
}
