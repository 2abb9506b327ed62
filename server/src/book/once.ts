import type { BookEntry } from '@fonte/core/book';
import { Problem } from '../http/index.ts';
import type { Books } from './books.ts';

/**
 * What was written before under an id, as when its answer was lost on the way; null where nothing was.
 * @throws Problem 409 where it is another entry than is asked for now
 */
export async function writtenBefore(
  books: Pick<Books, 'view'>,
  book: string,
  id: string,
  isSame: (entry: BookEntry) => boolean,
): Promise<BookEntry | null> {
  const known = (await books.view(book))?.entries.all().find((entry) => entry.id === id);
  if (!known || isSame(known)) return known ?? null;
  throw new Problem(409, 'altered-copy', 'Another entry has this id. Nothing was written.', [
    { path: 'id', message: 'Another entry has this id.' },
  ]);
}
