import { arrivalsAt, type EarlierArrival } from '@fonte/core/arrive';
import { ofVisit } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { route, type Route, type Services } from '../http/index.ts';
import { arrivalRows } from './rows.ts';
import { ArrivalTable, type ArrivalRow } from './tables.ts';

/** What was found at a point before. */
const arriveRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(arrivalsAt, async ({ in: { point } }) => {
    const rows = await store.read<ArrivalRow[]>('SELECT * FROM arrivals WHERE point = ? ORDER BY at DESC LIMIT 20', [point]);
    return rows.map(({ book, id, at, hazards, found, odd }) => ({
      round: book,
      visit: id,
      at: Number(at),
      hazards: JSON.parse(hazards) as EarlierArrival['hazards'],
      found: JSON.parse(found) as EarlierArrival['found'],
      odd,
    }));
  }),
];

export const arriveRoom: ServerRoom<Services> = { name: 'arrive', derived: [ofVisit(ArrivalTable, arrivalRows)], routes: arriveRoutes };
