import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';
import type { BookEntry, Entry } from './entry.ts';

/** What the first entry of a book is chained to. */
export const genesis = '0'.repeat(64);

/** SHA-256 of bytes or of a text in UTF-8, as 64 hexadecimal digits. */
export function sha256Hex(data: Uint8Array | string): string {
  return bytesToHex(sha256(typeof data === 'string' ? utf8ToBytes(data) : data));
}

/** The one text of a value, whatever the order of its keys (RFC 8785). */
export function canonicalJson(value: unknown): string {
  const text = canonicalize(value);
  if (text === undefined) throw new TypeError('There is no canonical JSON of undefined.');
  return text;
}

/** Whether two copies of an entry say the same, in any order of keys. */
export function sameEntry(a: Entry, b: Entry): boolean {
  return canonicalJson(authored(a)) === canonicalJson(authored(b));
}

/** What the device wrote, without what the book adds to it. */
export function authored({ id, book, visit, kind, version, at, author, device, payload }: Entry): Entry {
  return { id, book, visit, kind, version, at, author, device, payload };
}

/** The last number and hash of a book: who holds it elsewhere can tell whether the end was cut off or written anew. */
export interface Head {
  count: number;
  hash: string;
}

type Sha256 = (text: string) => string;

/**
 * The hash of an entry: over the hash before it and the canonical JSON of all it says, its number, sending and arrival.
 * @param hashOf the platform's own SHA-256 where it is faster
 */
export function entryHash(entry: Omit<BookEntry, 'hash'>, hashOf: Sha256 = sha256Hex): string {
  const { seq, sentAt, receivedAt, previous } = entry;
  return hashOf(`${previous}\n${canonicalJson({ ...authored(entry), seq, sentAt, receivedAt })}`);
}

/** Chains a new entry to the end of a book. */
export function chained(
  entry: Entry,
  head: Head | null,
  { sentAt, receivedAt }: Pick<BookEntry, 'sentAt' | 'receivedAt'>,
  hashOf?: Sha256,
): BookEntry {
  const link = { ...authored(entry), seq: (head?.count ?? 0) + 1, sentAt, receivedAt, previous: head?.hash ?? genesis };
  return { ...link, hash: entryHash(link, hashOf) };
}

/** Where and why a chain does not hold. */
export interface ChainBreak {
  seq: number;
  id: string;
  code: 'number' | 'not-chained' | 'altered';
}

/** The breaks of a book walked in order. It goes on after one, so that a single fault does not hide others. */
export function findBreaks(entries: Iterable<BookEntry>, hashOf?: Sha256): ChainBreak[] {
  const breaks: ChainBreak[] = [];
  let [previous, seq] = [genesis, 0];
  for (const entry of entries) {
    const found = (code: ChainBreak['code']) => breaks.push({ seq: entry.seq, id: entry.id, code });
    if (entry.seq !== seq + 1) found('number');
    else if (entry.previous !== previous) found('not-chained');
    if (entryHash(entry, hashOf) !== entry.hash) found('altered');
    [previous, seq] = [entry.hash, entry.seq];
  }
  return breaks;
}

/** Whether a book still holds what somebody outside was told of it: the entry of that number with that hash. */
export function holdsHead(entries: readonly Pick<BookEntry, 'seq' | 'hash'>[], head: Head): boolean {
  return entries.find((entry) => entry.seq === head.count)?.hash === head.hash;
}
