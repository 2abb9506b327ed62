import type { BottleTable } from '../bottles/index.ts';
import type { PlannedVisit } from '../plan/index.ts';
import { neededInstruments, packingList, type MeasuredAt, type NeededInstrument, type PackId } from '../prepare/index.ts';
import { measuredFor } from '../tap/index.ts';

/** What a round of a day (`YYYY-MM-DD`) will measure on the way at a visit. */
const measuredOn =
  (date: string): MeasuredAt =>
  ({ analyses, point }) =>
    measuredFor(analyses, point, date);

/** The instruments that a round needs, with those of every protocol that it can reach. */
export const instrumentsFor = ({ visits, date }: { visits: readonly PlannedVisit[]; date: string }): NeededInstrument[] =>
  neededInstruments(visits, measuredOn(date));

/** What goes into the van for a round. */
export const packingFor = ({ visits, date }: { visits: readonly PlannedVisit[]; date: string }, table: BottleTable): PackId[] =>
  packingList(visits, table, measuredOn(date));
