import { freeCode } from '@fonte/core/plan';
import { findFreeCode, listedToday, listRounds, today } from '@fonte/core/round';
import { wallTime } from '@fonte/core/time';
import { houseZone } from '../book/house-zone.ts';
import { JsonText, route, type Asked, type Route, type Services } from '../http/index.ts';
import type { Store } from '../store/index.ts';
import type { AgendaRow, RoundRow } from './tables.ts';

const lineOf = (row: RoundRow) =>
  `{"id":${JSON.stringify(row.book)},"code":${JSON.stringify(row.code)},"name":${JSON.stringify(row.name)},"date":${JSON.stringify(row.date)},` +
  `"closed":${Number(row.closed) === 1},"overview":${row.overview}}`;

async function rounds(store: Store, { state, after, limit }: Asked<typeof listRounds>['query']): Promise<string> {
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

/** Open rounds in the order of `inWorkOrder`. */
async function openRounds(store: Store, day: string): Promise<string> {
  const rows = await store.read<RoundRow[]>(
    `SELECT * FROM rounds WHERE closed = 0 ORDER BY CASE WHEN date = ? THEN 0 WHEN date < ? THEN 1 ELSE 2 END,
      CASE WHEN date < ? THEN date END DESC, date, code LIMIT ${listedToday}`,
    [day, day, day],
  );
  return `[${rows.map(lineOf).join(',')}]`;
}

async function agenda(store: Store, what: AgendaRow['what']): Promise<string> {
  const rows = await store.read<AgendaRow[]>(`SELECT book, data FROM agenda WHERE what = ? ORDER BY at LIMIT ${listedToday}`, [what]);
  const [count] = await store.read<{ n: number }[]>('SELECT COUNT(*) AS n FROM agenda WHERE what = ?', [what]);
  return `{"count":${Number(count!.n)},"first":[${rows.map((row) => `{"round":${JSON.stringify(row.book)},"item":${row.data}}`).join(',')}]}`;
}

/** Lists read the tables; no book is opened for them. */
export const planRoutes = ({ store, clock }: Pick<Services, 'store' | 'clock'>): Route[] => [
  route(listRounds, async ({ query }) => new JsonText(await rounds(store, query))),
  route(findFreeCode, async ({ query: { date } }) => {
    const prefix = date.slice(2).replaceAll('-', '');
    const taken = await store.read<{ code: string }[]>('SELECT code FROM rounds WHERE code >= ? AND code < ?', [prefix, `${prefix}~`]);
    return {
      code: freeCode(
        date,
        taken.map((row) => row.code),
      ),
    };
  }),
  route(today, async () => {
    const day = wallTime(clock(), (await houseZone(store)) ?? 'UTC').date;
    const [open, clocks, bottles, actions, results] = [
      await openRounds(store, day),
      await agenda(store, 'clock'),
      await agenda(store, 'bottle'),
      await agenda(store, 'action'),
      await agenda(store, 'result'),
    ];
    return new JsonText(`{"rounds":${open},"clocks":${clocks},"bottles":${bottles},"actions":${actions},"results":${results}}`);
  }),
];
