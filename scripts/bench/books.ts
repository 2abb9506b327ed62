import type { Entry } from '@fonte/core/book';
import { fold } from '@fonte/core/round';
import { inTurn, median, quantile, record, timed } from './measure.ts';
import { bareInserts, fill, longBook, nextSet, planned, scene, sealed } from './scene.ts';
import { levelRead } from '@fonte/core/level';
import { writeEntry } from '@fonte/core/book';
import { phone, technician } from '../../core/test/script.ts';

/** One more durable entry in a book that is short, long, and very long, against the least that a durable row costs. */
export async function appends(): Promise<void> {
  for (const size of [100, 2000, 20_000]) {
    const { store, books } = await scene();
    const script = longBook(size);
    await fill(books, script.entries);
    const bare = bareInserts();
    const entries = Array.from({ length: 120 }, () => sealed(nextSet(script)));
    const { a, b } = await inTurn(
      entries.length,
      (time) => books.append(script.book, [entries[time]!], null),
      (time) => bare.insert(entries[time]!),
    );
    record(`append to a book of ${size} entries, median of 120`, median(a), 'ms');
    record(`append to a book of ${size} entries against a bare durable insert`, median(a) / median(b), '×', 4);
    bare.close();
    await store.close();
  }
}

const level = (book: string, visit: string, now: number): Entry =>
  writeEntry(
    { book, author: technician.id, device: phone, now, offset: -60 },
    levelRead,
    { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' }, water: 'static' },
    { visit },
  );

/** Eight devices that write in eight rounds at once, against one alone. */
export async function sideBySide(): Promise<void> {
  const { store, books } = await scene();
  const rounds = Array.from({ length: 9 }, (_, number) => planned(number));
  await fill(
    books,
    rounds.map((round) => round.entry),
  );
  const device = async ({ entry, visits }: (typeof rounds)[number], count: number) => {
    const times: number[] = [];
    for (let time = 0; time < count; time += 1)
      times.push(await timed(() => books.append(entry.book, [sealed(level(entry.book, visits[0]!, Date.now()))], null)));
    return times;
  };
  await device(rounds[8]!, 50);
  const alone = await device(rounds[8]!, 300);
  const together = (await Promise.all(rounds.slice(0, 8).map((round) => device(round, 150)))).flat();
  record('append, one device alone: p95', quantile(alone, 0.95), 'ms');
  record('append, 8 devices on 8 rounds at once: p95 against one alone', quantile(together, 0.95) / quantile(alone, 0.95), '×', 3);
  await store.close();
}

/** A device that is back with 500 entries, against one entry. What the device does itself, to sign them, is not in it. */
export async function batches(): Promise<void> {
  const { store, books } = await scene();
  const script = longBook(4);
  await fill(books, script.entries);
  // Each made just before it is written: late ones would have the book read anew.
  const made = (count: number) => Array.from({ length: count }, () => sealed(nextSet(script)));
  const next = async (count: number) => {
    const entries = made(count);
    return timed(() => books.append(script.book, entries, null));
  };
  for (let warm = 0; warm < 200; warm += 1) await next(1);
  const ones: number[] = [];
  const batch: number[] = [];
  for (let time = 0; time < 12; time += 1) {
    ones.push(await next(1));
    batch.push(await next(500));
  }
  record('append of 500 entries in one request, median of 12', median(batch), 'ms', 250);
  record('append of 500 entries in one request against one entry', median(batch) / median(ones), '×', 15);
  await store.close();
}

/** The least that reading a book can be: each entry looked at once, its time and its numbers read. */
function plainLoop(entries: readonly Entry[]): number {
  let sum = 0;
  for (const entry of entries) {
    sum += Date.parse(entry.at.utc);
    const { values } = entry.payload as { values?: Record<string, { text: string }> };
    for (const name in values) sum += Number(values[name]!.text);
  }
  return sum;
}

export async function folding(): Promise<void> {
  const times = new Map<number, number>();
  for (const size of [5000, 10_000, 20_000]) {
    const { entries } = longBook(size);
    for (let warm = 0; warm < 5; warm += 1) {
      fold(entries);
      plainLoop(entries);
    }
    const { a, b } = await inTurn(
      25,
      () => fold(entries),
      () => plainLoop(entries),
    );
    times.set(size, median(a));
    record(`fold of ${size} entries, median of 25`, median(a), 'ms');
    if (size === 10_000) record('fold of 10000 entries against a plain loop over them', median(a) / median(b), '×', 5);
  }
  record('fold of 20,000 entries against 10,000: 2 is linear', times.get(20_000)! / times.get(10_000)!, '×', 2.5);
}
