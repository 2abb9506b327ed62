import { createHash } from 'node:crypto';
import { canonicalJson, type BookEntry, type ClockMet, type Doubt } from '@fonte/core/book';
import { columnsOf, EntryTable, type EntryRow, type Store } from '../store/index.ts';

/** SHA-256 by the platform: several times as fast as in JavaScript. */
export const sha256 = (data: string | Uint8Array): string => createHash('sha256').update(data).digest('hex');

export const entryColumns = columnsOf(EntryTable);

export const fromRow = (row: EntryRow): BookEntry => ({
  id: row.id,
  book: row.book,
  visit: row.visit,
  kind: row.kind,
  version: Number(row.version),
  at: { utc: row.utc, offset: Number(row.minutes) },
  author: row.author,
  device: row.device,
  payload: JSON.parse(row.payload) as unknown,
  seq: Number(row.seq),
  sentAt: row.sent,
  receivedAt: row.received,
  previous: row.previous,
  hash: row.hash,
  ...(row.salt === null ? {} : { salt: row.salt }),
  ...(row.content === null ? {} : { content: row.content }),
  ...(row.clock === null ? {} : { clock: JSON.parse(row.clock) as ClockMet }),
  ...(row.key === null || row.signature === null ? {} : { signature: { key: row.key, value: row.signature } }),
  ...(row.doubt === null ? {} : { doubt: row.doubt as Doubt }),
});

/** The values of an entry, in the order of {@link entryColumns}. @param text the canonical JSON of its payload, where that is at hand */
export function entryValues(entry: BookEntry, text = canonicalJson(entry.payload)): unknown[] {
  const row: EntryRow = {
    id: entry.id,
    book: entry.book,
    seq: entry.seq,
    visit: entry.visit,
    kind: entry.kind,
    version: entry.version,
    utc: entry.at.utc,
    minutes: entry.at.offset,
    author: entry.author,
    device: entry.device,
    payload: text,
    sent: entry.sentAt,
    received: entry.receivedAt,
    previous: entry.previous,
    hash: entry.hash,
    salt: entry.salt ?? null,
    content: entry.content ?? null,
    clock: entry.clock ? canonicalJson(entry.clock) : null,
    key: entry.signature?.key ?? null,
    signature: entry.signature?.value ?? null,
    doubt: entry.doubt ?? null,
  };
  return entryColumns.map((column) => row[column as keyof EntryRow]);
}

const page = 5000;

/** The entries of a book from a number on, as they stand in the database, in order. */
export async function loadEntries(store: Store, book: string, after = 0): Promise<BookEntry[]> {
  const found: BookEntry[] = [];
  for (let from = after; ; from = found.at(-1)!.seq) {
    const rows = await store.read<EntryRow[]>(`SELECT * FROM entries WHERE book = ? AND seq > ? ORDER BY seq LIMIT ${page}`, [book, from]);
    for (const row of rows) found.push(fromRow(row));
    if (rows.length < page) return found;
  }
}
