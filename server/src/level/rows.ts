import type { VisitState } from '@fonte/core/round';
import type { LevelRow } from './tables.ts';

/** One row where two readings of the level agree. */
export function levelRows(book: string, visit: VisitState): LevelRow[] {
  const agreed = visit.level?.agreed;
  if (!agreed) return [];
  const { measuringPoint: mark, at, depth, elevation, water } = agreed;
  return [{ book, id: visit.id, point: visit.point.id, mark, at, depth, elevation: elevation?.value ?? null, water }];
}
