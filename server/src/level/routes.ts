import type { Express } from 'express';
import type { Services } from '../app/services.ts';
import { LevelTable } from '../store/index.ts';

/** The record of a well's levels, oldest first: what a new reading is compared with. */
export function levelRoutes(app: Express, { store }: Services): void {
  app.get('/api/points/:point/levels', async (request, response) => {
    const rows = await store.getRepository(LevelTable).find({ where: { point: request.params.point }, order: { at: 'ASC' } });
    response.json(
      rows.map(({ book, at, measuringPoint, depth, elevation, water }) => ({ round: book, at, measuringPoint, depth, elevation, water })),
    );
  });
}
