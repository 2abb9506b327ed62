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

function authored({ id, book, kind, at, author, payload }: Entry): Entry {
  return { id, book, kind, at, author, payload };
}

/** The hash of an entry: over the hash before it and the canonical JSON of all it says, its number and its arrival. */
export function entryHash(entry: Omit<BookEntry, 'hash'>): string {
  const { seq, receivedAt, previous } = entry;
  return sha256Hex(`${previous}\n${canonicalJson({ ...authored(entry), seq, receivedAt })}`);
}

/** Chains a new entry to the end of a book. */
export function chained(entry: Entry, head: { seq: number; hash: string } | null, receivedAt: string): BookEntry {
  const link = { ...authored(entry), seq: (head?.seq ?? 0) + 1, receivedAt, previous: head?.hash ?? genesis };
  return { ...link, hash: entryHash(link) };
}

/** Where and why a chain does not hold. */
export interface ChainBreak {
  seq: number;
  id: string;
  reason: 'a number is missing or doubled' | 'it is not chained to the entry before' | 'what it says was changed';
}

/** Walks a book in order and returns the first break, or null when every entry is as it was written. */
export function findBreak(entries: readonly BookEntry[]): ChainBreak | null {
  let previous = genesis;
  let seq = 0;
  for (const entry of entries) {
    seq += 1;
    const at = { seq: entry.seq, id: entry.id };
    if (entry.seq !== seq) return { ...at, reason: 'a number is missing or doubled' };
    if (entry.previous !== previous) return { ...at, reason: 'it is not chained to the entry before' };
    if (entryHash(entry) !== entry.hash) return { ...at, reason: 'what it says was changed' };
    previous = entry.hash;
  }
  return null;
}
