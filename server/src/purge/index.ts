import { growingAtVisit } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { purgeRows } from './rows.ts';
import { ReadingTable } from './tables.ts';

export const purgeRoom: ServerRoom<unknown> = {
  name: 'purge',
  derived: [growingAtVisit(ReadingTable, (visit) => visit.purge?.count ?? 0, purgeRows)],
};
