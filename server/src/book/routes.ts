import { overview } from '@fonte/core/round';
import type { Express } from 'express';
import type { Services } from '../app/services.ts';
import { RoundTable } from '../store/index.ts';

export function bookRoutes(app: Express, { books, store }: Services): void {
  app.get('/api/rounds', async (_request, response) => {
    const rows = await store.getRepository(RoundTable).find({ order: { date: 'DESC', code: 'DESC' } });
    const open = await Promise.all(
      rows.map(async (row) => {
        const summary = { id: row.id, code: row.code, name: row.name, date: row.date, closed: row.closed === 1 };
        return row.closed === 1 ? summary : { ...summary, overview: overview(await books.round(row.id)) };
      }),
    );
    response.json(open);
  });

  app.get('/api/books/:book/entries', async (request, response) => {
    const { entries } = await books.view(request.params.book);
    const after = Number(request.query['after'] ?? 0);
    response.json(entries.filter((entry) => entry.seq > after));
  });

  app.post('/api/books/:book/entries', async (request, response) => {
    const { entry, isNew } = await books.append(request.params.book, request.body);
    response.status(isNew ? 201 : 200).json(entry);
  });
}
