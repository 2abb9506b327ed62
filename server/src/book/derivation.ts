import type { BookEntry } from '@fonte/core/book';
import type { RegisterName } from '@fonte/core/registers';
import type { RoundState, VisitState } from '@fonte/core/round';
import type { EntitySchema } from 'typeorm';
import type { DerivedRow } from '../store/index.ts';

/** A row with the table it belongs to. */
export interface Placed {
  table: EntitySchema<DerivedRow>;
  row: DerivedRow;
}

/** A table with what it is made from. The rows are a pure function of it. */
interface Made<A extends unknown[], R extends DerivedRow = DerivedRow> {
  table: EntitySchema<R>;
  rows: (book: string, ...from: A) => readonly R[];
}

/** What a room derives from the books: of a round as a whole, of a visit, of what grows at a visit, or of a registered thing. */
export interface Derived {
  round: Made<[RoundState]>[];
  visit: Made<[VisitState]>[];
  growing: (Made<[VisitState, number]> & { count: (visit: VisitState) => number })[];
  thing: Made<[RegisterName, readonly BookEntry[]]>[];
}

/** What a table holds is known to the room that declares it; here all are rows with a book and an id. */
const plain = <M>(made: M): never => made as never;

/** Rows of a round as a whole: few, and made anew with every entry. */
export const ofRound = <R extends DerivedRow>(table: EntitySchema<R>, rows: (book: string, round: RoundState) => readonly R[]) => ({
  round: [plain({ table, rows })],
});
/** Rows of one visit: made anew when something changed there. */
export const ofVisit = <R extends DerivedRow>(table: EntitySchema<R>, rows: (book: string, visit: VisitState) => readonly R[]) => ({
  visit: [plain({ table, rows })],
});
/** Rows of what grows at a visit by the thousand: a new one makes only its own, from a number on. */
export const growingAtVisit = <R extends DerivedRow>(
  table: EntitySchema<R>,
  count: (visit: VisitState) => number,
  rows: (book: string, visit: VisitState, from: number) => readonly R[],
) => ({ growing: [plain({ table, rows, count })] });
/** Rows of a registered thing. */
export const ofThing = <R extends DerivedRow>(
  table: EntitySchema<R>,
  rows: (book: string, register: RegisterName, entries: readonly BookEntry[]) => readonly R[],
) => ({ thing: [plain({ table, rows })] });

const place = <A extends unknown[]>(made: readonly Made<A>[], book: string, ...from: A): Placed[] =>
  made.flatMap(({ table, rows }) => rows(book, ...from).map((row) => ({ table, row })));

/** The tables derived from the books, and the rows that a book makes in them. */
export class Derivation {
  private readonly made: Derived = { round: [], visit: [], growing: [], thing: [] };

  /** @param edition what the rows are made by: another one makes others of the same books, and they are made anew */
  constructor(
    readonly edition: string,
    parts: readonly Partial<Derived>[],
  ) {
    for (const part of parts)
      for (const sort of ['round', 'visit', 'growing', 'thing'] as const) this.made[sort].push(...((part[sort] ?? []) as never[]));
  }

  /** In one order everywhere. */
  get tables(): EntitySchema<DerivedRow>[] {
    return [...new Set(Object.values(this.made).flatMap((made: { table: EntitySchema<DerivedRow> }[]) => made.map(({ table }) => table)))];
  }

  ofRound(book: string, round: RoundState): Placed[] {
    return place(this.made.round, book, round);
  }

  ofVisit(book: string, visit: VisitState): Placed[] {
    return place(this.made.visit, book, visit);
  }

  /** What has grown at a visit since it was another; all of it where it is new. */
  grown(book: string, visit: VisitState, since: VisitState | null): Placed[] {
    return this.made.growing.flatMap((one) => place([one], book, visit, since ? one.count(since) : 0));
  }

  ofThing(book: string, register: RegisterName, entries: readonly BookEntry[]): Placed[] {
    return place(this.made.thing, book, register, entries);
  }
}
