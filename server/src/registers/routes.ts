import { registerNames } from '@fonte/core/registers';
import type { Express } from 'express';
import { z } from 'zod';
import { parsed, Problem } from '../app/problem.ts';
import type { Services } from '../app/services.ts';
import { listThings, thing } from './things.ts';

/** The most that one page of a register holds. */
export const largestPage = 500;

const ListRequest = z.object({
  search: z.string().max(80).optional(),
  after: z.string().max(60).optional(),
  limit: z.coerce.number().int().min(1).max(largestPage).default(200),
});

export function registerRoutes(app: Express, { store }: Services): void {
  for (const name of registerNames) {
    app.get(`/api/${name}`, async (request, response) => {
      response.type('json').send(await listThings(store, name, parsed(ListRequest, request.query)));
    });
    app.get(`/api/${name}/:id`, async (request, response) => {
      const found = await thing(store, name, request.params['id']!);
      if (!found) throw new Problem(404, 'no-thing', 'There is no such thing in the register.');
      response.json(found);
    });
  }
}
