import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';
import type { BookEntry, Entry } from './entry.ts';
import { madeUnreadable } from './unreadable.ts';

/** What the first entry of a book is chained to. */
export const genesis = '0'.repeat(64);

/**
 * SHA-256 of bytes or of a text in UTF-8, as 64 hexadecimal digits.
 * @example sha256Hex('abc') // 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad'
 */
export function sha256Hex(data: Uint8Array | string): string {
  return bytesToHex(sha256(typeof data === 'string' ? utf8ToBytes(data) : data));
}

/**
 * The one text of a value, whatever the order of its keys (RFC 8785).
 * @example canonicalJson({ b: 1.0, a: ['é', null] }) // '{"a":["é",null],"b":1}'
 */
export function canonicalJson(value: unknown): string {
  const text = canonicalize(value);
  if (text === undefined) throw new TypeError('There is no canonical JSON of undefined.');
  return text;
}

/** Whether two entries say the same, whoever wrote them and when. */
export function hasSameWords(one: Entry, other: Entry): boolean {
  const wordsOf = ({ book, visit, kind, version, payload }: Entry) => canonicalJson({ book, visit, kind, version, payload });
  return wordsOf(one) === wordsOf(other);
}

/** SHA-256 in hexadecimal, of a text in UTF-8 or of bytes. */
export type Sha256 = (data: string | Uint8Array) => string;

/**
 * What stands for a payload under hash and signature. It is made with a salt of the entry's own: once the words and the salt
 * are taken away nobody can guess them back from it, and the chain holds all the same.
 * @param hashOf the platform's own SHA-256 where it is faster
 */
export function contentOf({ payload, salt }: { payload: unknown; salt: string }, hashOf: Sha256 = sha256Hex): string {
  return contentOfText(canonicalJson(payload), salt, hashOf);
}

/** The same of a payload whose canonical JSON is at hand. */
export function contentOfText(text: string, salt: string, hashOf: Sha256 = sha256Hex): string {
  return hashOf(`${salt}\n${text}`);
}

/** Whether the words of an entry were taken away after it was written: it stands by its digest alone. */
export function isUnreadable(entry: Pick<BookEntry, 'salt' | 'content'>): boolean {
  return entry.content !== undefined && entry.salt === undefined;
}

const envelope = ({ id, book, visit, kind, version, at, author, device }: Omit<Entry, 'payload'>) => ({
  id,
  book,
  visit,
  kind,
  version,
  at,
  author,
  device,
});

/** What a device signs of an entry: all that it says, and by which key. */
export function signedText(entry: Omit<Entry, 'payload'>, content: string, key: string): string {
  return canonicalJson({ ...envelope(entry), ...(entry.clock ? { clock: entry.clock } : {}), content, key });
}

/** Whether an entry that stands says the same as a copy that was sent, in any order of keys. */
export function sameEntry(standing: Entry & Partial<BookEntry>, sent: Entry): boolean {
  if (canonicalJson(envelope(standing)) !== canonicalJson(envelope(sent))) return false;
  if (standing.content !== undefined && standing.salt === undefined)
    return sent.salt !== undefined && contentOf({ payload: sent.payload, salt: sent.salt }) === standing.content;
  return canonicalJson(standing.payload) === canonicalJson(sent.payload);
}

/** What the device wrote, without what the book adds to it. */
export function authored(entry: Entry): Entry {
  const { payload, salt, clock, signature } = entry;
  return {
    ...envelope(entry),
    payload,
    ...(salt === undefined ? {} : { salt }),
    ...(clock === undefined ? {} : { clock }),
    ...(signature === undefined ? {} : { signature }),
  };
}

/** The last number and hash of a book: who holds it elsewhere can tell whether the end was cut off or written anew. */
export interface Head {
  count: number;
  hash: string;
}

/**
 * The hash of an entry: over the hash before it and the canonical JSON of all it says, its number, sending and arrival. Of the
 * payload its digest is taken; entries of before there were salts have the payload itself there.
 */
export function entryHash(entry: Omit<BookEntry, 'hash'>, hashOf: Sha256 = sha256Hex): string {
  const { seq, sentAt, receivedAt, previous, doubt, content, clock, signature, payload } = entry;
  const said =
    content === undefined
      ? { payload }
      : { content, ...(clock ? { clock } : {}), ...(signature ? { signature } : {}), ...(doubt ? { doubt } : {}) };
  return hashOf(`${previous}\n${canonicalJson({ ...envelope(entry), ...said, seq, sentAt, receivedAt })}`);
}

/**
 * Chains a new entry to the end of a book.
 * @param content the digest of its payload and salt, where whoever calls has worked it out already
 */
export function chained(
  entry: Entry,
  head: Head | null,
  { sentAt, receivedAt, doubt }: Pick<BookEntry, 'sentAt' | 'receivedAt' | 'doubt'>,
  hashOf?: Sha256,
  content?: string,
): BookEntry {
  const { payload, salt } = entry;
  const link = {
    ...authored(entry),
    ...(salt === undefined ? {} : { content: content ?? contentOf({ payload, salt }, hashOf) }),
    ...(doubt ? { doubt } : {}),
    seq: (head?.count ?? 0) + 1,
    sentAt,
    receivedAt,
    previous: head?.hash ?? genesis,
  };
  return { ...link, hash: entryHash(link, hashOf) };
}

/** Where and why a chain does not hold. */
export interface ChainBreak {
  seq: number;
  id: string;
  code: 'number' | 'not-chained' | 'altered';
}

/** What stands since in the entries whose words were taken away, as the book itself records it: SHA-256 by their ids. */
function recorded(entries: readonly BookEntry[]): ReadonlyMap<string, string> {
  return new Map(
    entries.flatMap((entry) => (madeUnreadable.is(entry) ? entry.payload.entries.map(({ entry: id, now }) => [id, now] as const) : [])),
  );
}

function isAltered(entry: BookEntry, unreadable: ReadonlyMap<string, string>, hashOf: Sha256 = sha256Hex): boolean {
  const { payload, salt, content } = entry;
  if (payload === undefined || entryHash(entry, hashOf) !== entry.hash) return true;
  if (content === undefined) return false;
  if (salt !== undefined) return contentOf({ payload, salt }, hashOf) !== content;
  return unreadable.get(entry.id) !== hashOf(canonicalJson(payload));
}

/** The breaks of a book walked in order. It goes on after one, so that a single fault does not hide others. */
export function findBreaks(entries: readonly BookEntry[], hashOf?: Sha256): ChainBreak[] {
  const breaks: ChainBreak[] = [];
  const unreadable = recorded(entries);
  let [previous, seq] = [genesis, 0];
  for (const entry of entries) {
    const found = (code: ChainBreak['code']) => breaks.push({ seq: entry.seq, id: entry.id, code });
    if (entry.seq !== seq + 1) found('number');
    else if (entry.previous !== previous) found('not-chained');
    if (isAltered(entry, unreadable, hashOf)) found('altered');
    [previous, seq] = [entry.hash, entry.seq];
  }
  return breaks;
}

/** Whether a book still holds what somebody outside was told of it: the entry of that number with that hash. */
export function holdsHead(entries: readonly Pick<BookEntry, 'seq' | 'hash'>[], head: Head): boolean {
  return entries.find((entry) => entry.seq === head.count)?.hash === head.hash;
}
