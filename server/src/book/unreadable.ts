import { canonicalJson, chained, madeUnreadable, writeEntry, type BookEntry, type Entry } from '@fonte/core/book';
import type { Store } from '../store/index.ts';
import { entryColumns, entryValues, loadEntries, sha256 } from './codec.ts';
import type { Derivation } from './derivation.ts';
import { insertMany, writeRows } from './rows.ts';
import { changeBetween, readView } from './view.ts';

type Pen = Parameters<typeof writeEntry>[0];

/**
 * Takes words of one book away for good: others stand in their place, without the salt, and the book records it. Its tables follow.
 * @param said what stands from now on, by the id of the entry
 */
export async function takeWordsAway(
  store: Store,
  by: Derivation,
  pen: Pen,
  said: ReadonlyMap<string, unknown>,
  why: string,
): Promise<void> {
  const entries = await loadEntries(store, pen.book);
  const before = readView(by, pen.book, entries);
  const theirs = entries.filter(({ id }) => said.has(id));
  const record: Entry = writeEntry(pen, madeUnreadable, {
    entries: theirs.map(({ id }) => ({ entry: id, now: sha256(canonicalJson(said.get(id))) })),
    why,
  });
  const stamp = { sentAt: null, receivedAt: new Date(pen.now).toISOString() };
  const added = chained(record, before?.head ?? null, stamp, sha256);
  const now = entries.map((entry): BookEntry => (said.has(entry.id) ? { ...entry, payload: said.get(entry.id), salt: undefined } : entry));
  const after = readView(by, pen.book, [...now, added]);
  await store.write(async (query) => {
    for (const { id } of theirs) await query('UPDATE entries SET payload = ?, salt = NULL WHERE id = ?', [canonicalJson(said.get(id)), id]);
    await insertMany(query, 'entries', entryColumns, [entryValues(added)]);
    if (before && after) await writeRows(query, changeBetween(before, after, false));
  });
}
