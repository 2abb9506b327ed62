import { ofRound, ofVisit } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import type { Services } from '../http/index.ts';
import { planRoutes } from './routes.ts';
import { agendaRows, roundRows, visitRows } from './rows.ts';
import { AgendaTable, RoundTable, VisitTable } from './tables.ts';

export const planRoom: ServerRoom<Services> = {
  name: 'plan',
  derived: [ofRound(RoundTable, roundRows), ofRound(AgendaTable, agendaRows), ofVisit(VisitTable, visitRows)],
  routes: planRoutes,
};
