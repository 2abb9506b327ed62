import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { newId, type Entry } from '@fonte/core/book';
import { booksWaiting, put, settle, subscribe, waiting } from './outbox.ts';
import { arrivedIn, send, writeOnce } from './send.ts';
import { ApiProblem, NoConnection } from '../api/call.ts';

const store = new Map<string, string>();
const shelf = {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, text: string) => void store.set(key, text),
  removeItem: (key: string) => void store.delete(key),
};
beforeEach(() => {
  store.clear();
  vi.stubGlobal(
    'localStorage',
    new Proxy(shelf, { ownKeys: () => [...store.keys()], getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) }),
  );
});
afterEach(() => vi.unstubAllGlobals());

const book = newId(0);
const entry = (number: number): Entry => ({
  id: newId(number),
  book,
  visit: null,
  kind: 'reading',
  version: 1,
  at: { utc: '2026-11-23T10:00:00.000Z', offset: 0 },
  author: newId(1),
  device: newId(2),
  payload: { number },
});
const sentIds = () =>
  vi
    .mocked(fetch)
    .mock.calls.map(([, options]) => (JSON.parse(options!.body as string) as { entries: Entry[] }).entries.map(({ id }) => id));
type Made = { status: number; entry?: Entry; problem?: object };
/** As the server tells it: an entry with its place in the book, a refusal as a problem document. */
const told = ({ status, entry: one, problem }: Made) =>
  one
    ? { status, aside: null, entry: { ...one, seq: 1, sentAt: null, receivedAt: one.at.utc, previous: '', hash: '' } }
    : { status, problem: { type: 'urn:fonte:problem:x', status, ...problem } };
const answer = (make: (one: Entry) => Made) =>
  vi.stubGlobal(
    'fetch',
    vi.fn((_path: string, options: { body: string }) =>
      Promise.resolve(Response.json({ results: (JSON.parse(options.body) as { entries: Entry[] }).entries.map((one) => told(make(one))) })),
    ),
  );

it('keeps an entry on the device until it is acknowledged, over a reload and a lost answer', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
  );
  const first = entry(1);
  put(first);
  put(first);
  await expect(send(book)).rejects.toBeInstanceOf(NoConnection);
  expect(waiting(book)).toEqual([first]);
  expect(booksWaiting()).toEqual([book]);
  answer((one) => ({ status: 200, entry: one }));
  expect((await send(book)).written).toMatchObject([{ id: first.id }]);
  expect([waiting(book), sentIds(), store.size]).toEqual([[], [[first.id]], 0]);
});

it('sends in the order written, and one after the other', async () => {
  answer((one) => ({ status: 201, entry: one }));
  const [a, b] = [entry(1), entry(2)];
  put(a);
  const sending = send(book);
  put(b);
  await Promise.all([sending, send(book)]);
  expect(sentIds().flat()).toEqual([a.id, b.id]);
});

it('hands a refusal back with its reason, and goes on with the rest', async () => {
  const [bad, good] = [entry(1), entry(2)];
  answer((one) =>
    one.id === bad.id
      ? { status: 422, problem: { title: 'No.', errors: [{ path: 'payload', message: 'No.' }] } }
      : { status: 201, entry: one },
  );
  put(bad);
  put(good);
  const { written, refused } = await send(book);
  expect([written.map(({ id }) => id), refused.map((one) => one.entry.id)]).toEqual([[good.id], [bad.id]]);
  expect(refused[0]!.problem).toBeInstanceOf(ApiProblem);
  expect(waiting(book)).toEqual([]);
});

it('keeps what the server could not store', async () => {
  answer(() => ({ status: 503, problem: { title: 'Full.', errors: [] } }));
  put(entry(1));
  await send(book);
  expect(waiting(book)).toHaveLength(1);
});

it('sends the very entry again that a form made before, not a second one', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
  );
  const first = entry(1);
  await expect(writeOnce(first)).rejects.toBeInstanceOf(NoConnection);
  answer((one) => ({ status: 200, entry: one }));
  await writeOnce({ ...first, at: { utc: '2026-11-23T10:05:00.000Z', offset: 0 } });
  const [sent] = vi.mocked(fetch).mock.calls.map(([, options]) => (JSON.parse(options!.body as string) as { entries: Entry[] }).entries);
  expect(sent).toEqual([first]);
});

it('works on where a device keeps nothing, as long as the page is open', () => {
  vi.stubGlobal('localStorage', {
    getItem: () => {
      throw new Error('forbidden');
    },
    setItem: () => {
      throw new Error('full');
    },
    removeItem: () => undefined,
  });
  const other = { ...entry(1), book: newId(9) };
  put(other);
  expect(waiting(other.book)).toEqual([other]);
  settle(other.book, new Set([other.id]));
  expect(waiting(other.book)).toEqual([]);
});

it('never lets an entry go before the page has it from elsewhere', async () => {
  vi.stubGlobal('window', { addEventListener: () => undefined, removeEventListener: () => undefined });
  const one = entry(30);
  const isThere = () => [...waiting(book), ...arrivedIn(book)].some(({ id }) => id === one.id);
  put(one);
  const seen: boolean[] = [];
  const stop = subscribe(() => seen.push(isThere()));
  answer((sent) => ({ status: 201, entry: sent }));
  await send(book);
  stop();
  expect([seen.length > 0, seen.every(Boolean), isThere()]).toEqual([true, true, true]);
});
