import { Trail, type Aside, type Entry } from '../book/index.ts';
import { roundRooms, visitRooms } from './kinds.ts';

type StatesOf<R extends Record<string, { empty: unknown }>> = { [K in keyof R]: R[K]['empty'] };

/** What a book says of one visit, room by room. */
export type VisitBook = StatesOf<typeof visitRooms>;

/** What a book says of its round, room by room: what the reduction carries from entry to entry. Never changed in place. */
export type RoundBook = StatesOf<typeof roundRooms> & {
  visits: ReadonlyMap<string, VisitBook>;
  /** What does not fit at its own time. */
  aside: Trail<Aside<Entry>>;
};

const empty = <R extends Record<string, { empty: unknown }>>(rooms: R) =>
  Object.fromEntries(Object.entries(rooms).map(([name, room]) => [name, room.empty])) as StatesOf<R>;

export const emptyVisit: VisitBook = empty(visitRooms);

export const emptyRound: RoundBook = { ...empty(roundRooms), visits: new Map(), aside: Trail.of() };
