import { beforeEach, expect, it, vi } from 'vitest';

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

/** A tab of its own on the device: its drafts, and a way to end it. */
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
  await drafts.bringBack();
  return { ...drafts, die: () => alive.delete(lock) };
}

beforeEach(() => {
  alive = new Set();
  vi.stubGlobal('localStorage', new Box());
});

it('brings what was typed in a browser that died to the next tab, once, and says since when', async () => {
  const first = await openTab();
  first.keepDraft('level', '7.4');
  first.keepDraft('level', '7.41');
  first.die();
  const next = await openTab();
  expect(next.readDraft('level')).toBe('7.41');
  expect(next.broughtBack('level')).toBeGreaterThan(0);
  next.dropDraft('level');
  next.die();
  const last = await openTab();
  expect(last.readDraft('level')).toBeNull();
});

it('leaves alone what is being typed in a tab that lives', async () => {
  const first = await openTab();
  first.keepDraft('level', '7.4');
  const beside = await openTab();
  expect(beside.readDraft('level')).toBeNull();
});

it('keeps the tab’s own draft before one that another left, which waits for the next', async () => {
  const first = await openTab();
  first.keepDraft('level', 'from the first');
  const second = await openTab();
  second.keepDraft('level', 'from the second');
  first.die();
  second.die();
  const read = [];
  for (let tab = 0; tab < 2; tab += 1) read.push((await openTab()).readDraft('level'));
  expect(read.sort()).toEqual(['from the first', 'from the second']);
});

it('is not brought back by a reload of its own tab', async () => {
  const storage = new Box();
  const first = await openTab(storage);
  first.keepDraft('level', '7.4');
  first.die();
  const again = await openTab(storage);
  expect(again.readDraft('level')).toBe('7.4');
  expect(again.broughtBack('level')).toBeNull();
});

it('leaves nothing behind for the next person after signing out', async () => {
  const first = await openTab();
  first.keepDraft('level', '7.4');
  first.forgetDrafts();
  first.die();
  const next = await openTab();
  expect(first.isTyping() || next.isTyping()).toBe(false);
});

it('types on where the browser keeps nothing on the device', async () => {
  vi.stubGlobal('localStorage', {
    setItem: () => {
      throw new DOMException('full', 'QuotaExceededError');
    },
    removeItem: () => {
      throw new DOMException('none', 'SecurityError');
    },
  });
  const tab = await openTab();
  tab.keepDraft('level', '7.4');
  expect(tab.readDraft('level')).toBe('7.4');
  tab.dropDraft('level');
  expect(tab.readDraft('level')).toBeNull();
});
