import type { ActBook } from '../act/index.ts';
import { Trail, type Aside, type Entry } from '../book/index.ts';
import type { CustodyBook } from '../custody/index.ts';
import type { FillBook } from '../fill/index.ts';
import type { LevelBook } from '../level/index.ts';
import type { PlanBook } from '../plan/index.ts';
import type { PurgeBook } from '../purge/index.ts';
import type { ReadBook } from '../read/index.ts';
import type { RunsBook } from '../tap/index.ts';
import { roundRooms, visitRooms } from './kinds.ts';

/** What a book says of one visit, room by room. */
export interface VisitBook {
  level: LevelBook;
  purge: PurgeBook;
  runs: RunsBook;
  fill: FillBook;
}

/** What a book says of its round, room by room: what the reduction carries from entry to entry. Never changed in place. */
export interface RoundBook {
  plan: PlanBook;
  custody: CustodyBook;
  read: ReadBook;
  act: ActBook;
  visits: ReadonlyMap<string, VisitBook>;
  /** What does not fit at its own time. */
  aside: Trail<Aside<Entry>>;
}

export const emptyVisit: VisitBook = {
  level: visitRooms.level.empty,
  purge: visitRooms.purge.empty,
  runs: visitRooms.runs.empty,
  fill: visitRooms.fill.empty,
};

export const emptyRound: RoundBook = {
  plan: roundRooms.plan.empty,
  custody: roundRooms.custody.empty,
  read: roundRooms.read.empty,
  act: roundRooms.act.empty,
  visits: new Map(),
  aside: Trail.of(),
};
