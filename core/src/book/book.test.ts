import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { field } from '../roles/index.ts';
import { instantAt, minute } from '../time/index.ts';
import {
  canonicalJson,
  chained,
  clockQuestions,
  Entry,
  entryKind,
  findBreaks,
  findUnsound,
  holdsHead,
  inOrderOfWork,
  backdatedBy,
  postdatedBy,
  madeAt,
  newId,
  readPayload,
  sameEntry,
  sha256Hex,
  standing,
  struck,
  Trail,
  upgraded,
  writeEntry,
  type AnyKind,
  type BookEntry,
} from './index.ts';

const reading = entryKind('reading', 'Reading', z.object({ value: z.number() }), { stands: 'in-book', by: field, correction: 'replace' });
const signed = entryKind('signed', 'Signed', z.object({ by: z.string() }), { stands: 'in-book', by: field, correction: 'strike' });
const opened = entryKind('opened', 'Opened', z.object({}), { stands: 'in-book', by: field });
const kindOf = (name: string): AnyKind | null => [reading, signed, opened, struck].find((kind) => kind.kind === name) ?? null;

const book = newId(0);
const pen = (now: number) => ({ book, author: newId(0), device: newId(0), now, offset: 0 });
const read = (now: number, value: number) => writeEntry(pen(now), reading, { value });
const stamp = { sentAt: '2026-11-23T10:00:00.000Z', receivedAt: '2026-11-23T10:00:01.000Z' };

function chain(entries: readonly Entry[]): BookEntry[] {
  const made: BookEntry[] = [];
  for (const entry of entries) {
    const last = made.at(-1);
    made.push(chained(entry, last ? { count: last.seq, hash: last.hash } : null, stamp));
  }
  return made;
}

describe('an entry', () => {
  it('has an id that tells when it was made, and sorts after every one made before it', () => {
    const ids = [5, 5, 5, 5, 6].map((now) => newId(1_700_000_000_000 + now));
    expect(ids.map(madeAt)).toEqual([5, 5, 5, 5, 6].map((now) => 1_700_000_000_000 + now));
    expect([...ids].sort()).toEqual(ids);
  });

  it.each([
    ['an id in upper case', { id: newId(1e12).toUpperCase() }, 'id'],
    ['an id of another version', { id: '6fa459ea-ee8a-4ca4-894e-db77e160355e' }, 'id'],
    ['a time before there was such a device', { at: { utc: '2019-12-31T23:59:59.999Z', offset: 0 } }, 'at.utc'],
    ['a version of none', { version: 0 }, 'version'],
    ['a device that is none', { device: 'phone' }, 'device'],
    ['a kind that is no name', { kind: '__proto__' }, 'kind'],
  ])('is refused with %s', (_, change, path) => {
    const sent = { ...read(Date.UTC(2026, 10, 23), 1), ...change };
    expect(Entry.safeParse(sent).error?.issues.map((issue) => issue.path.join('.'))).toEqual([path]);
  });

  it('was dated back when its time is before that of its making, and ahead when it is after its sending', () => {
    const made = Date.UTC(2026, 10, 23, 10, 0);
    const entry = read(made, 1);
    const at = (time: number) => ({ ...entry, at: instantAt(time, 0) });
    expect([backdatedBy(entry), postdatedBy(entry)]).toEqual([0, 0]);
    expect(backdatedBy(at(made - 10 * minute))).toBe(10 * minute);
    expect(postdatedBy({ ...entry, sentAt: '2026-11-23T09:58:00.000Z' })).toBe(2 * minute);
  });

  it('was not dated ahead when a form kept its id ready for a while', () => {
    const ready = newId(Date.UTC(2026, 10, 23, 9, 50));
    const entry = {
      ...writeEntry(pen(Date.UTC(2026, 10, 23, 10, 0)), reading, { value: 1 }, { id: ready }),
      sentAt: '2026-11-23T10:00:00.100Z',
    };
    expect([backdatedBy(entry), postdatedBy(entry)]).toEqual([0, 0]);
  });

  it('was dated by a correction that moved it', () => {
    const entry = read(Date.UTC(2026, 10, 23, 10, 0), 1);
    const moved = (minutes: number) => {
      const at = instantAt(Date.UTC(2026, 10, 23, 10, minutes), 0);
      const correction = writeEntry(pen(Date.UTC(2026, 10, 23, 11, 0)), struck, {
        entry: entry.id,
        kind: 'reading',
        reason: 'was then',
        instead: { at },
      });
      return standing([entry, correction], kindOf).entries[0]!;
    };
    expect([backdatedBy(moved(-3)), postdatedBy(moved(-3))]).toEqual([3 * minute, 0]);
    expect([backdatedBy(moved(3)), postdatedBy(moved(3))]).toEqual([0, 3 * minute]);
  });
});

describe('what can stand in a book', () => {
  it('is sound JSON, and comes back from its canonical text as it was', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        if (findUnsound(value) === null) expect(JSON.parse(canonicalJson(value))).toEqual(JSON.parse(JSON.stringify(value)));
      }),
    );
  });

  it.each([
    ['half a surrogate pair', { note: 'a\ud800b' }, 'note', 'not-text'],
    ['a NUL', { note: 'a\u0000' }, 'note', 'not-text'],
    ['an escape', { deep: ['x', 'a\u001b[2J'] }, 'deep.1', 'not-text'],
    ['an object that says what it becomes', { why: { length: { toString: 0 } } }, 'why.length', 'not-json'],
    ['half a pair as a key', { 'a\udc00': 1 }, '', 'not-text'],
    ['infinity', { depth: JSON.parse('1e999') as number }, 'depth', 'not-a-number'],
    ['a text of a megabyte', { note: 'x'.repeat(1_000_000) }, 'note', 'too-large'],
    ['thirty thousand values', { list: Array.from({ length: 30_000 }, () => 0) }, 'list.19998', 'too-large'],
  ])('is not %s', (_, value, path, code) => {
    expect(findUnsound(value)).toEqual({ path, code });
  });

  it('is not nested without end', () => {
    let nest: unknown = 1;
    for (let depth = 0; depth < 5000; depth += 1) nest = [nest];
    expect(findUnsound(nest)?.code).toBe('too-deep');
    expect(findUnsound({ note: 'a line\nand a tab\t', emoji: '💧', n: -0.5, none: null })).toBeNull();
  });
});

describe('versions of a kind', () => {
  const first = z.object({ cm: z.number() });
  const depth = entryKind('depth', 'Depth', z.object({ metres: z.number() }), {
    stands: 'in-book',
    by: field,
    earlier: [{ payload: first, upgrade: ({ cm }: z.infer<typeof first>) => ({ metres: cm / 100 }) }],
  });

  it('are read each by its own schema, and only what that names is kept', () => {
    expect(depth.version).toBe(2);
    expect(readPayload(depth, 1, { cm: 740, smuggled: true })).toEqual({ state: 'known', payload: { cm: 740 } });
    expect(readPayload(depth, 2, { cm: 740 }).state).toBe('malformed');
    expect(upgraded(depth, 1, { cm: 740 })).toEqual({ metres: 7.4 });
    expect(upgraded(depth, 2, { metres: 7.4 })).toEqual({ metres: 7.4 });
  });

  it('that are newer than this build are not misread', () => {
    expect(readPayload(depth, 3, { metres: 7.4 })).toEqual({ state: 'newer' });
  });
});

describe('the chain', () => {
  it('hashes as published: SHA-256 of "abc", FIPS 180-4', () => {
    expect(sha256Hex('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
  });

  it('writes one text for one value, RFC 8785', () => {
    expect(canonicalJson({ b: 1, a: [1.0, 'é', null], c: 1e21 })).toBe('{"a":[1,"é",null],"b":1,"c":1e+21}');
  });

  it('holds as written, and breaks wherever a byte is changed', () => {
    const whole = chain([read(1000, 1), read(2000, 2), read(3000, 3)]);
    expect(findBreaks(whole)).toEqual([]);
    const text = JSON.stringify(whole);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: text.length - 1 }), fc.constantFrom('0', '1', 'x', ' '), (at, byte) => {
        let changed: BookEntry[];
        try {
          changed = JSON.parse(text.slice(0, at) + byte + text.slice(at + 1)) as BookEntry[];
        } catch {
          return;
        }
        if (JSON.stringify(changed) !== text) expect(findBreaks(changed)).not.toEqual([]);
      }),
      { numRuns: 500 },
    );
  });

  it('covers version, visit, device and both clocks', () => {
    const [one] = chain([read(1000, 1)]) as [BookEntry];
    for (const change of [{ version: 2 }, { visit: newId(1) }, { device: newId(1) }, { sentAt: null }, { receivedAt: stamp.sentAt }])
      expect(findBreaks([{ ...one, ...change }])).toEqual([{ seq: 1, id: one.id, code: 'altered' }]);
  });

  it('says which entries break it and how, and goes on after the first', () => {
    const [a, b, c, d] = chain([read(1000, 1), read(2000, 2), read(3000, 3), read(4000, 4)]) as [
      BookEntry,
      BookEntry,
      BookEntry,
      BookEntry,
    ];
    expect(findBreaks([a, c, d])).toMatchObject([{ seq: 3, code: 'number' }]);
    expect(findBreaks([a, { ...b, payload: { value: 9 } }, c, { ...d, author: newId(5) }])).toMatchObject([
      { seq: 2, code: 'altered' },
      { seq: 4, code: 'altered' },
    ]);
    expect(findBreaks([a, { ...b, previous: 'f'.repeat(64) }])[0]).toMatchObject({ seq: 2, code: 'not-chained' });
  });

  it('that was forged and hashed anew from its second entry on holds in itself, but not against a head that is known outside', () => {
    const true_ = chain([read(1000, 1), read(2000, 2), read(3000, 3)]);
    const witnessed = { count: 3, hash: true_[2]!.hash };
    const forged = chain([read(1000, 1), read(2000, 99), read(3000, 3)]);
    expect(findBreaks(forged)).toEqual([]);
    expect([holdsHead(true_, witnessed), holdsHead(forged, witnessed), holdsHead(true_.slice(0, 2), witnessed)]).toEqual([
      true,
      false,
      false,
    ]);
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
  let clock = 9000;
  const strike = (target: Entry, instead?: object, kind = target.kind) =>
    writeEntry(pen((clock += 1000)), struck, { entry: target.id, kind, reason: 'misread', ...(instead ? { instead } : {}) });
  const value = (number: number) => ({ payload: { value: number }, version: 1 });
  const says = (...entries: Entry[]) => standing(entries, kindOf).entries.map((entry) => (entry.payload as { value: number }).value);
  const asides = (...entries: Entry[]) => standing(entries, kindOf).aside.map((one) => one.misfit.code);

  it('strike an entry and keep the rest', () => {
    const correction = strike(first);
    expect(says(first, second, correction)).toEqual([2]);
    expect(standing([first, second, correction], kindOf).strikes.get(first.id)).toMatchObject({ reason: 'misread', replaced: false });
  });

  it('put other words at the time and place of the original, or the same words at another time', () => {
    expect(says(first, second, strike(first, value(7)))).toEqual([7, 2]);
    expect(says(first, second, strike(first, { at: instantAt(5000, 0) }))).toEqual([2, 1]);
  });

  it('can be struck themselves: what they struck stands again', () => {
    const wrong = strike(first);
    expect(says(first, second, wrong, strike(wrong))).toEqual([1, 2]);
    const better = strike(first, value(7));
    const undone = strike(better);
    expect(says(first, better, undone)).toEqual([1]);
    expect(says(first, better, undone, strike(undone))).toEqual([7]);
  });

  it('of one entry: the later written stands, in whatever order they arrive', () => {
    const [seven, eight] = [strike(first, value(7)), strike(first, value(8))];
    expect([says(first, seven, eight), says(eight, seven, first)]).toEqual([[8], [8]]);
    const last = strike(eight);
    expect(says(first, seven, eight, last)).toEqual([7]);
  });

  it.each([
    ['of what is not in the book', () => [strike(first)], 'no-such-entry'],
    ['of an entry of another kind', () => [first, strike(first, undefined, 'signed')], 'other-kind'],
    ['of a kind that cannot be struck', () => [writeEntry(pen(1), opened, {}), strike(writeEntry(pen(1), opened, {}))], 'no-such-entry'],
    ['that changes nothing', () => [first, strike(first, value(1))], 'changes-nothing'],
    ['of a newer version', () => [first, strike(first, { payload: { metres: 1 }, version: 9 })], 'newer-version'],
  ])('%s stand aside and do nothing', (_, entries, code) => expect(asides(...entries())).toEqual([code]));

  it('put nothing in the place of what can only be struck', () => {
    const sign = writeEntry(pen(3000), signed, { by: 'IF' });
    const open = writeEntry(pen(1), opened, {});
    expect(asides(sign, strike(sign, { payload: { by: 'XX' }, version: 1 }))).toEqual(['only-struck']);
    expect(asides(open, strike(open))).toEqual(['cannot-be-struck']);
  });

  it('that strike one another in a circle all stand aside', () => {
    const a = strike(first);
    const b = { ...strike(a), id: newId(99) };
    const looped = { ...a, payload: { ...a.payload, entry: b.id, kind: 'struck' } };
    expect(asides(first, looped, b)).toEqual(['circle', 'circle']);
    expect(says(first, looped, b)).toEqual([1]);
  });

  it('want a reason, and something to put in the place', () => {
    expect(struck.payload.safeParse({ entry: first.id, kind: 'reading', reason: ' ' }).success).toBe(false);
    expect(struck.payload.safeParse({ entry: first.id, kind: 'reading', reason: 'misread', instead: {} }).success).toBe(false);
    expect(struck.payload.safeParse({ entry: first.id, kind: 'reading', reason: 'misread', instead: { payload: {} } }).success).toBe(false);
  });
});

it('orders entries by when the work was done, whatever the order in which they came', () => {
  const entries = [read(1000, 1), read(500, 2), read(500, 3), read(2000, 4)];
  const order = (list: Entry[]) => inOrderOfWork(list).map((entry) => (entry.payload as { value: number }).value);
  fc.assert(
    fc.property(fc.shuffledSubarray(entries, { minLength: 4 }), (shuffled) => {
      expect(order(shuffled)).toEqual([2, 3, 1, 4]);
    }),
  );
});

it('asks about devices whose clock and the server’s disagree, and about no others', () => {
  const [late, good] = [newId(1), newId(2)];
  const sent = (device: string, ahead: number) => ({
    ...read(1000, 1),
    device,
    receivedAt: '2026-11-23T10:00:00.000Z',
    sentAt: new Date(Date.UTC(2026, 10, 23, 10, 0) + ahead).toISOString(),
  });
  expect(clockQuestions([sent(good, 90_000), sent(late, -3_600_000), sent(late, -3_660_000), read(1, 1)])).toMatchObject([
    { device: late, ahead: -3_660_000, entries: [{}, {}].map(() => expect.any(String) as string) },
  ]);
});

it('asks about a device whose entry says that it was after it came', () => {
  const early = { ...read(Date.UTC(2026, 10, 23, 12, 0), 1), sentAt: '2026-11-23T10:00:00.000Z', receivedAt: '2026-11-23T10:00:00.000Z' };
  expect(clockQuestions([early])).toMatchObject([{ ahead: 7_200_000, entries: [early.id] }]);
});

it('grows a trail without changing what others hold of it', () => {
  const one = Trail.of(1);
  const two = one.with(2);
  const other = one.with(3);
  expect([one.all(), two.all(), other.all(), two.with(4).all()]).toEqual([[1], [1, 2], [1, 3], [1, 2, 4]]);
  expect([two.at(-1), two.at(5), two.last(1), one.at(-1)]).toEqual([2, undefined, [2], 1]);
});
