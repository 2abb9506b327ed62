import { appendEntries, type BookEntry, type Entry } from '@fonte/core/book';
import { ApiProblem, call } from '../api/call.ts';
import { now } from '../time/clock.ts';
import { booksWaiting, put, settle, waiting } from './outbox.ts';

/** What became of the entries that were sent. */
export interface Sent {
  written: BookEntry[];
  refused: { entry: Entry; problem: ApiProblem }[];
}

/** So many are sent at once. */
const batch = 500;

/**
 * What the server has acknowledged, by book. The page's next reading brings it too; until then it must not be missing between
 * the outbox, which has let it go, and the book.
 */
const arrived = new Map<string, BookEntry[]>();

export const arrivedIn = (book: string): readonly BookEntry[] => arrived.get(book) ?? [];

const sending = new Map<string, Promise<Sent>>();

async function sendAll(book: string): Promise<Sent> {
  const sent: Sent = { written: [], refused: [] };
  for (let entries = waiting(book).slice(0, batch); entries.length > 0; entries = waiting(book).slice(0, batch)) {
    const { results } = await call(appendEntries, { body: { sentAt: new Date(now()).toISOString(), entries: [...entries] } });
    const settled = new Set<string>();
    results.forEach((result, index) => {
      const own = entries[index]!;
      if ('entry' in result) {
        sent.written.push(result.entry);
        arrived.set(book, [...arrivedIn(book).slice(-batch), result.entry]);
      } else if (result.status < 500) {
        const { title, errors } = result.problem;
        sent.refused.push({ entry: own, problem: new ApiProblem(result.status, title, errors) });
      }
      if ('entry' in result || result.status < 500) settled.add(own.id);
    });
    settle(book, settled);
    // What the server could not store now is tried again later, not at once.
    if (settled.size === 0) break;
  }
  return sent;
}

/** Sends what waits for a book; whoever asks meanwhile gets the same answer. @throws NoConnection, ApiProblem */
export function send(book: string): Promise<Sent> {
  const running = sending.get(book);
  if (running) return running.then(() => (waiting(book).length > 0 ? send(book) : { written: [], refused: [] }));
  const sent = sendAll(book).finally(() => sending.delete(book));
  sending.set(book, sent);
  return sent;
}

/**
 * Writes an entry outside of an open round. It is kept on the device first, so that trying again after a lost answer sends
 * the very same. @throws ApiProblem when it is refused, NoConnection
 */
export async function writeOnce(entry: Entry): Promise<void> {
  put(entry);
  const { refused } = await send(entry.book);
  if (refused[0]) throw refused[0].problem;
}

/** Sends whatever an earlier visit of this page left behind. What is refused is told where its round is opened. */
export function sendLeftovers(): void {
  for (const book of booksWaiting()) void send(book).catch(() => undefined);
}
