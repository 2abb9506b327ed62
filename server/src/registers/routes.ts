import type { Express } from 'express';
import type { Services } from '../app/services.ts';
import { register, type RegisterName } from './registers.ts';

export function registerRoutes(app: Express, { store }: Services): void {
  for (const name of ['points', 'labs', 'people'] satisfies RegisterName[]) {
    app.get(`/api/${name}`, async (_request, response) => {
      response.json(await register(store, name));
    });
  }
}
