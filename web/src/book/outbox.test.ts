import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { newId, type Entry } from '@fonte/core/book';
import { loggerRegistered } from '@fonte/core/registers';
import { ApiProblem, IdTaken, NoConnection, writeUnderFreeId } from '../api/call.ts';
import { lost, met } from '../api/connection.ts';
import { disk } from '../disk/index.ts';
import { rereadHeld, shownOf, take } from './held.ts';
import { booksWaiting, inOutbox, NotKept, put, refuse, replace, subscribe, tryAgain, waiting } from './outbox.ts';
import { keepSending, send, sendDue, writeOnce } from './send.ts';
// What sends files is fetched when it is first needed: here it is there already.
import './files.ts';

let book = newId(0);
beforeEach(() => {
  book = newId(0);
});
afterEach(async () => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
  await (await disk()).outbox.clear();
});

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

const noSignal = () =>
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
  );
const onDisk = async () => (await (await disk()).outbox.toArray()).filter((one) => one.book === book).map(({ id }) => id);

it('keeps an entry on the disk until it is acknowledged, over a lost answer, and as part of its book then', async () => {
  noSignal();
  const first = entry(1);
  await put(first);
  await put(first);
  await expect(send(book)).rejects.toBeInstanceOf(NoConnection);
  expect([waiting(book), booksWaiting(), await onDisk()]).toEqual([[first], [book], [first.id]]);
  answer((one) => ({ status: 200, entry: one }));
  expect((await send(book)).written).toMatchObject([{ id: first.id }]);
  expect([waiting(book), sentIds(), await onDisk()]).toEqual([[], [[first.id]], []]);
  expect(await (await disk()).entries.where('[book+seq]').equals([book, 1]).toArray()).toMatchObject([{ id: first.id }]);
});

it('keeps nothing under an id that stands with other words: waiting, refused, or part of its book', async () => {
  const first = entry(1);
  const other = { ...first, payload: { number: 2 } };
  await put(first);
  await expect(put(other)).rejects.toBeInstanceOf(IdTaken);
  answer((one) => ({ status: 201, entry: one }));
  await send(book);
  await expect(put(other)).rejects.toBeInstanceOf(IdTaken);
  await put({ ...first, salt: 'another' });
  expect(await onDisk()).toEqual([]);
});

it('writes under a fresh id what stands under its own with other words, also where only the server knows', async () => {
  met(Date.now(), Date.now(), Date.now());
  const other = entry(2);
  answer((one) =>
    one.id === other.id
      ? { status: 409, problem: { type: 'urn:fonte:problem:altered-copy', title: 'Another entry has this id.', errors: [] } }
      : { status: 201, entry: one },
  );
  const fresh = newId(3);
  await writeUnderFreeId(
    other.id,
    () => fresh,
    (id) => writeOnce({ ...other, id }),
  );
  expect(sentIds()).toEqual([[other.id], [fresh]]);
  expect(await onDisk()).toEqual([]);
});

it('sends the files that an entry names before it, whatever its payload calls their hash', async () => {
  const [water, round] = ['a'.repeat(64), newId(7)];
  await (await disk()).files.put({ sha256: water, type: 'image/png', blob: new Blob(['x']), round });
  const addresses: string[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn((path: string, options: { body: string }) => {
      addresses.push(path);
      if (!path.endsWith('/entries')) return Promise.resolve(Response.json({ sha256: water, type: 'image/png', size: 1 }));
      const { entries } = JSON.parse(options.body) as { entries: Entry[] };
      return Promise.resolve(Response.json({ results: entries.map((one) => told({ status: 201, entry: one })) }));
    }),
  );
  await put({ ...entry(1), kind: loggerRegistered.kind, payload: { water: { sha256: water }, air: null } });
  await send(book);
  expect(addresses).toEqual([expect.stringContaining(round), '/api/entries']);
});

it('sends what opens a book before a file that belongs to it: the server takes none for what it does not know', async () => {
  const hash = 'd'.repeat(64);
  await (await disk()).files.put({ sha256: hash, type: 'image/jpeg', blob: new Blob(['x']), round: null, point: book });
  const seen = { pictures: [{ sha256: hash, type: 'image/jpeg', size: 1, shows: '', arrow: null }], outlet: '', found: [], note: '' };
  const [opening, picture] = [entry(1), { ...entry(2), kind: 'point-scouted', payload: seen }];
  for (const one of [opening, picture]) await put(one);
  const asked: string[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn((path: string, options: { body: BodyInit }) => {
      asked.push(path.includes('/pictures') ? 'picture' : 'entries');
      const isKnown = asked.includes('entries');
      if (path.includes('/pictures'))
        return Promise.resolve(
          Response.json(isKnown ? { sha256: hash, type: 'image/jpeg', size: 1 } : { status: 404 }, { status: isKnown ? 201 : 404 }),
        );
      const { entries } = JSON.parse(options.body as string) as { entries: Entry[] };
      return Promise.resolve(Response.json({ results: entries.map((one) => told({ status: 201, entry: one })) }));
    }),
  );
  const { written, refused } = await send(book);
  expect([asked, written.map(({ id }) => id), refused]).toEqual([['entries', 'picture', 'entries'], [opening.id, picture.id], []]);
});

it('sends in the order written, and one after the other', async () => {
  answer((one) => ({ status: 201, entry: one }));
  const [a, b] = [entry(1), entry(2)];
  await put(a);
  const sending = send(book);
  await put(b);
  await Promise.all([sending, send(book)]);
  expect(sentIds().flat()).toEqual([a.id, b.id]);
});

it('keeps a refused entry with its reason, goes on with the rest, and tries it again when asked', async () => {
  const [bad, good] = [entry(1), entry(2)];
  const refusal = { title: 'No.', errors: [{ path: 'payload', message: 'Not this one.' }] };
  answer((one) => (one.id === bad.id ? { status: 422, problem: refusal } : { status: 201, entry: one }));
  await put(bad);
  await put(good);
  const { written, refused } = await send(book);
  expect([written.map(({ id }) => id), refused.map((one) => one.entry.id)]).toEqual([[good.id], [bad.id]]);
  expect(waiting(book)).toEqual([]);
  expect(inOutbox().filter((one) => one.book === book)).toMatchObject([
    { id: bad.id, state: 'refused', problem: { status: 422, ...refusal } },
  ]);
  answer((one) => ({ status: 201, entry: one }));
  await tryAgain();
  await sendDue(true);
  expect(await onDisk()).toEqual([]);
});

it('leaves a refusal to the form that still has what was typed', async () => {
  met(Date.now(), Date.now(), Date.now());
  answer(() => ({ status: 409, problem: { title: 'Taken.', errors: [{ path: 'payload.code', message: 'This code is taken.' }] } }));
  await expect(writeOnce(entry(1))).rejects.toBeInstanceOf(ApiProblem);
  expect(await onDisk()).toEqual([]);
});

it('keeps what the server could not store, and waits longer each time before it asks again', async () => {
  answer(() => ({ status: 503, problem: { title: 'Full.', errors: [] } }));
  await put(entry(1));
  await send(book);
  expect(waiting(book)).toHaveLength(1);
  noSignal();
  await expect(send(book)).rejects.toThrow();
  const tried = vi.mocked(fetch).mock.calls.length;
  await sendDue();
  expect(vi.mocked(fetch).mock.calls.length).toBe(tried);
  await sendDue(true);
  expect(vi.mocked(fetch).mock.calls.length).toBe(tried + 1);
});

/** The page as far as sending listens to it, with a pause that has grown long since. */
async function afterLongPause(): Promise<void> {
  const page = { addEventListener: () => undefined, removeEventListener: () => undefined };
  vi.stubGlobal('window', page);
  vi.stubGlobal('document', page);
  await put(entry(1));
  for (let tries = 0; tries < 6; tries += 1) await expect(send(book)).rejects.toThrow();
  answer((one) => ({ status: 201, entry: one }));
}

it('sends what waited for somebody to sign in as soon as somebody has, however long the pause had grown', async () => {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(Response.json({ title: 'Nobody is signed in.' }, { status: 401, headers: { 'x-fonte-now': '1' } })),
  );
  await afterLongPause();
  const stop = keepSending();
  await expect.poll(onDisk, { timeout: 5000 }).toEqual([]);
  stop();
});

it('sends as soon as the server answers anything again, however long the pause had grown', async () => {
  noSignal();
  await afterLongPause();
  lost();
  const stop = keepSending();
  met(Date.now(), Date.now(), Date.now());
  await expect.poll(onDisk, { timeout: 1500 }).toEqual([]);
  stop();
});

it('is written once it is on the disk, and sent again as it was made, not anew', async () => {
  noSignal();
  const first = entry(1);
  let kept = false;
  await writeOnce(first, () => {
    kept = true;
  });
  expect([kept, await onDisk()]).toEqual([true, [first.id]]);
  answer((one) => ({ status: 200, entry: one }));
  await writeOnce({ ...first, at: { utc: '2026-11-23T10:05:00.000Z', offset: 0 } });
  const [sent] = vi.mocked(fetch).mock.calls.map(([, options]) => (JSON.parse(options!.body as string) as { entries: Entry[] }).entries);
  expect(sent).toEqual([first]);
});

it('where the device is full, is written only if the server takes it at once', async () => {
  const { outbox } = await disk();
  vi.spyOn(outbox, 'add').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
  noSignal();
  let kept = false;
  const write = (one: Entry) =>
    writeOnce(one, () => {
      kept = true;
    });
  await expect(write(entry(1))).rejects.toBeInstanceOf(NotKept);
  expect([kept, waiting(book)]).toEqual([false, []]);
  answer((one) => ({ status: 201, entry: one }));
  await write(entry(2));
  expect([kept, shownOf(book).length]).toEqual([true, 1]);
});

it('never lets an entry go before the page has it from elsewhere', async () => {
  const one = entry(30);
  const isThere = () => [...waiting(book), ...shownOf(book)].some(({ id }) => id === one.id);
  await put(one);
  const seen: boolean[] = [];
  const stop = subscribe(() => seen.push(isThere()));
  answer((sent) => ({ status: 201, entry: sent }));
  await send(book);
  stop();
  expect([seen.length > 0, seen.every(Boolean), isThere()]).toEqual([true, true, true]);
});

it('shows what another tab has sent as part of its book, before it is missing here', async () => {
  const one = entry(40);
  await put(one);
  const { outbox, entries } = await disk();
  await entries.put({ ...one, seq: 1, sentAt: null, receivedAt: one.at.utc, previous: '', hash: '' });
  await outbox.where('id').equals(one.id).delete();
  take(book, []);
  await rereadHeld();
  expect(shownOf(book).map(({ id }) => id)).toEqual([one.id]);
});

it('lets what gave way to another stay so, though it was on its way and is refused once more', async () => {
  const errors = [{ path: 'payload.code', message: 'This code is taken.' }];
  const [first, other] = [entry(1), entry(2)];
  await put(first);
  await refuse([{ entry: first, problem: new ApiProblem(409, 'Taken', errors) }]);
  await tryAgain();
  let hasGivenWay = () => undefined as void;
  const givenWay = new Promise<void>((done) => {
    hasGivenWay = done;
  });
  answer((one) => (one.id === first.id ? { status: 409, problem: { title: 'Taken', errors } } : { status: 201, entry: one }));
  const answered = vi.mocked(fetch).getMockImplementation()!;
  vi.mocked(fetch).mockImplementation(async (...asked) => {
    await givenWay;
    return answered(...asked);
  });
  const sent = send(book);
  await vi.waitFor(() => expect(fetch).toHaveBeenCalled());
  await replace(first.id, other);
  hasGivenWay();
  await sent;
  expect(inOutbox().map(({ id, state }) => [id, state])).toContainEqual([first.id, 'replaced']);
});
