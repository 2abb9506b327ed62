import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import {
  canonicalJson,
  chained,
  corrected,
  entryKind,
  findBreak,
  inOrderOfWork,
  newId,
  sameEntry,
  sha256Hex,
  strikes,
  struck,
  writeEntry,
  type BookEntry,
  type Entry,
} from './index.ts';

const reading = entryKind('reading', 'Reading', z.object({ value: z.number() }), { strikeable: true });
const pen = (now: number) => ({ book: newId(0), author: 'tech', now, offset: 0 });
const read = (now: number, value: number) => writeEntry(pen(now), reading, { value });

function chain(entries: readonly Entry[]): BookEntry[] {
  const book: BookEntry[] = [];
  for (const entry of entries) book.push(chained(entry, book.at(-1) ?? null, '2026-11-23T10:00:00.000Z'));
  return book;
}

describe('the chain', () => {
  it('hashes as published: SHA-256 of "abc", FIPS 180-4', () => {
    expect(sha256Hex('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
  });

  it('writes one text for one value, RFC 8785', () => {
    expect(canonicalJson({ b: 1, a: [1.0, 'é', null], c: 1e21 })).toBe('{"a":[1,"é",null],"b":1,"c":1e+21}');
  });

  it('holds as written, and breaks wherever a byte is changed', () => {
    const book = chain([read(1000, 1), read(2000, 2), read(3000, 3)]);
    expect(findBreak(book)).toBeNull();
    const text = JSON.stringify(book);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: text.length - 1 }), fc.constantFrom('0', '1', 'x', ' '), (at, byte) => {
        let changed: BookEntry[];
        try {
          changed = JSON.parse(text.slice(0, at) + byte + text.slice(at + 1)) as BookEntry[];
        } catch {
          return;
        }
        if (JSON.stringify(changed) !== text) expect(findBreak(changed)).not.toBeNull();
      }),
      { numRuns: 500 },
    );
  });

  it('says which entry breaks it and how', () => {
    const book = chain([read(1000, 1), read(2000, 2), read(3000, 3)]);
    expect(findBreak([book[0]!, book[2]!])).toMatchObject({ seq: 3, reason: 'a number is missing or doubled' });
    expect(findBreak([book[0]!, { ...book[1]!, payload: { value: 9 } }])).toMatchObject({ seq: 2, reason: 'what it says was changed' });
    expect(findBreak([{ ...book[0]!, previous: 'f'.repeat(64) }])).toMatchObject({
      seq: 1,
      reason: 'it is not chained to the entry before',
    });
  });

  it('tells a repeated entry from an altered copy', () => {
    const entry = read(1000, 1);
    expect(sameEntry(entry, { ...entry, payload: JSON.parse('{"value":1}') as unknown })).toBe(true);
    expect(sameEntry(entry, { ...entry, payload: { value: 2 } })).toBe(false);
  });
});

describe('corrections', () => {
  const first = read(1000, 1);
  const second = read(2000, 2);
  const strike = (instead?: unknown) =>
    writeEntry(pen(9000), struck, { entry: first.id, reason: 'misread', ...(instead ? { instead } : {}) });

  it('strikes an entry and keeps the rest', () => {
    expect(corrected([first, second, strike()]).map((entry) => entry.id)).toEqual([second.id]);
  });

  it('puts the corrected payload at the time and place of the original', () => {
    const standing = corrected([first, second, strike({ value: 7 })]);
    expect(standing.map((entry) => [entry.id, entry.payload, entry.at.utc])).toEqual([
      [first.id, { value: 7 }, first.at.utc],
      [second.id, second.payload, second.at.utc],
    ]);
  });

  it('lets the later of two corrections stand', () => {
    expect(corrected([first, strike({ value: 7 }), strike({ value: 8 })])[0]?.payload).toEqual({ value: 8 });
    expect(strikes([first, strike()]).get(first.id)?.reason).toBe('misread');
  });

  it('wants a reason', () => {
    expect(struck.payload.safeParse({ entry: first.id, reason: ' ' }).success).toBe(false);
  });
});

it('orders entries by when the work was done, not by when they arrived', () => {
  const late = read(1000, 1);
  const early = read(500, 2);
  expect(inOrderOfWork([late, early]).map((entry) => entry.id)).toEqual([early.id, late.id]);
});
