import { findBreaks, holdsHead, type BookEntry, type ChainBreak, type Head } from '@fonte/core/book';
import type { BookType } from '@fonte/core/round';
import { z } from 'zod';
import { sha256 } from './codec.ts';
import type { BookView } from './view.ts';

/** A book as it is handed out. */
export interface BookFile {
  format: 'fonte-book';
  version: 1;
  book: string;
  type: BookType;
  head: Head | null;
  entries: readonly BookEntry[];
}

export function exportBook({ book, type, head, entries }: BookView): BookFile {
  return { format: 'fonte-book', version: 1, book, type, head, entries: entries.all() };
}

const File = z.object({
  format: z.literal('fonte-book'),
  version: z.literal(1),
  book: z.string(),
  head: z.object({ count: z.number(), hash: z.string() }).nullable(),
  entries: z.array(z.looseObject({ seq: z.number(), id: z.string(), book: z.string(), hash: z.string(), previous: z.string() })),
});

export interface VerifiedFile {
  book: string;
  head: Head | null;
  breaks: ChainBreak[];
  /** Whether the file ends as it says, and holds what somebody else was told of the book; null when nobody was. */
  isWhole: boolean;
  isWitnessed: boolean | null;
}

/**
 * Checks a book that was handed out, alone.
 * @param witness a head known from elsewhere, such as the lab's copy of a form
 * @throws Error when the text is no such file
 */
export function verifyFile(text: string, witness: Head | null): VerifiedFile {
  const file = File.safeParse(JSON.parse(text));
  if (!file.success) throw new Error('This is no book that Fonte handed out.');
  const { book, head } = file.data;
  const entries = file.data.entries as unknown as BookEntry[];
  const breaks = findBreaks(entries, sha256);
  const strangers = entries.filter((entry) => entry.book !== book).map(({ seq, id }): ChainBreak => ({ seq, id, code: 'altered' }));
  const last = entries.at(-1);
  return {
    book,
    head,
    breaks: [...breaks, ...strangers],
    isWhole: last ? head?.count === last.seq && head.hash === last.hash : head === null,
    isWitnessed: witness ? holdsHead(entries, witness) : null,
  };
}
