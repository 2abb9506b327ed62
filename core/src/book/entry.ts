import { v7 } from 'uuid';
import { z } from 'zod';
import { Instant, instantAt, millis } from '../time/index.ts';

/** An entry as the device makes it. Nothing in it changes afterwards. */
export const Entry = z.object({
  id: z.uuid({ version: 'v7' }),
  /** The round whose book it stands in, or `org` for the organisation's own. */
  book: z.union([z.literal('org'), z.uuid()]),
  kind: z.string().min(1).max(40),
  at: Instant,
  author: z.string().min(1).max(60),
  payload: z.unknown(),
});

export interface Entry<K extends string = string, P = unknown> {
  id: string;
  book: string;
  kind: K;
  at: Instant;
  author: string;
  payload: P;
}

/** An entry as it stands in a book: numbered, dated on arrival and chained to the one before. */
export type BookEntry<K extends string = string, P = unknown> = Entry<K, P> & {
  seq: number;
  receivedAt: string;
  previous: string;
  hash: string;
};

/**
 * A kind of entry: its name, its payload's schema, and whether a correction may strike it. Each room declares its own
 * and reads its entries back with `is`, so the schema is written once.
 */
export interface EntryKind<K extends string, S extends z.ZodType> {
  kind: K;
  payload: S;
  /** What a person calls it, for the field book and messages. */
  title: string;
  strikeable: boolean;
  is: (entry: Entry) => entry is Entry<K, z.infer<S>>;
}

export function entryKind<K extends string, S extends z.ZodType>(
  kind: K,
  title: string,
  payload: S,
  options: { strikeable?: boolean } = {},
): EntryKind<K, S> {
  return {
    kind,
    title,
    payload,
    strikeable: options.strikeable ?? false,
    is: (entry): entry is Entry<K, z.infer<S>> => entry.kind === kind,
  };
}

/** A new entry id: UUIDv7, so ids sort by the device's time. */
export function newId(milliseconds: number): string {
  return v7({ msecs: milliseconds });
}

/** What a device knows when it writes an entry: whose book, who writes, and what its clock and wall say. */
export interface Pen {
  book: string;
  author: string;
  /** ms since 1970 in UTC. */
  now: number;
  /** Minutes that the wall clock is ahead of UTC. */
  offset: number;
}

/** A new entry of a kind, with an id of its own. */
export function writeEntry<K extends string, S extends z.ZodType>(
  pen: Pen,
  kind: EntryKind<K, S>,
  payload: z.input<S>,
): Entry<K, z.input<S>> {
  return { id: newId(pen.now), book: pen.book, kind: kind.kind, at: instantAt(pen.now, pen.offset), author: pen.author, payload };
}

/** Entries in the order in which the work was done: by the device's time, then by place in the book. */
export function inOrderOfWork<E extends Entry>(entries: readonly E[]): E[] {
  return entries
    .map((entry, index) => ({ entry, index, time: millis(entry.at) }))
    .sort((a, b) => a.time - b.time || a.index - b.index)
    .map(({ entry }) => entry);
}
