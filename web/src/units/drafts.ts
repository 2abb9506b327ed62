import { newId } from '@fonte/core/book';
import { clearDrafts, openDrafts, standingOf, writeDrafts, type KeptDraft } from '../disk/index.ts';
import { now } from '../time/clock.ts';

/*
 * What is being typed lies in the tab, which has it at once, and on the disk beside the entries, where it survives a killed
 * browser. The transaction that writes an entry deletes its draft there, and no draft of an entry that stands is ever offered.
 * Two tabs never type into each other; what a tab leaves behind when its browser dies is brought back by the next one. Whether a
 * tab still lives is told by a lock that it holds.
 */

const draft = 'fonte.draft.';
const lockOf = (tab: string) => `fonte-tab-${tab}`;

/** What the tab keeps of a draft. */
type InTab = Pick<KeptDraft, 'entry' | 'text' | 'at'>;

/** When the drafts that were brought back here had last been typed in (ms), by name. */
const back = new Map<string, number>();

let own: string | null = null;

/** This tab, over reloads. Whoever asks holds its lock for as long as the tab lives. */
function tab(): string {
  if (own !== null) return own;
  const known = sessionStorage.getItem('fonte.tab') ?? newId(now());
  own = known;
  sessionStorage.setItem('fonte.tab', known);
  const { locks } = navigator as { locks?: LockManager };
  void locks?.request(lockOf(known), () => new Promise(() => undefined)).catch(() => undefined);
  return known;
}

function inTab(name: string): InTab | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(draft + name) ?? 'null') as Partial<InTab> | null;
    return typeof kept?.text === 'string' && typeof kept.entry === 'string' ? (kept as InTab) : null;
  } catch {
    return null;
  }
}

/** What is still on its way to the disk, by key; only the latest of each draft goes there. */
const unwritten = new Map<string, KeptDraft | null>();
let writing: Promise<void> | null = null;

async function writeAll(): Promise<void> {
  while (unwritten.size > 0) {
    const changes = [...unwritten];
    unwritten.clear();
    // A browser that keeps nothing on the device keeps it in the tab.
    await writeDrafts(changes).catch(() => undefined);
  }
  writing = null;
}

function toDisk(key: string, change: KeptDraft | null): void {
  unwritten.set(key, change);
  writing ??= writeAll();
}

/** Resolves once what was typed until now lies on the disk. */
export const draftsWritten = (): Promise<void> => writing ?? Promise.resolve();

const keyOf = (name: string) => `${tab()}.${name}`;

/** What is being typed under this name in this tab, or null. */
export const readDraft = (name: string): string | null => inTab(name)?.text ?? null;

/** @param entry the id of the entry that it will become */
export function keepDraft(name: string, text: string, entry: string, at = now()): void {
  sessionStorage.setItem(draft + name, JSON.stringify({ text, entry, at } satisfies InTab));
  toDisk(keyOf(name), { key: keyOf(name), tab: tab(), name, text, entry, at });
}

export function dropDraft(name: string): void {
  back.delete(name);
  sessionStorage.removeItem(draft + name);
  toDisk(keyOf(name), null);
}

const draftsInTab = (): string[] => Object.keys(sessionStorage).flatMap((key) => (key.startsWith(draft) ? [key.slice(draft.length)] : []));

/** Whether anything is being typed in this tab that is not written down yet. */
export const isTyping = (): boolean => draftsInTab().length > 0;

/** When a draft had last been typed in (ms), if a browser that ended left it behind; else null. */
export const broughtBack = (name: string): number | null => back.get(name) ?? null;

/** A browser that was killed may give a tab an older state of what it had: what has been written since is no draft any more. */
async function dropWritten(): Promise<void> {
  const drafts = draftsInTab().map((name) => ({ name, kept: inTab(name) }));
  const standing = await standingOf(drafts.flatMap(({ kept }) => kept?.entry ?? []));
  for (const { name, kept } of drafts) if (!kept || standing.has(kept.entry)) dropDraft(name);
}

async function tabsAlive(): Promise<Set<string>> {
  const { locks } = navigator as { locks?: LockManager };
  return new Set((await locks?.query())?.held?.flatMap(({ name }) => name ?? []));
}

/** Brings back what was being typed in a browser that ended before it was written down. Called before anything is drawn. */
export async function bringBack(): Promise<void> {
  try {
    await dropWritten();
    const kept = await openDrafts();
    if (kept.length === 0) return;
    const alive = await tabsAlive();
    for (const { key, tab: owner, name, text, entry, at } of kept.sort((a, b) => b.at - a.at)) {
      const here = inTab(name);
      if (owner === tab()) {
        if (here && here.at >= at) continue;
        keepDraft(name, text, entry, at);
        back.set(name, at);
        continue;
      }
      // One at a time: what two of them typed in the same form waits for the next tab.
      if (alive.has(lockOf(owner)) || here) continue;
      keepDraft(name, text, entry, at);
      back.set(name, at);
      toDisk(key, null);
    }
  } catch {
    // Of a browser that keeps nothing there is nothing to bring back.
  }
}

/** Forgets everything that is typed and not written down: whoever signs out leaves none of it before the next person's eyes. */
export async function forgetDrafts(): Promise<void> {
  for (const name of draftsInTab()) sessionStorage.removeItem(draft + name);
  unwritten.clear();
  await draftsWritten();
  await clearDrafts().catch(() => undefined);
}
