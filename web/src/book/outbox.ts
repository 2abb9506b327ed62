import { hasSameWords, type BookEntry, type Entry } from '@fonte/core/book';
import { IdTaken, type ApiProblem } from '../api/call.ts';
import { disk, type Kept } from '../disk/index.ts';
import { now } from '../time/clock.ts';

/*
 * Entries that only this device has, as far as it knows. Each lies on the device's disk before it is shown as written, and stays
 * there until the server has acknowledged it: an answer lost on the way, a killed browser or a week without a signal neither
 * loses nor doubles one. A refused one stays with its reason.
 */

/** This device could not keep an entry: its storage is full, or the window keeps nothing. */
export class NotKept extends Error {
  constructor(options?: ErrorOptions) {
    super('This device cannot keep anything now: its storage is full, or this is a private window.', options);
  }
}

/** What lies on the disk, in the order in which it was written, as the page has it before the eyes. */
let all: readonly Kept[] = [];
/** The entries of each book that wait: the same until something changes. */
let byBook = new Map<string, readonly Entry[]>();
const none: readonly Entry[] = [];
const listeners = new Set<() => void>();

const isPage = typeof window !== 'undefined';
/** Other tabs, and whoever sends in the background. */
const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('fonte-outbox');

/** Entries as they were first seen here, by their ids: the same one as long as it says the same. */
let seen = new Map<string, Entry>();
const asSeen = (kept: Kept): Kept => {
  const known = seen.get(kept.id);
  return known?.salt !== undefined && known.salt === kept.entry.salt ? { ...kept, entry: known } : kept;
};

function show(read: readonly Kept[]): void {
  const next = read.map(asSeen);
  seen = new Map(next.map(({ id, entry }) => [id, entry]));
  all = next;
  const found = new Map<string, Entry[]>();
  for (const { book, entry, state } of next) {
    if (state !== 'waiting') continue;
    const known = found.get(book);
    if (known) known.push(entry);
    else found.set(book, [entry]);
  }
  byBook = found;
  for (const changed of listeners) changed();
}

async function look(): Promise<void> {
  show(await (await disk()).outbox.orderBy('n').toArray());
}

let reading: Promise<void> | null = null;

let isRead = false;

/** Resolves once it is known what lies on the disk; where nothing can be kept, nothing does. */
export function outboxRead(): Promise<void> {
  reading ??= look()
    .catch(() => undefined)
    .then(() => {
      isRead = true;
      for (const changed of listeners) changed();
    });
  return reading;
}

/** Whether it is known what lies on the disk: before that nobody may say that nothing does. */
export const isOutboxRead = (): boolean => isRead;

/** What is done first when another tab, or the background, has changed what lies here. */
let first: () => Promise<void> = () => Promise.resolve();
export function beforeOthersShow(work: () => Promise<void>): void {
  first = work;
}

if (isPage)
  others?.addEventListener('message', () => {
    void first()
      .then(look)
      .catch(() => undefined);
  });

/** Tells this page and the others that the disk holds something else. */
async function changed(): Promise<void> {
  await look();
  others?.postMessage('changed');
}

/** The entries of a book that wait, in the order in which they were written. */
export function waiting(book: string): readonly Entry[] {
  return byBook.get(book) ?? none;
}

/** Everything that only this device has. */
export function inOutbox(): readonly Kept[] {
  return all;
}

export function booksWaiting(): string[] {
  return [...byBook.keys()];
}

/** Writes an entry to the outbox and deletes its draft, at once. What stands with the same words stays. @throws IdTaken */
async function write(kept: Kept): Promise<void> {
  const { id, entry } = kept;
  const opened = await disk();
  const { outbox, entries, drafts, spent } = opened;
  const inBook = () => entries.where('id').equals(id).first();
  const standing = await inBook();
  const isGone = await opened.transaction('rw', outbox, drafts, spent, async () => {
    const here = (await outbox.where('id').equals(id).first())?.entry ?? standing;
    if (here && !hasSameWords(here, entry)) throw new IdTaken();
    await drafts.where('entry').equals(id).delete();
    if (here) return false;
    // It left for its book while we looked.
    if ((await spent.where('id').equals(id).count()) > 0) return true;
    await outbox.add(kept);
    await spent.add({ id });
    return false;
  });
  const gone = isGone ? await inBook() : undefined;
  if (isGone && !(gone && hasSameWords(gone, entry))) throw new IdTaken();
}

/**
 * Keeps an entry on the disk, and deletes the draft that it was; when it returns, the entry survives the end of the browser. What
 * stands already with the same words is kept.
 * @param onDisk called once it does, before it is shown: the form is ready for the next by then
 * @throws NotKept; IdTaken where another entry has its id
 */
export async function put(entry: Entry, onDisk?: () => void): Promise<void> {
  await outboxRead();
  const kept: Kept = { id: entry.id, book: entry.book, entry, at: now(), state: 'waiting' };
  try {
    await write(kept);
  } catch (cause) {
    if (cause instanceof IdTaken) throw cause;
    throw new NotKept({ cause });
  }
  // The page reads the book with it already.
  seen.set(entry.id, entry);
  onDisk?.();
  await changed();
}

/** Lets go of entries that the server has acknowledged; they lie on the disk as part of their book before they leave here. */
export async function acknowledge(written: readonly BookEntry[]): Promise<void> {
  if (written.length === 0) return;
  const { outbox, entries, ...store } = await disk().then((opened) => ({
    outbox: opened.outbox,
    entries: opened.entries,
    transaction: opened.transaction.bind(opened),
  }));
  await store.transaction('rw', outbox, entries, async () => {
    await entries.bulkPut([...written]);
    await outbox
      .where('id')
      .anyOf(written.map(({ id }) => id))
      .delete();
  });
  await changed();
}

/** The server will not take entries: they stay here, each with its reason. One that gave way while it was on its way is refused no more. */
export async function refuse(refused: readonly { entry: Entry; problem: ApiProblem }[]): Promise<void> {
  if (refused.length === 0) return;
  const problems = new Map(refused.map(({ entry, problem }) => [entry.id, problem]));
  const { outbox } = await disk();
  await outbox
    .where('id')
    .anyOf([...problems.keys()])
    .modify((kept) => {
      if (kept.state === 'replaced') return;
      const { status, title, errors } = problems.get(kept.id)!;
      kept.state = 'refused';
      kept.problem = { status, title, errors: [...errors] };
    });
  await changed();
}

/** Lets go of an entry that was refused while its form was still open: there it is mended. */
export async function letGo(id: string): Promise<void> {
  const opened = await disk();
  const { outbox, spent } = opened;
  await opened.transaction('rw', outbox, spent, async () => {
    await outbox.where('id').equals(id).delete();
    await spent.where('id').equals(id).delete();
  });
  await changed();
}

/** Another entry takes the place of one that was refused, which stays here with its reason. @throws NotKept */
export async function replace(refused: string, entry: Entry): Promise<void> {
  await put(entry);
  const { outbox } = await disk();
  await outbox.where('id').equals(refused).modify({ state: 'replaced' });
  await changed();
}

/** What was refused is tried again: another version of the server, or another person, may take it. */
export async function tryAgain(): Promise<void> {
  const { outbox } = await disk();
  const isSome = (await outbox.filter(({ state }) => state === 'refused').count()) > 0;
  if (!isSome) return;
  await outbox.filter(({ state }) => state === 'refused').modify({ state: 'waiting' });
  await changed();
}

/** Follows what lies here. */
export function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}
