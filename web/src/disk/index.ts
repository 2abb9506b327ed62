import type { Disk } from './disk.ts';

export type { Disk, Kept, KeptAnswer, KeptFile, KeptKey, KeptPin, KeptThing } from './disk.ts';

let opening: Promise<Disk> | null = null;

/** What lies on this device. Fetched apart: the first page is drawn without it. @throws where the browser keeps nothing */
export function disk(): Promise<Disk> {
  opening ??= import('./disk.ts').then(async ({ Disk: Kind }) => {
    const opened = new Kind();
    await opened.open();
    return opened;
  });
  // A window that cannot keep anything now may do so the next time it is asked.
  opening.catch(() => {
    opening = null;
  });
  return opening;
}

/** A single thing that is kept under a name, or undefined. */
export async function noted<T>(name: string): Promise<T | undefined> {
  return (await (await disk()).notes.get(name))?.value as T | undefined;
}

export async function note(name: string, value: unknown): Promise<void> {
  await (await disk()).notes.put({ name, value });
}

/** What came from the server leaves the device with the last who was signed in; its key, its PINs and what waits stay. */
export async function forgetHere(): Promise<void> {
  const { entries, answers, things, files, notes } = await disk();
  await Promise.all([entries.clear(), answers.clear(), things.clear(), notes.clear()]);
  await files.filter(({ round }) => round === null).delete();
}
