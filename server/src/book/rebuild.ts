import { opens } from '@fonte/core/round';
import type { Store } from '../store/index.ts';
import { loadEntries } from './codec.ts';
import type { Derivation } from './derivation.ts';
import { insertMany, writeRows } from './rows.ts';
import { allRowsOf, readView } from './view.ts';

/** Empties the derived tables and makes them again from the books, book by book, in one transaction. Returns how many. */
export async function rebuild(store: Store, by: Derivation): Promise<number> {
  const books = await store.read<{ book: string }[]>('SELECT DISTINCT book FROM entries ORDER BY book');
  await store.write(async (query) => {
    for (const { options } of by.tables) await query(`DELETE FROM ${options.name}`);
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
