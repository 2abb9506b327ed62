import { canonicalJson } from '@fonte/core/book';
import { setUpsAt, type EarlierSetUp } from '@fonte/core/purge';
import { setUpOf, type VisitState } from '@fonte/core/round';
import { EntitySchema } from 'typeorm';
import { growingAtVisit, ofVisit } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { route, type Route, type Services } from '../http/index.ts';
import { derived, integer, text, type DerivedRow } from '../store/index.ts';
import { purgeRows } from './rows.ts';
import { ReadingTable } from './tables.ts';

interface SetUpRow extends DerivedRow {
  point: string;
  at: number;
  /** JSON: the set-up. */
  data: string;
}
const SetUpTable = new EntitySchema<SetUpRow>({ name: 'setups', columns: { ...derived, point: text, at: integer, data: text } });

/** One row for a visit at which a purge was set up, as it stands. */
function setUpRows(book: string, visit: VisitState): SetUpRow[] {
  const setUp = setUpOf(book, visit);
  return setUp ? [{ book, id: visit.id, point: visit.point.id, at: setUp.at, data: canonicalJson(setUp) }] : [];
}

const purgeRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(setUpsAt, async ({ in: { point } }) => {
    const rows = await store.read<SetUpRow[]>('SELECT data FROM setups WHERE point = ? ORDER BY at DESC LIMIT 20', [point]);
    return rows.map(({ data }) => JSON.parse(data) as EarlierSetUp);
  }),
];

export const purgeRoom: ServerRoom<Services> = {
  name: 'purge',
  derived: [growingAtVisit(ReadingTable, (visit) => visit.purge?.count ?? 0, purgeRows), ofVisit(SetUpTable, setUpRows)],
  routes: purgeRoutes,
};
