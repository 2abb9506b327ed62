import { sha256 } from '../book/codec.ts';
import { Problem } from '../http/index.ts';
import type { FileRow, Query, Store } from '../store/index.ts';

/** Keeps a file under its hash; one that is there already is kept once. */
export async function keepFile(query: Query, bytes: Uint8Array): Promise<string> {
  const hash = sha256(bytes);
  await query('INSERT INTO files (sha256, bytes) VALUES (?, ?) ON CONFLICT (sha256) DO NOTHING', [hash, Buffer.from(bytes)]);
  return hash;
}

/** A kept file, proven to be what was kept. @throws Problem 410 when it is gone or was altered */
export async function keptFile(store: Store, hash: string): Promise<Uint8Array> {
  const [row] = await store.read<FileRow[]>('SELECT bytes FROM files WHERE sha256 = ?', [hash]);
  const bytes = row && new Uint8Array(row.bytes);
  if (!bytes) throw new Problem(410, 'file-gone', 'The kept file is not there any more. Nothing is read from it.');
  if (sha256(bytes) !== hash)
    throw new Problem(410, 'file-altered', 'The kept file is not what came: it was altered. Nothing is read from it.');
  return bytes;
}
