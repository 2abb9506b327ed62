import { readParcel, sha256Hex, type Entry, type Parcel } from '@fonte/core/book';
import { disk } from '../disk/index.ts';
import { ownDevice } from '../session/device.ts';
import { now } from '../time/clock.ts';
import { ownerOf } from './owner.ts';
import { inOutbox, put } from './outbox.ts';

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** All that only this device has, as a file for a colleague or for safe keeping. */
export async function makeParcel(): Promise<File> {
  const { files } = await disk();
  const toSend = (await files.toArray()).filter((file) => ownerOf(file) !== null);
  const parcel: Parcel = {
    format: 'fonte-entries',
    version: toSend.some(({ point }) => point) ? 2 : 1,
    made: new Date(now()).toISOString(),
    device: (await ownDevice()).name,
    entries: inOutbox().map(({ entry }) => entry),
    files: await Promise.all(
      toSend.map(async ({ sha256, type, round, point, blob }) => ({
        sha256,
        type,
        round,
        ...(point ? { point } : {}),
        base64: await base64Of(blob),
      })),
    ),
  };
  const name = `fonte-${parcel.made.slice(0, 16).replace(/[-:T]/g, '')}-${parcel.entries.length}.entries.json`;
  return new File([JSON.stringify(parcel)], name, { type: 'application/json' });
}

/** Takes a colleague's file in: from here on this device hands it in as well. Returns how many entries were new. @throws Error, NotKept */
export async function takeParcel(text: string): Promise<number> {
  const { entries, files } = readParcel(text);
  const opened = await disk();
  for (const { sha256, type, round, point = null, base64 } of files) {
    const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
    // A picture that is not what its name says is left out: the entry that names it will say so.
    if (sha256Hex(bytes) === sha256 && !(await opened.files.get(sha256)))
      await opened.files.put({ sha256, type, round, point, blob: new Blob([bytes], { type }) });
  }
  const known = new Set(inOutbox().map(({ id }) => id));
  const fresh = (entries as Entry[]).filter(({ id }) => !known.has(id));
  for (const entry of fresh) await put(entry);
  return fresh.length;
}
