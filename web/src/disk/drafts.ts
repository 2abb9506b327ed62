import type { KeptDraft } from './disk.ts';
import { disk } from './open.ts';

/**
 * Writes what is being typed, or deletes it where `null`. A draft of an entry that was written is deleted, in the transaction that
 * looks: what was typed before it cannot come back after it, in whatever order the disk is reached. No table is touched that a whole
 * round is written to: that would hold up every key.
 */
export async function writeDrafts(changes: Iterable<readonly [string, KeptDraft | null]>): Promise<void> {
  const opened = await disk();
  const { drafts, spent } = opened;
  await opened.transaction('rw', drafts, spent, async () => {
    for (const [key, draft] of changes) {
      const isOver = draft === null || (await spent.where('id').equals(draft.entry).count()) > 0;
      await (isOver ? drafts.delete(key) : drafts.put(draft));
    }
  });
}

/** Which of these entries stand on this device: wait, were refused, or are part of their book. */
export async function standingOf(ids: readonly string[]): Promise<Set<string>> {
  const { outbox, entries } = await disk();
  const [waiting, written] = await Promise.all([outbox.where('id').anyOf(ids).toArray(), entries.where('id').anyOf(ids).toArray()]);
  return new Set([...waiting, ...written].map(({ id }) => id));
}

/** So many of the last ids are remembered as spent: no key is on its way to the disk for longer. */
const remembered = 500;

/** All drafts on this device whose entry does not stand; the others are deleted. */
export async function openDrafts(): Promise<KeptDraft[]> {
  const { drafts, spent } = await disk();
  const last = await spent.orderBy('n').last();
  await spent
    .where('n')
    .below((last?.n ?? 0) - remembered)
    .delete();
  const all = await drafts.toArray();
  const standing = await standingOf(all.map(({ entry }) => entry));
  await drafts.bulkDelete(all.filter(({ entry }) => standing.has(entry)).map(({ key }) => key));
  return all.filter(({ entry }) => !standing.has(entry));
}

/** Deletes every draft of every tab. */
export async function clearDrafts(): Promise<void> {
  await (await disk()).drafts.clear();
}
