import { sha256Hex, type Entry } from '@fonte/core/book';
import { keepPicture, pictureType, type PictureType } from '@fonte/core/pictures';
import { keepPointPicture } from '@fonte/core/scout';
import { filesNamed } from '@fonte/core/round';
import { useEffect, useState } from 'react';
import { ApiProblem, call } from '../api/call.ts';
import { disk } from '../disk/index.ts';
import { inOutbox, NotKept } from './outbox.ts';
import { ownerOf, type FileOf } from './owner.ts';

/** What is known of a file that a book can name. */
interface NamedFile {
  sha256: string;
  type: PictureType;
  size: number;
}

const keepAtServer = (of: FileOf, body: Blob) =>
  'round' in of ? call(keepPicture, { in: of, body }) : call(keepPointPicture, { in: of, body });

/**
 * Keeps a picture on this device under its hash, to be sent before the entry that names it. Where the device keeps nothing the
 * server has to take it now. @throws ApiProblem where it is no picture, NotKept, NoConnection
 */
export async function keepFile(of: FileOf, blob: Blob): Promise<NamedFile> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  const type = pictureType(bytes);
  if (!type) {
    const message = 'This is no picture that can be kept: JPEG, PNG or WebP.';
    throw new ApiProblem(422, message, [{ path: 'file', message }]);
  }
  const file = { sha256: sha256Hex(bytes), type, size: bytes.length };
  try {
    await (await disk()).files.put({ sha256: file.sha256, type, blob: new Blob([bytes], { type }), round: null, ...of });
    return file;
  } catch {
    return keepAtServer(of, blob).catch((failure: unknown) => {
      throw failure instanceof ApiProblem ? failure : new NotKept({ cause: failure });
    });
  }
}

/** Lets go of a picture that was taken and will not be written down: nothing is left of it on this device. */
export async function dropFile(sha256: string): Promise<void> {
  if (inOutbox().some(({ entry }) => filesNamed(entry).includes(sha256))) return;
  const { files } = await disk();
  const file = await files.get(sha256);
  if (file && ownerOf(file)) await files.delete(sha256);
}

/** Sends the files that entries name, before them. Returns the entries whose file the server will not have. @throws NoConnection */
export async function sendFiles(entries: readonly Entry[]): Promise<{ entry: Entry; problem: ApiProblem }[]> {
  const missing: { entry: Entry; problem: ApiProblem }[] = [];
  for (const entry of entries) {
    for (const sha256 of filesNamed(entry)) {
      const { files } = await disk();
      const file = await files.get(sha256);
      const of = file ? ownerOf(file) : null;
      if (!file || !of) continue;
      try {
        await keepAtServer(of, file.blob);
        await files.update(sha256, { round: null, point: null });
      } catch (failure) {
        if (!(failure instanceof ApiProblem) || failure.status >= 500 || failure.status === 401) throw failure;
        missing.push({ entry, problem: failure });
      }
    }
  }
  return missing;
}

/** Where a picture is shown from: this device, if it has it, and otherwise its address. Null until that is known. */
export function useKeptFile(sha256: string, address: string): string | null {
  const [src, setSrc] = useState<string | null>(null);
  useEffect(() => {
    let own: string | null = null;
    let isGone = false;
    void disk()
      .then(({ files }) => files.get(sha256))
      .catch(() => undefined)
      .then((file) => {
        if (isGone) return;
        own = file ? URL.createObjectURL(file.blob) : null;
        setSrc(own ?? address);
      });
    return () => {
      isGone = true;
      if (own) URL.revokeObjectURL(own);
    };
  }, [sha256, address]);
  return src;
}
