import type { Session } from '@fonte/core/access';
import type { BookEntry, Entry } from '@fonte/core/book';
import { Disk, type Kept } from '../disk/disk.ts';
import { now } from '../time/clock.ts';

/** So many go at once. */
const batch = 200;

/** Whether an answer is the entry as it stands in a book. */
const isTaken = (result: object): result is { entry: BookEntry } => 'entry' in result;

async function sendBook(disk: Disk, book: string, kept: readonly Kept[]): Promise<void> {
  for (let at = 0; at < kept.length; at += batch) {
    const entries: Entry[] = kept.slice(at, at + batch).map(({ entry }) => entry);
    const body = JSON.stringify({ sentAt: new Date(now()).toISOString(), entries });
    const answer = await fetch('/api/entries', { method: 'POST', headers: { 'content-type': 'application/json' }, body });
    if (!answer.ok) throw new Error(`The server answered ${answer.status} to what was sent of ${book}.`);
    const { results } = (await answer.json()) as { results: object[] };
    const taken = results.filter(isTaken).map(({ entry }) => entry);
    await disk.transaction('rw', disk.outbox, disk.entries, async () => {
      await disk.entries.bulkPut(taken);
      await disk.outbox
        .where('id')
        .anyOf(taken.map(({ id }) => id))
        .delete();
    });
    // What was refused is told by the page, which has the words for it.
  }
}

/**
 * Sends what only this device has while no page is open; an open page does it itself. A book that still has pictures to send
 * waits for the page. What is sent twice counts once. @throws where there is no signal yet: the browser asks again
 */
export async function sendInBackground(pages: () => Promise<readonly unknown[]>): Promise<void> {
  if ((await pages()).length > 0) return;
  const disk = new Disk();
  await disk.open();
  try {
    const session = (await disk.notes.get('session'))?.value as { told: Session } | undefined;
    // The demo's clock is known to its page only.
    if (!session || session.told.demo) return;
    const kept = await disk.outbox.orderBy('n').toArray();
    const held = new Set((await disk.files.toArray()).flatMap(({ round }) => (round === null ? [] : [round])));
    const books = [...new Set(kept.map(({ book }) => book))].filter((book) => !held.has(book));
    for (const book of books)
      await sendBook(
        disk,
        book,
        kept.filter((one) => one.book === book && one.state === 'waiting'),
      );
    new BroadcastChannel('fonte-outbox').postMessage('changed');
  } finally {
    disk.close();
  }
}
