import type { LevelOfRecord } from '@fonte/core/level';
import type { Store } from '../store/index.ts';
import type { LevelRow } from './tables.ts';

/** The levels of a well that were read by hand, oldest first. */
export async function levelsAt(store: Store, point: string): Promise<LevelOfRecord[]> {
  const rows = await store.read<LevelRow[]>('SELECT * FROM levels WHERE point = ? ORDER BY at', [point]);
  return rows.map(({ book, at, mark, depth, elevation, water }) => ({
    round: book,
    at: Number(at),
    measuringPoint: mark,
    depth,
    elevation,
    water,
  }));
}
