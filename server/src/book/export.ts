import { readBookFile, verifyBookFile, type BookFile, type Head, type VerifiedFile } from '@fonte/core/book';
import { kindOf } from '@fonte/core/round';
import type { Store } from '../store/index.ts';
import { sha256 } from './codec.ts';
import { thing } from './registry.ts';
import { isSignedBy } from './signature.ts';
import type { BookView } from './view.ts';

/** A book as it is handed out, with the devices that signed in it and the people whose entries they are. */
export async function exportBook(store: Store, { book, type, head, entries }: BookView): Promise<BookFile> {
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
    version: 2,
    book,
    type,
    head,
    devices: devices.map(({ id, name, key, people: on }) => ({ id, name, key, people: on })),
    people: people.map(({ id, name, initials, role }) => ({ id, name, initials, role })),
    entries: all,
  };
}

/** Checks a book that was handed out, alone. @throws Error when the text is no such file */
export function verifyFile(text: string, witness: Head | null): Promise<VerifiedFile> {
  return verifyBookFile(readBookFile(text), witness, { kindOf, prove: isSignedBy, hashOf: sha256 });
}
