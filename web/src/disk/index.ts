import { disk } from './open.ts';

export { disk } from './open.ts';
export { clearDrafts, openDrafts, standingOf, writeDrafts } from './drafts.ts';
export type { Disk, Kept, KeptAnswer, KeptDraft, KeptFile, KeptKey, KeptPin, KeptThing } from './disk.ts';

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
  await files.filter(({ round, point }) => !round && !point).delete();
}
