import { levelRecord } from '@fonte/core/level';
import { route, type Route, type Services } from '../http/index.ts';
import type { LevelRow } from './tables.ts';

/** The record of a well's levels: what a new reading is compared with. */
export const levelRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(levelRecord, async ({ in: { point } }) => {
    const rows = await store.read<LevelRow[]>('SELECT * FROM levels WHERE point = ? ORDER BY at', [point]);
    return rows.map(({ book, at, mark, depth, elevation, water }) => ({
      round: book,
      at: Number(at),
      measuringPoint: mark,
      depth,
      elevation,
      water,
    }));
  }),
];
