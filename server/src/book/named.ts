import type { Entry } from '@fonte/core/book';
import { filesNamed } from '@fonte/core/round';
import { Problem } from '../http/index.ts';
import { sha256 } from './codec.ts';
import { Conflict, marks, type FileRow, type Query, type Store } from '../store/index.ts';

/** Whether the files that an entry names have come. @throws Problem 422 */
export async function checkFiles(store: Store, entry: Entry): Promise<void> {
  for (const hash of filesNamed(entry)) {
    const found = await store.read<unknown[]>('SELECT 1 FROM files WHERE sha256 = ? UNION ALL SELECT 1 FROM uploads WHERE sha256 = ?', [
      hash,
      hash,
    ]);
    if (found.length === 0)
      throw new Problem(422, 'file-missing', 'A file named in this entry has not been uploaded. Upload it first.', [
        { path: 'payload', message: 'A file named in this entry has not been uploaded. Upload it first.' },
      ]);
  }
}

/** Keeps for good what entries name that are being written. @throws Conflict where it went meanwhile */
export async function keepNamed(query: Query, entries: readonly Entry[]): Promise<void> {
  const hashes = [...new Set(entries.flatMap(filesNamed))];
  for (let at = 0; at < hashes.length; at += 500) {
    const some = hashes.slice(at, at + 500);
    const among = `WHERE sha256 IN (${marks(some.length)})`;
    await query(`INSERT INTO files (sha256, bytes) SELECT sha256, bytes FROM uploads ${among} ON CONFLICT (sha256) DO NOTHING`, some);
    await query(`DELETE FROM uploads ${among}`, some);
    const [{ count }] = (await query<{ count: number }[]>(`SELECT COUNT(*) AS count FROM files ${among}`, some)) as [{ count: number }];
    if (Number(count) < some.length) throw new Conflict('A file that is named has gone.');
  }
}

/** A kept file, proven to be what was kept. @throws Problem 410 when it is gone or was altered */
export async function keptFile(store: Store, hash: string): Promise<Uint8Array> {
  const [row] = await store.read<FileRow[]>(
    'SELECT bytes FROM files WHERE sha256 = ? UNION ALL SELECT bytes FROM uploads WHERE sha256 = ?',
    [hash, hash],
  );
  const bytes = row && new Uint8Array(row.bytes);
  if (!bytes) throw new Problem(410, 'file-gone', 'The kept file is not there any more. Nothing is read from it.');
  if (sha256(bytes) !== hash)
    throw new Problem(410, 'file-altered', 'The kept file is not what came: it was altered. Nothing is read from it.');
  return bytes;
}
