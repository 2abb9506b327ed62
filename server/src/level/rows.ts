import type { VisitState } from '@fonte/core/round';
import type { LevelRow } from './tables.ts';

/** One row where two readings of the level agree, and no two others contradict them. */
export function levelRows(book: string, visit: VisitState): LevelRow[] {
  const agreed = visit.level?.agreed;
  // Which of two that contradict each other is right, nobody has said yet.
  if (!agreed || visit.level?.contested) return [];
  const { measuringPoint: mark, at, depth, elevation, water } = agreed;
  return [{ book, id: visit.id, point: visit.point.id, mark, at, depth, elevation: elevation?.value ?? null, water }];
}
