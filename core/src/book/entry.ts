import { v4, v7 } from 'uuid';
import { z } from 'zod';
import { Instant, instantAt } from '../time/index.ts';

const hex = '[0-9a-f]';
const uuid = (version: string) => new RegExp(`^${hex}{8}-${hex}{4}-${version}${hex}{3}-${hex}{4}-${hex}{12}$`);

/** A UUID in lower case: one thing has one spelling. */
export const Id = z.string().regex(uuid(hex), { error: 'Not an id in lower case.' });
const EntryId = z.string().regex(uuid('7'), { error: 'Not a UUIDv7 in lower case.' });

/** What the signature of an entry is: by which key of a device, and the signature itself (ECDSA over P-256 with SHA-256, base64url). */
export const Signature = z.object({
  key: z.string().regex(/^[0-9a-f]{64}$/, { error: 'Not the id of a key.' }),
  value: z.string().regex(/^[A-Za-z0-9_-]{86}$/, { error: 'Not a signature.' }),
});
export type Signature = z.infer<typeof Signature>;

/** How far the device's clock was ahead of the server's, in ms, when the two last met, and when that was. */
export const ClockMet = z.object({ ahead: z.number().int(), at: z.iso.datetime({ precision: 3 }) });
export type ClockMet = z.infer<typeof ClockMet>;

/** An entry as the device makes it. Nothing in it changes afterwards. */
export const Entry = z.object({
  id: EntryId,
  /** The round or the registered thing in whose book it stands. */
  book: Id,
  /** The visit it belongs to; null for what concerns the whole book. */
  visit: Id.nullable(),
  kind: z.string().regex(/^[a-z][a-z-]{1,39}$/, { error: 'Not the name of a kind.' }),
  /** The version of the kind that the payload is written in. */
  version: z.number().int().min(1).max(1000),
  at: Instant,
  author: Id,
  device: Id,
  payload: z.unknown(),
  /** Random, of this entry alone: the digest of its payload is made with it. */
  salt: z
    .string()
    .regex(/^[0-9a-f]{32}$/, { error: 'Not a salt.' })
    .optional(),
  clock: ClockMet.optional(),
  signature: Signature.optional(),
});

export interface Entry<K extends string = string, P = unknown> {
  id: string;
  book: string;
  visit: string | null;
  kind: K;
  version: number;
  at: Instant;
  author: string;
  device: string;
  payload: P;
  salt?: string | undefined;
  clock?: ClockMet | undefined;
  signature?: Signature | undefined;
}

/** What the server doubted of an entry when it came: it stands aside until somebody says that it holds. */
export const doubts = ['device-revoked', 'person-left', 'from-household'] as const;
export type Doubt = (typeof doubts)[number];

/** An entry as it stands in a book: numbered, dated on sending and arrival, and chained to the one before. */
export const BookEntry = Entry.extend({
  seq: z.number().int().positive(),
  /** What the device's clock said when it sent the entry; null for what the server wrote. */
  sentAt: z.string().nullable(),
  /** What the server's clock said when it came. */
  receivedAt: z.string(),
  previous: z.string(),
  hash: z.string(),
  /** The digest of the payload; entries of before there were salts have none. */
  content: z.string().optional(),
  doubt: z.enum(doubts).optional(),
});
export type BookEntry<K extends string = string, P = unknown> = Entry<K, P> & Omit<z.infer<typeof BookEntry>, keyof Entry>;

/** A salt for one entry: 122 random bits. */
export const newSalt = (): string => v4().replaceAll('-', '');

/** Counts on from a place of its own on each device; 31 bits of an id. */
let sequence = Number.parseInt(v4().slice(0, 7), 16);

/** A new entry id: UUIDv7, so that ids of one device sort by its time, and within a millisecond by the order made. */
export function newId(milliseconds: number): string {
  sequence = (sequence + 1) & 0x7fffffff;
  return v7({ msecs: milliseconds, seq: sequence });
}

/**
 * The moment (ms) at which an entry's id was made.
 * @example madeAt(newId(1796000000000)) // 1796000000000
 */
export function madeAt(id: string): number {
  return Number.parseInt(id.slice(0, 8) + id.slice(9, 13), 16);
}

/** What a device knows when it writes an entry: whose book, who writes, on what, and what its clock and wall say. */
export interface Pen {
  book: string;
  author: string;
  device: string;
  /** ms since 1970 in UTC. */
  now: number;
  /** Minutes that the wall clock is ahead of UTC. */
  offset: number;
  /** What is known of how far this device's clock is off. */
  clock?: ClockMet | null;
}

/** A new entry of a kind, with an id of its own unless one is given. */
export function writeEntry<K extends string, S extends z.ZodType>(
  pen: Pen,
  kind: { kind: K; version: number; payload: S },
  payload: z.input<S>,
  { visit = null, id }: { visit?: string | null; id?: string } = {},
): Entry<K, z.input<S>> {
  return {
    id: id ?? newId(pen.now),
    book: pen.book,
    visit,
    kind: kind.kind,
    version: kind.version,
    at: instantAt(pen.now, pen.offset),
    author: pen.author,
    device: pen.device,
    payload,
    salt: newSalt(),
    ...(pen.clock ? { clock: pen.clock } : {}),
  };
}

/**
 * Whether `a` comes before `b` in the order of work: by the device's time, then by id. Arrival plays no part in it.
 * @example isBefore({ id: 'b', at: { utc: '2026-11-23T08:00:00Z', offset: 0 } }, { id: 'a', at: { utc: '2026-11-23T08:01:00Z', offset: 0 } }) // true
 */
export function isBefore(a: Pick<Entry, 'at' | 'id'>, b: Pick<Entry, 'at' | 'id'>): boolean {
  return a.at.utc < b.at.utc || (a.at.utc === b.at.utc && a.id < b.id);
}

/** Entries in the order in which the work was done. */
export function inOrderOfWork<E extends Entry>(entries: readonly E[]): E[] {
  const isOrdered = entries.every((entry, index) => index === 0 || isBefore(entries[index - 1]!, entry));
  return isOrdered ? [...entries] : [...entries].sort((a, b) => (isBefore(a, b) ? -1 : 1));
}
