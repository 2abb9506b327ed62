import { bookEntries, type BookEntry } from '@fonte/core/book';
import { call, NoConnection } from '../api/call.ts';
import { readOld } from '../api/kept.ts';
import { disk, note, noted } from '../disk/index.ts';
import { now } from '../time/clock.ts';

/** What this device has of a book that the server has acknowledged, and up to which number nothing is missing. */
interface Held {
  entries: readonly BookEntry[];
  through: number;
}

const nothing: Held = { entries: [], through: 0 };
const held = new Map<string, Held>();

/** The book with more of its entries, in whatever order they come. The same where nothing is new. */
function withMore({ entries, through }: Held, added: readonly BookEntry[]): Held {
  const known = new Set(entries.map(({ seq }) => seq));
  const fresh = added.filter(({ seq }) => !known.has(seq));
  if (fresh.length === 0) return { entries, through };
  const all = [...entries, ...fresh].sort((a, b) => a.seq - b.seq);
  let last = through;
  while (all[last]?.seq === last + 1) last += 1;
  return { entries: all, through: last };
}

/** What the page and the disk have of a book. */
export async function heldOf(book: string): Promise<readonly BookEntry[]> {
  if (!held.has(book)) {
    const kept = await disk()
      .then(({ entries }) => entries.where('[book+seq]').between([book, 0], [book, Infinity]).toArray())
      .catch(() => []);
    held.set(book, withMore(held.get(book) ?? nothing, kept));
  }
  return held.get(book)!.entries;
}

/** What has come of a book, from the server or from a colleague: before the eyes at once, and on the disk. */
export function take(book: string, added: readonly BookEntry[]): readonly BookEntry[] {
  const before = held.get(book) ?? nothing;
  const next = withMore(before, added);
  held.set(book, next);
  if (next.entries !== before.entries)
    void disk()
      .then(({ entries }) => entries.bulkPut([...added]))
      .catch(() => undefined);
  return next.entries;
}

/** What another tab or the background has taken meanwhile lies on the disk: it is before the eyes here, too. */
export async function rereadHeld(): Promise<void> {
  const { entries } = await disk();
  for (const [book, known] of held)
    held.set(
      book,
      withMore(
        known,
        await entries
          .where('[book+seq]')
          .between([book, known.through + 1], [book, Infinity])
          .toArray(),
      ),
    );
}

export const shownOf = (book: string): readonly BookEntry[] => held.get(book)?.entries ?? nothing.entries;

/** When each book was last read from the server (ms), as far as it was noted; not at every look. */
const readAt = new Map<string, number>();
const noteEvery = 60_000;
const noteOf = (book: string) => `read.${book}`;

function noteRead(book: string): void {
  if (now() - (readAt.get(book) ?? 0) < noteEvery) return;
  readAt.set(book, now());
  void note(noteOf(book), now()).catch(() => undefined);
}

/** A book as the server has it now, and without a signal as this device has it. @throws NoConnection, ApiProblem */
export async function readBook(book: string): Promise<readonly BookEntry[]> {
  const known = await heldOf(book);
  try {
    const more = await call(bookEntries, { in: { book }, query: { after: held.get(book)!.through } });
    readOld(null);
    noteRead(book);
    return take(book, more);
  } catch (failure) {
    if (!(failure instanceof NoConnection) || known.length === 0) throw failure;
    const at = readAt.get(book) ?? (await noted<number>(noteOf(book)).catch(() => undefined));
    if (at !== undefined) readOld(at);
    return known;
  }
}
