import { opens } from '@fonte/core/round';
import type { AboutRow, Store } from '../store/index.ts';
import { loadEntries } from './codec.ts';
import type { Derivation } from './derivation.ts';
import { insertMany, writeRows } from './rows.ts';
import { allRowsOf, readView } from './view.ts';

/** The name under which a database says what its derived tables were made by. */
const madeBy = 'derived';

/** Whether the derived tables are those of this version. One that never said so is of the first. */
export async function isDerivedBy(store: Store, { edition }: Derivation): Promise<boolean> {
  const [said] = await store.read<AboutRow[]>('SELECT value FROM about WHERE name = ?', [madeBy]);
  return said?.value === edition;
}

/** Makes the derived tables anew where another version made them. Returns how many books that were, or null. */
export async function ensureDerived(store: Store, by: Derivation): Promise<number | null> {
  return (await isDerivedBy(store, by)) ? null : rebuild(store, by);
}

/** Empties the derived tables and makes them again from the books, book by book, in one transaction. Returns how many. */
export async function rebuild(store: Store, by: Derivation): Promise<number> {
  const books = await store.read<{ book: string }[]>('SELECT DISTINCT book FROM entries ORDER BY book');
  await store.write(async (query) => {
    for (const { options } of by.tables) await query(`DELETE FROM ${options.name}`);
    await query(`INSERT INTO about VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value`, [madeBy, by.edition]);
    await query('DELETE FROM books');
    for (const { book } of books) {
      const entries = await loadEntries(store, book);
      const view = readView(by, book, entries);
      const type = entries[0] ? opens(entries[0].kind) : null;
      if (!view || !type) continue;
      await insertMany(query, 'books', ['id', 'type'], [[book, type]]);
      await writeRows(query, { now: [...allRowsOf(view).values()].map(({ placed }) => placed), gone: [] });
    }
  });
  return books.length;
}
