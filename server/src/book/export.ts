import { readBookFile, verifyBookFile, type BookEntry, type BookFile, type Head, type VerifiedFile } from '@fonte/core/book';
import { filesNamed, kindOf } from '@fonte/core/round';
import type { Store } from '../store/index.ts';
import { keptFile } from './named.ts';
import { Problem } from '../http/index.ts';
import { sha256 } from './codec.ts';
import { thing } from './registry.ts';
import { isSignedBy } from './signature.ts';
import type { BookView } from './view.ts';

/** The most that the files of one book may hold together, in bytes: they are in memory several times over. */
const mostFiles = 64 << 20;

/** The files that entries name, in base64. @throws Problem 410 where one is not what was kept, 413 where they are too much together */
async function filesOf(store: Store, entries: readonly BookEntry[]): Promise<Record<string, string>> {
  const files: Record<string, string> = {};
  let size = 0;
  for (const hash of new Set(entries.flatMap(filesNamed))) {
    const bytes = await keptFile(store, hash);
    size += bytes.length;
    if (size > mostFiles)
      throw new Problem(413, 'files-large', 'The files of this book are too large for one file. Hand it out without them.');
    files[hash] = Buffer.from(bytes).toString('base64');
  }
  return files;
}

/** A book as it is handed out, with the devices that signed in it and the people whose entries they are. */
export async function exportBook(store: Store, { book, type, head, entries }: BookView, withFiles = false): Promise<BookFile> {
  const all = entries.all();
  const named = async <N extends 'devices' | 'people'>(register: N, ids: Iterable<string>) =>
    (await Promise.all([...new Set(ids)].map((id) => thing(store, register, id)))).filter((one) => one !== null);
  const devices = await named(
    'devices',
    all.map(({ device }) => device),
  );
  const people = await named(
    'people',
    all.map(({ author }) => author),
  );
  return {
    format: 'fonte-book',
    // Without files it is what it always was: who has an earlier version reads it.
    version: withFiles ? 3 : 2,
    book,
    type,
    head,
    devices: devices.map(({ id, name, key, people: on }) => ({ id, name, key, people: on })),
    people: people.map(({ id, name, initials, role }) => ({ id, name, initials, role })),
    files: withFiles ? await filesOf(store, all) : null,
    entries: all,
  };
}

/** Checks a book that was handed out, alone. @throws Error when the text is no such file */
export function verifyFile(text: string, witness: Head | null): Promise<VerifiedFile> {
  return verifyBookFile(readBookFile(text), witness, { kindOf, prove: isSignedBy, filesOf: filesNamed, hashOf: sha256 });
}
