import type { Express } from 'express';
import type { Services } from '../app/services.ts';
import type { LevelRow } from '../store/index.ts';

/** The record of a well's levels, oldest first: what a new reading is compared with. */
export function levelRoutes(app: Express, { store }: Services): void {
  app.get('/api/points/:point/levels', async (request, response) => {
    const rows = await store.read<LevelRow[]>('SELECT * FROM levels WHERE point = ? ORDER BY at', [request.params.point]);
    response.json(
      rows.map(({ book, at, mark, depth, elevation, water }) => ({
        round: book,
        at: Number(at),
        measuringPoint: mark,
        depth,
        elevation,
        water,
      })),
    );
  });
}
