import type { RoundState } from '@fonte/core/round';
import type { LevelRow } from '../store/index.ts';

/** One row for each visit whose level two readings agree on. */
export function levelRows(book: string, round: RoundState): LevelRow[] {
  return round.visits.flatMap((visit) => {
    const agreed = visit.level?.agreed;
    if (!agreed) return [];
    const { measuringPoint, at, depth, elevation, water } = agreed;
    return [{ id: visit.id, book, point: visit.point.id, measuringPoint, at, depth, elevation: elevation.value, water }];
  });
}
