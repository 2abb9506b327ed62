import { freeCode } from '@fonte/core/plan';
import type { Express } from 'express';
import { z } from 'zod';
import { parsed } from '../app/problem.ts';
import type { Services } from '../app/services.ts';
import type { AgendaRow, RoundRow, Store } from '../store/index.ts';

const ListRequest = z.object({
  state: z.enum(['open', 'closed', 'all']).default('all'),
  /** `date code` of the round after which the page begins. */
  after: z.string().max(60).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});
const CodeRequest = z.object({ date: z.iso.date() });

/** So many of each sort stand on the first page; the rest is counted. */
const listed = 20;

const lineOf = (row: RoundRow) =>
  `{"id":${JSON.stringify(row.book)},"code":${JSON.stringify(row.code)},"name":${JSON.stringify(row.name)},"date":${JSON.stringify(row.date)},` +
  `"closed":${Number(row.closed) === 1},"overview":${row.overview}}`;

async function rounds(store: Store, { state, after, limit }: z.output<typeof ListRequest>): Promise<string> {
  const conditions: string[] = [];
  const values: unknown[] = [];
  if (state !== 'all') {
    conditions.push('closed = ?');
    values.push(state === 'closed' ? 1 : 0);
  }
  if (after) {
    const [date = '', code = ''] = after.split(' ');
    conditions.push('(date < ? OR (date = ? AND code < ?))');
    values.push(date, date, code);
  }
  const where = conditions.length > 0 ? `WHERE ${conditions.join(' AND ')}` : '';
  const rows = await store.read<RoundRow[]>(`SELECT * FROM rounds ${where} ORDER BY date DESC, code DESC LIMIT ${limit}`, values);
  return `[${rows.map(lineOf).join(',')}]`;
}

async function agenda(store: Store, what: AgendaRow['what']): Promise<string> {
  const rows = await store.read<AgendaRow[]>(`SELECT book, data FROM agenda WHERE what = ? ORDER BY at LIMIT ${listed}`, [what]);
  const [count] = await store.read<{ n: number }[]>('SELECT COUNT(*) AS n FROM agenda WHERE what = ?', [what]);
  return `{"count":${Number(count!.n)},"first":[${rows.map((row) => `{"round":${JSON.stringify(row.book)},"item":${row.data}}`).join(',')}]}`;
}

/** Lists read the tables; no book is opened for them. */
export function planRoutes(app: Express, { store }: Services): void {
  app.get('/api/rounds', async (request, response) => {
    response.type('json').send(await rounds(store, parsed(ListRequest, request.query)));
  });

  /** A code for a round of that day that no other round has. */
  app.get('/api/rounds/free-code', async (request, response) => {
    const { date } = parsed(CodeRequest, request.query);
    const prefix = date.slice(2).replaceAll('-', '');
    const taken = await store.read<{ code: string }[]>('SELECT code FROM rounds WHERE code >= ? AND code < ?', [prefix, `${prefix}~`]);
    response.json({
      code: freeCode(
        date,
        taken.map((row) => row.code),
      ),
    });
  });

  /** What the first page shows: the newest open rounds, and over all rounds what runs, waits and is due. */
  app.get('/api/today', async (_request, response) => {
    const [open, clocks, bottles, actions] = [
      await rounds(store, { state: 'open', limit: listed, after: undefined }),
      await agenda(store, 'clock'),
      await agenda(store, 'bottle'),
      await agenda(store, 'action'),
    ];
    response.type('json').send(`{"rounds":${open},"clocks":${clocks},"bottles":${bottles},"actions":${actions}}`);
  });
}
