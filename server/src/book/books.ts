import { canonicalJson, chained, Entry, sameEntry, type BookEntry } from '@fonte/core/book';
import { admit, fold, kindIn, serverKinds, type RoundState } from '@fonte/core/round';
import { roundPlanned, type Plan } from '@fonte/core/plan';
import { minute, millis, type Clock } from '@fonte/core/time';
import { LRUCache } from 'lru-cache';
import type { DataSource } from 'typeorm';
import { fieldErrors, Problem } from '../app/problem.ts';
import { register } from '../registers/registers.ts';
import { EntryTable, RegisterTable, RoundTable, type EntryRow } from '../store/index.ts';
import { Mutex } from './mutex.ts';
import { clearRows, rowsOf, writeRows, type BookRows } from './rows.ts';

/** A book as it stands: its entries, what they fold to, and the rows derived from it. */
export interface BookView {
  entries: readonly BookEntry[];
  round: RoundState | null;
  rows: BookRows;
}

export interface Appended {
  entry: BookEntry;
  /** False when the entry was there already. */
  isNew: boolean;
}

/** How far a device's clock may run ahead of the server's. */
export const clockAllowance = 2 * minute;

/** Author of what the server writes of itself. */
export const serverAuthor = 'fonte';

const fromRow = (row: EntryRow): BookEntry => ({
  id: row.id,
  book: row.book,
  kind: row.kind,
  at: { utc: row.utc, offset: row.offset },
  author: row.author,
  payload: JSON.parse(row.payload) as unknown,
  seq: row.seq,
  receivedAt: row.receivedAt,
  previous: row.previous,
  hash: row.hash,
});

const toRow = ({ at, payload, ...entry }: BookEntry): EntryRow => ({
  ...entry,
  utc: at.utc,
  offset: at.offset,
  payload: JSON.stringify(payload),
});

/** The entries of a book as they stand in the database, in order, unfolded. */
export async function loadEntries(store: DataSource, book: string): Promise<BookEntry[]> {
  const rows = await store.getRepository(EntryTable).find({ where: { book }, order: { seq: 'ASC' } });
  return rows.map(fromRow);
}

/** Ids of all books in a database. */
export async function listBooks(store: DataSource): Promise<string[]> {
  const rows = await store
    .getRepository(EntryTable)
    .createQueryBuilder('e')
    .select('DISTINCT e.book', 'book')
    .getRawMany<{ book: string }>();
  return rows.map((row) => row.book);
}

/**
 * The append-only books. Appends are taken one at a time; each is checked against its book as it stands, chained, and
 * written together with the rows derived from it in one transaction.
 */
export class Books {
  private readonly writing = new Mutex();
  private readonly views = new LRUCache<string, BookView>({ max: 100 });

  constructor(
    private readonly store: DataSource,
    private readonly clock: Clock,
  ) {}

  /** A book as it stands. A book that does not exist is empty. */
  async view(book: string): Promise<BookView> {
    const known = this.views.get(book);
    if (known) return known;
    return this.remember(book, await loadEntries(this.store, book));
  }

  /** The state of a round. @throws Problem 404 when there is none. */
  async round(book: string): Promise<RoundState> {
    const { round } = await this.view(book);
    if (!round) throw new Problem(404, 'no-round', 'There is no such round.');
    return round;
  }

  /**
   * Appends an entry that a device sent. Taking it twice is harmless.
   * @throws Problem when it is not an entry, of an unknown kind, from the future, from an unknown author, does not fit
   * its book (422), or is an altered copy of one that is there (409).
   */
  append(book: string, sent: unknown): Promise<Appended> {
    return this.writing.run(async () => {
      const entry = this.parse(book, sent);
      const earlier = await this.find(entry);
      if (earlier) return { entry: earlier, isNew: false };
      if (serverKinds.has(entry.kind))
        throw new Problem(422, 'server-kind', 'Only the server writes entries of this kind.', [
          { path: 'kind', message: 'Only the server writes entries of this kind.' },
        ]);
      await this.checkAuthor(entry);
      return this.write(entry);
    });
  }

  /** Appends an entry that the server itself makes. */
  appendOwn(entry: Entry): Promise<Appended> {
    return this.writing.run(async () => {
      const parsed = this.parse(entry.book, entry);
      const earlier = await this.find(parsed);
      return earlier ? { entry: earlier, isNew: false } : this.write(parsed);
    });
  }

  /** Empties the derived tables and makes them again from the books. */
  rebuild(): Promise<void> {
    return this.writing.run(async () => {
      this.views.clear();
      const books = await listBooks(this.store);
      await this.store.transaction(async (manager) => {
        await clearRows(manager);
        for (const book of books) await writeRows(manager, new Map(), (await this.view(book)).rows);
      });
    });
  }

  private parse(book: string, sent: unknown): Entry {
    const envelope = Entry.safeParse(sent);
    if (!envelope.success) throw new Problem(422, 'not-an-entry', 'This is not an entry.', fieldErrors(envelope.error));
    const entry = envelope.data as Entry;
    if (entry.book !== book)
      throw new Problem(422, 'other-book', 'The entry belongs to another book.', [
        { path: 'book', message: 'The entry belongs to another book.' },
      ]);
    const kind = kindIn(book, entry.kind);
    if (!kind)
      throw new Problem(422, 'unknown-kind', 'No entry of this kind belongs in this book.', [
        { path: 'kind', message: `“${entry.kind}” is no kind of entry here.` },
      ]);
    const payload = kind.payload.safeParse(entry.payload);
    if (!payload.success) throw new Problem(422, 'invalid', 'The entry was not accepted.', fieldErrors(payload.error, 'payload'));
    if (millis(entry.at) > this.clock() + clockAllowance) {
      throw new Problem(422, 'future', 'The entry is from the future.', [
        { path: 'at.utc', message: 'The entry is from the future. Check the clock of this device.' },
      ]);
    }
    return { ...entry, payload: payload.data };
  }

  private async find(entry: Entry): Promise<BookEntry | null> {
    const row = await this.store.getRepository(EntryTable).findOneBy({ id: entry.id });
    if (!row) return null;
    const earlier = fromRow(row);
    if (sameEntry(earlier, entry)) return earlier;
    throw new Problem(409, 'altered-copy', 'Another entry has this id. Nothing was written.', [
      { path: 'id', message: 'Another entry has this id.' },
    ]);
  }

  private async checkAuthor(entry: Entry): Promise<void> {
    const people = await register(this.store, 'people');
    if (people.some((person) => person.id === entry.author)) return;
    throw new Problem(422, 'unknown-author', 'Nobody of this name is registered.', [
      { path: 'author', message: 'Nobody of this name is registered.' },
    ]);
  }

  private async write(entry: Entry): Promise<Appended> {
    const before = await this.view(entry.book);
    const misfits = admit(entry, before.entries, before.round);
    if (misfits.length > 0) throw new Problem(422, 'misfit', 'The entry does not fit the book.', misfits);
    if (roundPlanned.is(entry) && (await this.store.getRepository(RoundTable).findOneBy({ code: entry.payload.code }))) {
      throw new Problem(409, 'code-taken', 'Another round has this code.', [
        { path: 'payload.code', message: 'Another round has this code.' },
      ]);
    }
    if (roundPlanned.is(entry)) await this.checkRegister(entry.payload);
    const added = chained(entry, before.entries.at(-1) ?? null, new Date(this.clock()).toISOString());
    const entries = [...before.entries, added];
    const round = entry.book === 'org' ? null : fold(entries);
    const rows = rowsOf(entry.book, entries, round);
    await this.store.transaction(async (manager) => {
      await manager.insert(EntryTable, toRow(added));
      await writeRows(manager, before.rows, rows);
    });
    this.views.set(entry.book, { entries, round, rows });
    return { entry: added, isNew: true };
  }

  /** A round is planned with points and a lab as they stand, or once stood, in the registers. */
  private async checkRegister({ visits, lab }: Plan): Promise<void> {
    const rows = await this.store.getRepository(RegisterTable).find();
    const known = new Set(rows.map((row) => `${row.register} ${canonicalJson(JSON.parse(row.data))}`));
    const wrong = visits.findIndex((visit) => !known.has(`points ${canonicalJson(visit.point)}`));
    const message = 'This is not what the register says. Open the page again.';
    if (wrong >= 0) throw new Problem(422, 'register', message, [{ path: `payload.visits.${wrong}.point`, message }]);
    if (lab && !known.has(`labs ${canonicalJson(lab)}`)) throw new Problem(422, 'register', message, [{ path: 'payload.lab', message }]);
  }

  private remember(book: string, entries: readonly BookEntry[]): BookView {
    const round = book === 'org' ? null : fold(entries);
    const view = { entries, round, rows: rowsOf(book, entries, round) };
    this.views.set(book, view);
    return view;
  }
}
