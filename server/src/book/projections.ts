import type { BookType, RoundState, VisitState } from '@fonte/core/round';
import type { BookEntry } from '@fonte/core/book';
import type { EntitySchema } from 'typeorm';
import { fillRows } from '../fill/rows.ts';
import { levelRows } from '../level/rows.ts';
import { agendaRows, roundRows, visitRows } from '../plan/rows.ts';
import { purgeRows } from '../purge/rows.ts';
import { resultRows } from '../read/rows.ts';
import { thingRows } from '../registers/rows.ts';
import {
  AgendaTable,
  BottleTable,
  LevelTable,
  ReadingTable,
  ResultTable,
  RoundTable,
  ThingTable,
  VisitTable,
  type DerivedRow,
} from '../store/index.ts';

/** A row with the table it belongs to. */
export interface Placed {
  table: EntitySchema<DerivedRow>;
  row: DerivedRow;
}

const place = <R extends DerivedRow>(table: EntitySchema<R>, rows: readonly R[]): Placed[] =>
  rows.map((row) => ({ table: table as unknown as EntitySchema<DerivedRow>, row }));

/** The rows of a round as a whole; few, and made anew with every entry. */
export function rowsOfRound(book: string, round: RoundState): Placed[] {
  return [
    ...place(RoundTable, roundRows(book, round)),
    ...place(AgendaTable, agendaRows(book, round)),
    ...place(ResultTable, resultRows(book, round)),
  ];
}

/** The rows of one visit; made anew when something changed there. */
export function rowsOfVisit(book: string, visit: VisitState): Placed[] {
  return [
    ...place(VisitTable, visitRows(book, visit)),
    ...place(LevelTable, levelRows(book, visit)),
    ...place(BottleTable, fillRows(book, visit)),
  ];
}

/** The rows of the sets of one visit from a number on: there may be thousands, so a new set makes only its own. */
export function rowsOfSets(book: string, visit: VisitState, from = 0): Placed[] {
  return place(ReadingTable, purgeRows(book, visit, from));
}

/** The rows of a registered thing. */
export function rowsOfThing(book: string, type: Exclude<BookType, 'round'>, entries: readonly BookEntry[]): Placed[] {
  return place(ThingTable, thingRows(book, type, entries));
}

/** All rows that a book makes. */
export function rowsOf(book: string, type: BookType, entries: readonly BookEntry[], round: RoundState | null): Placed[] {
  if (type !== 'round') return rowsOfThing(book, type, entries);
  if (!round) return [];
  return [...rowsOfRound(book, round), ...round.visits.flatMap((visit) => [...rowsOfVisit(book, visit), ...rowsOfSets(book, visit)])];
}
