import { join } from 'node:path';
import { derivation } from '../app/rooms.ts';
import { ensureDerived, isDerivedBy } from '../book/rebuild.ts';
import { bookIds, checkStore, storeChecks, verifyBook } from '../book/verify.ts';
import { canBeOpened, copyDatabase, faultsOfFile, generationOf, Store } from '../store/index.ts';
import type { AskedToVerify, Said, Verified } from '../verify/index.ts';

/*
 * The process that verifies a database. A damaged page can make the database's driver end the process it is in, in no way that could be
 * caught: so this one says what it looks at next before it looks, and the one that asked goes on without that.
 */

const say = (said: Verified) => new Promise<void>((resolve) => process.send!(said, () => resolve()));

/** Looks at a place unless that ended a process before. */
async function look(skip: readonly string[], place: string, work: () => Promise<Said | null>): Promise<void> {
  if (skip.includes(place)) return;
  await say({ begins: place });
  const found = await work();
  if (found) await say(found);
}

/**
 * What is verified: the database, or where an earlier version made it a copy that is carried over, as the server would.
 * @throws Error where it cannot be opened
 */
async function opened({ file, folder }: AskedToVerify): Promise<{ store: Store; note: string | null }> {
  const found = await generationOf(file);
  if ('sentence' in found && !canBeOpened(found)) throw new Error(found.sentence);
  const asItIs = await Store.open(file, { readOnly: true });
  if (found.is === 'current' && (await isDerivedBy(asItIs, derivation))) return { store: asItIs, note: null };
  await asItIs.close();
  const copy = join(folder, 'carried-over.sqlite');
  await copyDatabase(file, copy);
  const store = await Store.open(copy, { isCopy: true });
  // Where a book cannot be read its tables cannot be made; that is said of the book.
  await ensureDerived(store, derivation).catch(() => undefined);
  const note =
    found.is === 'older' ? found.sentence : `${file} has derived tables of another version. The server rebuilds them at its next start.`;
  return { store, note: `${note} The results below are for the upgraded database.` };
}

async function verify(asked: AskedToVerify): Promise<void> {
  const { file, skip } = asked;
  // The whole file before anything in it: what is wrong with a page is said there, by its number.
  await look(skip, 'file', async () => ({
    place: 'file',
    faults: (await faultsOfFile(file)).map((what) => ({ where: 'file', what: what.replace(/^\*\*\* in database main \*\*\*\n/, '') })),
  }));
  let store: Store | null = null;
  await look(skip, 'database', async () => {
    try {
      const found = await opened(asked);
      ({ store } = found);
      return found.note === null ? null : { place: 'database', note: found.note };
    } catch (failure) {
      return { place: 'database', faults: [{ where: 'database', what: failure instanceof Error ? failure.message : 'cannot be opened' }] };
    }
  });
  if (store === null) return;
  const at: Store = store;
  const isComparable = await isDerivedBy(at, derivation).catch(() => false);
  let books: Awaited<ReturnType<typeof bookIds>> = [];
  await look(skip, 'list of books', async () => {
    books = await bookIds(at);
    return null;
  });
  for (const book of books)
    await look(skip, book.id, async () => ({ place: book.id, book: await verifyBook(at, derivation, book, isComparable) }));
  for (const place of Object.keys(storeChecks).filter((one) => one !== 'file'))
    await look(skip, place, async () => ({ place, faults: await checkStore(at, derivation, place) }));
  await at.close();
}

process.once('message', (asked: AskedToVerify) => {
  void verify(asked)
    .then(
      () => say({ ends: true }),
      // Nothing is looked at any further: what was begun last is what cannot be read.
      () => undefined,
    )
    .then(() => process.disconnect());
});
