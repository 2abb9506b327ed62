import type { Entry } from '@fonte/core/book';

/*
 * Entries that the server has not acknowledged yet. They are kept on the device before they are sent, so that an answer lost
 * on the way, a reload or a closed tab neither loses nor doubles one: it is sent again as it is, under its own id.
 */

const keyOf = (book: string) => `fonte.outbox.${book}`;
const listeners = new Set<() => void>();
/** What was read last, by book: the same text gives the same list. Also the only copy where a device keeps nothing. */
const cached = new Map<string, { text: string | null; entries: readonly Entry[] }>();
const none: readonly Entry[] = [];

function stored(key: string): string | null | undefined {
  try {
    return localStorage.getItem(key);
  } catch {
    return undefined;
  }
}

/** The entries of a book that wait, in the order in which they were written. */
export function waiting(book: string): readonly Entry[] {
  const text = stored(keyOf(book));
  const known = cached.get(book);
  if (text === undefined || (known && known.text === text)) return known?.entries ?? none;
  let entries = none;
  try {
    entries = text === null ? none : (JSON.parse(text) as Entry[]);
  } catch {
    // Another program's text under our name: nothing of ours waits there.
  }
  cached.set(book, { text, entries });
  return entries;
}

function keep(book: string, entries: readonly Entry[]): void {
  const text = entries.length === 0 ? null : JSON.stringify(entries);
  try {
    if (text === null) localStorage.removeItem(keyOf(book));
    else localStorage.setItem(keyOf(book), text);
    cached.set(book, { text, entries });
  } catch {
    // Full or forbidden: it is kept as long as this page is open.
    cached.set(book, { text: stored(keyOf(book)) ?? null, entries });
  }
  for (const changed of listeners) changed();
}

/** The books for which something waits. */
export function booksWaiting(): string[] {
  try {
    return Object.keys(localStorage).flatMap((key) => (key.startsWith(keyOf('')) ? [key.slice(keyOf('').length)] : []));
  } catch {
    return [];
  }
}

export function put(entry: Entry): void {
  if (waiting(entry.book).some((one) => one.id === entry.id)) return;
  keep(entry.book, [...waiting(entry.book), entry]);
}

/** Takes entries out that were acknowledged or refused. */
export function settle(book: string, ids: ReadonlySet<string>): void {
  const left = waiting(book).filter((entry) => !ids.has(entry.id));
  if (left.length !== waiting(book).length) keep(book, left);
}

export function subscribe(changed: () => void): () => void {
  listeners.add(changed);
  window.addEventListener('storage', changed);
  return () => {
    listeners.delete(changed);
    window.removeEventListener('storage', changed);
  };
}
