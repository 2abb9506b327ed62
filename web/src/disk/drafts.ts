import type { Disk, KeptDraft } from './disk.ts';
import { disk } from './open.ts';

/** Whether an entry with this id stands on this device: it waits, was refused, or is part of its book. Inside a transaction. */
export async function standingEntry({ outbox, entries }: Disk, id: string) {
  return (await outbox.where('id').equals(id).first())?.entry ?? (await entries.where('id').equals(id).first());
}

/**
 * Writes what is being typed, or deletes it where `null`. A draft whose entry stands is deleted, in the transaction that looks:
 * what was typed before an entry was written cannot come back after it, in whatever order the disk is reached.
 */
export async function writeDrafts(changes: Iterable<readonly [string, KeptDraft | null]>): Promise<void> {
  const opened = await disk();
  const { drafts, outbox, entries } = opened;
  await opened.transaction('rw', drafts, outbox, entries, async () => {
    for (const [key, draft] of changes) {
      const isOver = draft === null || (await standingEntry(opened, draft.entry)) !== undefined;
      await (isOver ? drafts.delete(key) : drafts.put(draft));
    }
  });
}

/** All drafts on this device whose entry does not stand; the others are deleted. */
export async function openDrafts(): Promise<KeptDraft[]> {
  const opened = await disk();
  const all = await opened.drafts.toArray();
  await writeDrafts(all.map((draft) => [draft.key, draft]));
  return opened.drafts.toArray();
}

/** Which of these entries stand on this device. */
export async function standingOf(ids: readonly string[]): Promise<Set<string>> {
  const { outbox, entries } = await disk();
  const [waiting, written] = await Promise.all([outbox.where('id').anyOf(ids).toArray(), entries.where('id').anyOf(ids).toArray()]);
  return new Set([...waiting, ...written].map(({ id }) => id));
}

/** Deletes every draft of every tab. */
export async function clearDrafts(): Promise<void> {
  await (await disk()).drafts.clear();
}
