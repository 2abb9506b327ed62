import type { InstrumentKind } from '../registers/index.ts';
import type { BottleTable } from '../bottles/index.ts';
import type { PlannedVisit } from '../plan/index.ts';
import { neededKinds, packingList, type MeasuredAt, type PackId } from '../prepare/index.ts';
import { measuredFor } from '../tap/index.ts';

/** What a round of a day (`YYYY-MM-DD`) will measure on the way at a visit. */
const measuredOn =
  (date: string): MeasuredAt =>
  ({ analyses, point }) =>
    measuredFor(analyses, point, date);

/** The kinds of instruments that a round needs, with those of every protocol that it can reach. */
export const instrumentsFor = ({ visits, date }: { visits: readonly PlannedVisit[]; date: string }): InstrumentKind[] =>
  neededKinds(visits, measuredOn(date));

/** What goes into the van for a round. */
export const packingFor = ({ visits, date }: { visits: readonly PlannedVisit[]; date: string }, table: BottleTable): PackId[] =>
  packingList(visits, table, measuredOn(date));
