import type { Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { sha256 } from '../book/codec.ts';
import { Problem } from '../http/index.ts';
import type { Query, Store } from '../store/index.ts';

/** What no entry names goes after so long, in ms. */
const unnamedLasts = 86_400_000;

/** So many files, and bytes, of one person wait for an entry that names them at the most. */
const mostUnnamed = {
  householder: { files: 12, bytes: 48 << 20 },
  others: { files: 400, bytes: 1 << 30 },
} as const;

/** Keeps a file under its hash for good; one that is there already is kept once. */
export async function keepFile(query: Query, bytes: Uint8Array): Promise<string> {
  const hash = sha256(bytes);
  await query('INSERT INTO files (sha256, bytes) VALUES (?, ?) ON CONFLICT (sha256) DO NOTHING', [hash, Buffer.from(bytes)]);
  return hash;
}

/**
 * Takes a file that somebody sends. It is kept for good with the first entry that names it; until then a person has room for so
 * much, and it stays for a day. Returns its hash.
 * @throws Problem 429 where that person has sent too much that no entry names
 */
export async function takeUpload(
  { store, clock }: { store: Store; clock: Clock },
  { id, role }: Pick<Person, 'id' | 'role'>,
  bytes: Uint8Array,
): Promise<string> {
  const hash = sha256(bytes);
  const most = role === 'householder' ? mostUnnamed.householder : mostUnnamed.others;
  const isTaken = await store.write(async (query) => {
    await query('DELETE FROM uploads WHERE at < ?', [clock() - unnamedLasts]);
    const known = await query<unknown[]>('SELECT 1 FROM files WHERE sha256 = ?', [hash]);
    if (known.length > 0) return true;
    const [waiting] = (await query<{ files: number; bytes: number | null }[]>(
      'SELECT COUNT(*) AS files, SUM(LENGTH(bytes)) AS bytes FROM uploads WHERE person = ? AND sha256 <> ?',
      [id, hash],
    )) as [{ files: number; bytes: number | null }];
    if (Number(waiting.files) >= most.files || Number(waiting.bytes ?? 0) + bytes.length > most.bytes) return false;
    await query('INSERT INTO uploads (sha256, bytes, person, at) VALUES (?, ?, ?, ?) ON CONFLICT (sha256) DO UPDATE SET at = excluded.at', [
      hash,
      Buffer.from(bytes),
      id,
      clock(),
    ]);
    return true;
  });
  if (!isTaken)
    throw new Problem(429, 'too-many-files', 'Too many uploaded files are not used by any entry. They are deleted after one day.', [
      { path: 'file', message: 'Too many uploaded files are not used by any entry. They are deleted after one day.' },
    ]);
  return hash;
}
