import 'fake-indexeddb/auto';
import { newId, type Entry } from '@fonte/core/book';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';

class Box implements Storage {
  [name: string]: unknown;
  get length() {
    return Object.keys(this).length;
  }
  getItem(key: string) {
    return Object.hasOwn(this, key) ? (this[key] as string) : null;
  }
  setItem(key: string, value: string) {
    this[key] = value;
  }
  removeItem(key: string) {
    delete this[key];
  }
  clear() {
    for (const key of Object.keys(this)) delete this[key];
  }
  key(index: number) {
    return Object.keys(this)[index] ?? null;
  }
}

/** The tabs that live, by their locks. */
let alive: Set<string>;

/** A tab of its own on the device: its drafts and its way into the book, and a way to end it. */
async function openTab(storage = new Box()) {
  vi.resetModules();
  let lock = '';
  const locks = {
    request: (name: string) => {
      lock = name;
      alive.add(name);
      return new Promise(() => undefined);
    },
    query: () => Promise.resolve({ held: [...alive].map((name) => ({ name })) }),
  };
  vi.stubGlobal('sessionStorage', storage);
  vi.stubGlobal('navigator', { locks });
  const drafts = await import('./drafts.ts');
  const { put } = await import('../book/outbox.ts');
  await drafts.bringBack();
  const die = async () => {
    await drafts.draftsWritten();
    alive.delete(lock);
  };
  return { ...drafts, put, die };
}

const entry = (id: string, number: number): Entry => ({
  id,
  book: newId(0),
  visit: null,
  kind: 'reading',
  version: 1,
  at: { utc: '2026-11-23T10:00:00.000Z', offset: 0 },
  author: newId(1),
  device: newId(2),
  payload: { number },
});

beforeEach(() => {
  alive = new Set();
});
afterEach(async () => {
  vi.unstubAllGlobals();
  const { disk } = await import('../disk/index.ts');
  const { drafts, outbox, entries, spent } = await disk();
  await Promise.all([drafts, outbox, entries, spent].map((table) => table.clear()));
});

it('brings what was typed in a browser that died to the next tab, once, and says since when', async () => {
  const first = await openTab();
  first.keepDraft('level', '7.4', newId(1));
  first.keepDraft('level', '7.41', newId(1));
  await first.die();
  const next = await openTab();
  expect(next.readDraft('level')).toBe('7.41');
  expect(next.broughtBack('level')).toBeGreaterThan(0);
  next.dropDraft('level');
  await next.die();
  const last = await openTab();
  expect(last.readDraft('level')).toBeNull();
});

it('never offers what has been written since, whatever the browser gives back of its tab', async () => {
  const [id, storage] = [newId(1), new Box()];
  const first = await openTab(storage);
  first.keepDraft('level', '7.4', id);
  const stale = { ...storage };
  await first.put(entry(id, 7.4));
  // A key that was pressed before the entry was written, and is only now on its way to the disk.
  first.keepDraft('level', '7.40', id);
  await first.die();
  const other = await openTab();
  expect(other.readDraft('level')).toBeNull();
  const restored = await openTab(Object.assign(new Box(), stale));
  expect(restored.readDraft('level')).toBeNull();
});

it('brings back what the disk has later than the tab that a killed browser restored', async () => {
  const storage = new Box();
  const first = await openTab(storage);
  first.keepDraft('level', '7.4', newId(1), 1000);
  const stale = { ...storage };
  first.keepDraft('level', '7.41', newId(1), 2000);
  await first.die();
  const restored = await openTab(Object.assign(new Box(), stale));
  expect([restored.readDraft('level'), restored.broughtBack('level')]).toEqual(['7.41', 2000]);
});

it('leaves alone what is being typed in a tab that lives', async () => {
  const first = await openTab();
  first.keepDraft('level', '7.4', newId(1));
  await first.draftsWritten();
  const beside = await openTab();
  expect(beside.readDraft('level')).toBeNull();
});

it('keeps the tab’s own draft before one that another left, which waits for the next', async () => {
  const first = await openTab();
  first.keepDraft('level', 'from the first', newId(1));
  const second = await openTab();
  second.keepDraft('level', 'from the second', newId(2));
  await first.die();
  await second.die();
  const read = [];
  for (let tab = 0; tab < 2; tab += 1) {
    const next = await openTab();
    read.push(next.readDraft('level'));
    await next.draftsWritten();
  }
  expect(read.sort()).toEqual(['from the first', 'from the second']);
});

it('is not brought back by a reload of its own tab', async () => {
  const storage = new Box();
  const first = await openTab(storage);
  first.keepDraft('level', '7.4', newId(1));
  await first.die();
  const again = await openTab(storage);
  expect(again.readDraft('level')).toBe('7.4');
  expect(again.broughtBack('level')).toBeNull();
});

it('leaves nothing behind for the next person after signing out', async () => {
  const first = await openTab();
  first.keepDraft('level', '7.4', newId(1));
  await first.forgetDrafts();
  await first.die();
  const next = await openTab();
  expect(first.isTyping() || next.isTyping()).toBe(false);
});

it('types on where the browser keeps nothing on the device', async () => {
  vi.stubGlobal('indexedDB', {
    open: () => {
      throw new DOMException('full', 'QuotaExceededError');
    },
  });
  const tab = await openTab();
  tab.keepDraft('level', '7.4', newId(1));
  expect(tab.readDraft('level')).toBe('7.4');
  tab.dropDraft('level');
  expect(tab.readDraft('level')).toBeNull();
  vi.unstubAllGlobals();
});
