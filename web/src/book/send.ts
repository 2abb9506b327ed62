import { appendEntries, type BookEntry, type Entry } from '@fonte/core/book';
import { ApiProblem, call, NoConnection } from '../api/call.ts';
import { connection, onConnection } from '../api/connection.ts';
import { now } from '../time/clock.ts';
import { rereadHeld, take } from './held.ts';
import { acknowledge, beforeOthersShow, booksWaiting, letGo, NotKept, outboxRead, put, refuse, tryAgain, waiting } from './outbox.ts';

/** What became of the entries that were sent. */
export interface Sent {
  written: BookEntry[];
  refused: { entry: Entry; problem: ApiProblem }[];
}

// What has left the outbox elsewhere stands in its book before it is missing here.
beforeOthersShow(rereadHeld);

/** So many are sent at once: a weak signal carries them in one piece. */
const batch = 500;

/** The first wait after a failure and the longest, in ms. */
const [shortest, longest] = [4000, 5 * 60_000];

/** So long, in ms, a person waits for the answer to what is kept already. */
const patience = 2500;

const pause = (milliseconds: number) =>
  new Promise<void>((resolve) => {
    setTimeout(resolve, milliseconds);
  });

/** How long a book's queue waits after it failed. */
const waits = new Map<string, { until: number; pause: number }>();

/** Something that must be done before entries are sent: the server has to know this device. */
let before: () => Promise<void> = () => Promise.resolve();
export function sendAfter(work: () => Promise<void>): void {
  before = work;
}

async function sendBatch(entries: readonly Entry[]): Promise<Sent> {
  const sent: Sent = { written: [], refused: [] };
  const { results } = await call(appendEntries, { body: { sentAt: new Date(now()).toISOString(), entries: [...entries] } });
  results.forEach((result, index) => {
    if ('entry' in result) sent.written.push(result.entry);
    else if (result.status < 500) {
      const { title, errors, type } = result.problem;
      const problem = new ApiProblem(result.status, title, errors, type.replace('urn:fonte:problem:', ''));
      sent.refused.push({ entry: entries[index]!, problem });
    }
  });
  return sent;
}

/**
 * Sends entries past the outbox, in one piece: for what is brought in by the thousand, and can be brought in again.
 * @throws NoConnection, ApiProblem
 */
export async function sendNow(entries: readonly Entry[]): Promise<Sent> {
  await before();
  return sendBatch(entries);
}

/**
 * What is sent next of a book: what was written before the first that names a file goes without it. The server takes a file only for a round
 * or a point that it knows, and that may have been written without a signal itself.
 */
function nextOf(book: string): readonly Entry[] {
  const entries = waiting(book).slice(0, batch);
  const first = entries.findIndex(namesFile);
  return first > 0 ? entries.slice(0, first) : entries;
}

async function sendAll(book: string): Promise<Sent> {
  const all: Sent = { written: [], refused: [] };
  await before();
  for (let entries = nextOf(book); entries.length > 0; entries = nextOf(book)) {
    const missing = entries.some(namesFile) ? await (await import('./files.ts')).sendFiles(entries) : [];
    await refuse(missing);
    const ready = entries.filter((entry) => !missing.some((one) => one.entry === entry));
    all.refused.push(...missing);
    if (ready.length === 0) continue;
    const sent = await sendBatch(ready);
    // Before the outbox lets go of it: it is never missing in between.
    take(book, sent.written);
    await acknowledge(sent.written);
    await refuse(sent.refused);
    all.written.push(...sent.written);
    all.refused.push(...sent.refused);
    // What the server could not store now is tried again later, not at once.
    if (sent.written.length + sent.refused.length < ready.length) break;
  }
  return all;
}

/**
 * Whether an entry may name a file: then what sends files is fetched, too, and its kind says which they are. Files are named by
 * their hash, whatever a payload calls it and wherever it stands.
 */
const namesFile = ({ payload }: Entry) => /"[0-9a-f]{64}"/.test(JSON.stringify(payload));

/** One sender for each book over all tabs and the background; where the browser has no locks, whatever is sent twice counts once. */
async function alone<T>(book: string, work: () => Promise<T>): Promise<T> {
  const { locks } = (globalThis.navigator as { locks?: LockManager } | undefined) ?? {};
  return locks ? await locks.request(`fonte-send-${book}`, work) : work();
}

interface SyncManager {
  register: (tag: string) => Promise<void>;
}

/** Asks the browser to send once there is a signal, also when the page is closed by then; not every browser does. */
function askForBackground(): void {
  const { serviceWorker } = (globalThis.navigator as { serviceWorker?: ServiceWorkerContainer } | undefined) ?? {};
  void serviceWorker?.getRegistration().then(
    (registration) => (registration as { sync?: SyncManager } | undefined)?.sync?.register('outbox'),
    () => undefined,
  );
}

const sending = new Map<string, Promise<Sent>>();

/** Sends what waits for a book; whoever asks meanwhile gets the same answer. @throws NoConnection, ApiProblem */
export function send(book: string): Promise<Sent> {
  const running = sending.get(book);
  if (running) return running.then(() => (waiting(book).length > 0 ? send(book) : { written: [], refused: [] }));
  const sent = alone(book, () => sendAll(book))
    .then((done) => {
      waits.delete(book);
      return done;
    })
    .catch((failure: unknown) => {
      askForBackground();
      const pause = Math.min(longest, (waits.get(book)?.pause ?? shortest / 2) * 2);
      waits.set(book, { until: now() + pause, pause });
      throw failure;
    })
    .finally(() => sending.delete(book));
  sending.set(book, sent);
  return sent;
}

/**
 * Writes a signed entry: it is on the device's disk when this returns, and on its way. Where the device
 * keeps nothing the server has to take it now.
 * @param kept called once it is kept: the form may take the next
 * @throws ApiProblem when it is refused, NotKept
 */
export async function writeOnce(entry: Entry, kept?: () => void): Promise<void> {
  try {
    await put(entry, kept);
  } catch (failure) {
    if (!(failure instanceof NotKept)) throw failure;
    await sendUnkept(entry, failure);
    return kept?.();
  }
  let isWaitedFor = true;
  const sent = send(entry.book).then(async ({ refused }) => {
    const own = refused.find((one) => one.entry.id === entry.id);
    if (!own) return;
    // The form that still waits has it, with the reason at its field; anywhere else it stays with the reason.
    if (!kept && isWaitedFor) await letGo(entry.id);
    throw own.problem;
  });
  sent.catch(() => undefined);
  try {
    // It is on the disk: nobody stands and waits for a signal that is hardly there.
    await Promise.race([sent, pause(connection().isLost ? 0 : patience)]);
    isWaitedFor = false;
  } catch (failure) {
    if (failure instanceof NoConnection || (failure instanceof ApiProblem && (failure.status >= 500 || failure.status === 401))) return;
    throw failure;
  }
}

/** An entry that this device cannot keep goes to the server at once, or is not written. @throws ApiProblem, NotKept */
async function sendUnkept(entry: Entry, notKept: NotKept): Promise<void> {
  try {
    await before();
    const { written, refused } = await sendBatch([entry]);
    if (refused[0]) throw refused[0].problem;
    if (!written[0]) throw notKept;
    take(entry.book, written);
  } catch (failure) {
    throw failure instanceof NoConnection ? notKept : failure;
  }
}

/** Sends whatever waits and whose pause is over. What is refused stays with its reason. */
export async function sendDue(force = false): Promise<void> {
  await outboxRead();
  const due = booksWaiting().filter((book) => force || (waits.get(book)?.until ?? 0) <= now());
  await Promise.all(due.map((book) => send(book).catch(() => undefined)));
}

/** ms after which the first page stands: what waits from before is sent. */
const atEase = 2000;

/**
 * Keeps sending for as long as the page is open and somebody is signed in. A pause lasts no longer than what it was made for: it ends when
 * somebody signs in, when the server answers again and when there is a signal again.
 */
export function keepSending(): () => void {
  const tick = () => void sendDue();
  const atOnce = () => void sendDue(true);
  let wasLost = connection().isLost;
  const stopListening = onConnection(() => {
    const { isLost } = connection();
    if (wasLost && !isLost) atOnce();
    wasLost = isLost;
  });
  const soon = setTimeout(() => void tryAgain().then(atOnce, () => undefined), atEase);
  const timer = setInterval(tick, shortest);
  window.addEventListener('online', atOnce);
  document.addEventListener('visibilitychange', tick);
  return () => {
    stopListening();
    clearTimeout(soon);
    clearInterval(timer);
    window.removeEventListener('online', atOnce);
    document.removeEventListener('visibilitychange', tick);
  };
}
