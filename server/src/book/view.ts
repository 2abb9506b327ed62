import { Trail, type Aside, type BookEntry, type Entry, type Head, type Misfit } from '@fonte/core/book';
import { foldBook, followBook, look, opens, type BookType, type Folding, type RoundState, type VisitState } from '@fonte/core/round';
import type { Derivation, Placed } from './derivation.ts';
import { addDifference, indexed, type Change, type Rows } from './rows.ts';

/** A book as it stands: its entries, what they fold to, and the rows it makes. Never changed in place. */
export interface BookView {
  /** What is derived from it. */
  by: Derivation;
  book: string;
  type: BookType;
  entries: Trail<BookEntry>;
  head: Head | null;
  folding: Folding | null;
  round: RoundState | null;
  rows: { round: Rows; visits: ReadonlyMap<string, { of: VisitState; rows: Rows }> };
}

const none: Rows = new Map();

/** Nothing is derived from what happens at the door. */
const rowsOfThing = (by: Derivation, book: string, type: Exclude<BookType, 'round'>, entries: Trail<BookEntry>): Rows =>
  type === 'access' ? none : indexed(by.ofThing(book, type, entries.all()));

function rowsFor(
  by: Derivation,
  book: string,
  type: BookType,
  entries: Trail<BookEntry>,
  round: RoundState | null,
  before?: BookView,
): BookView['rows'] {
  if (type !== 'round') return { round: rowsOfThing(by, book, type, entries), visits: new Map() };
  if (!round) return { round: none, visits: new Map() };
  const visits = new Map(
    round.visits.map((visit) => {
      const known = before?.rows.visits.get(visit.id);
      // The same state makes the same rows.
      return [visit.id, known?.of === visit ? known : { of: visit, rows: indexed(by.ofVisit(book, visit)) }] as const;
    }),
  );
  return { round: indexed(by.ofRound(book, round)), visits };
}

function viewOf(
  by: Derivation,
  book: string,
  type: BookType,
  entries: Trail<BookEntry>,
  folding: Folding | null,
  before?: BookView,
): BookView {
  const round = folding && look(folding);
  const last = entries.at(-1);
  const head = last ? { count: last.seq, hash: last.hash } : null;
  return { by, book, type, entries, head, folding, round, rows: rowsFor(by, book, type, entries, round, before) };
}

/** A book read from its first entry on. Its type follows from that entry. */
export function readView(by: Derivation, book: string, entries: readonly BookEntry[]): BookView | null {
  const type = entries[0] ? opens(entries[0].kind) : null;
  if (!type) return null;
  return viewOf(by, book, type, Trail.from(entries), type === 'round' ? foldBook(entries) : null);
}

function changeOfGrown(before: BookView, after: BookView, isFollowed: boolean): Change {
  const change: Change = { now: [], gone: [] };
  if (!after.round) return change;
  for (const visit of after.round.visits) {
    const was = before.round?.visits.find((candidate) => candidate.id === visit.id);
    if (was === visit) continue;
    const grown = (of: VisitState) => indexed(after.by.grown(after.book, of, null));
    if (isFollowed) change.now.push(...after.by.grown(after.book, visit, was ?? null));
    else addDifference(change, was ? grown(was) : none, grown(visit));
  }
  return change;
}

/** The rows that differ between two views of one book. */
export function changeBetween(before: BookView, after: BookView, isFollowed: boolean): Change {
  const change = changeOfGrown(before, after, isFollowed);
  addDifference(change, before.rows.round, after.rows.round);
  for (const [id, { rows }] of after.rows.visits) {
    const was = before.rows.visits.get(id)?.rows;
    if (was !== rows) addDifference(change, was ?? none, rows);
  }
  for (const [id, { rows }] of before.rows.visits) if (!after.rows.visits.has(id)) addDifference(change, rows, none);
  return change;
}

/** A book with entries added at its end, and what that changes in the tables. */
export function extendView(before: BookView, added: readonly BookEntry[]): { view: BookView; change: Change } {
  const entries = added.reduce((trail, entry) => trail.with(entry), before.entries);
  let folding: Folding | null = before.folding;
  for (const entry of added) folding = folding && followBook(folding, entry);
  const isFollowed = folding !== null;
  if (before.type === 'round') folding ??= foldBook(entries.all());
  const view = viewOf(before.by, before.book, before.type, entries, folding, before);
  return { view, change: changeBetween(before, view, isFollowed) };
}

/** A book that nobody has written in yet. */
export function emptyView(by: Derivation, book: string, type: BookType): BookView {
  const folding = type === 'round' ? foldBook([]) : null;
  return { by, book, type, entries: Trail.of(), head: null, folding, round: null, rows: { round: none, visits: new Map() } };
}

/** Why an entry stands aside in its book, or null. */
export function asideIn(view: BookView, id: string): Misfit | null {
  return view.round?.aside.find((one: Aside<Entry>) => one.entry.id === id)?.misfit ?? null;
}

/** All rows of a view, for comparing and for writing anew. */
export function allRowsOf({ by, book, type, entries, round }: BookView): Rows {
  if (type !== 'round') return rowsOfThing(by, book, type, entries);
  if (!round) return none;
  const ofVisits = round.visits.flatMap((visit): Placed[] => [...by.ofVisit(book, visit), ...by.grown(book, visit, null)]);
  return indexed([...by.ofRound(book, round), ...ofVisits]);
}
