import { newId } from '@fonte/core/book';
import { now } from '../time/clock.ts';

/*
 * Drafts lie in the tab, so that two tabs never type into each other, and as a copy on the device, so that one whose browser was
 * killed is brought back by the next tab that is opened. Whether a tab still lives is told by a lock that it holds.
 */

const draft = 'fonte.draft.';
const copy = 'fonte.typed.';
const lockOf = (tab: string) => `fonte-tab-${tab}`;

interface Copy {
  text: string;
  /** When it was last typed in (ms). */
  at: number;
}

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

/** A browser that keeps nothing on the device keeps it in the tab. */
function onDevice(work: (store: Storage) => void): void {
  try {
    work(localStorage);
  } catch {
    // It is as safe as the tab is.
  }
}

/** What is being typed under this name in this tab, or null. */
export const readDraft = (name: string): string | null => sessionStorage.getItem(draft + name);

export function keepDraft(name: string, text: string): void {
  sessionStorage.setItem(draft + name, text);
  onDevice((store) => store.setItem(`${copy}${tab()}.${name}`, JSON.stringify({ text, at: now() } satisfies Copy)));
}

export function dropDraft(name: string): void {
  back.delete(name);
  sessionStorage.removeItem(draft + name);
  onDevice((store) => store.removeItem(`${copy}${tab()}.${name}`));
}

/** Whether anything is being typed in this tab that is not written down yet. */
export const isTyping = (): boolean => Object.keys(sessionStorage).some((key) => key.startsWith(draft));

/** When a draft had last been typed in (ms), if a browser that ended left it behind; else null. */
export const broughtBack = (name: string): number | null => back.get(name) ?? null;

/** The copies that other tabs made, alive or not. */
function copiesOfOthers(): { key: string; tab: string; name: string }[] {
  return Object.keys(localStorage).flatMap((key) => {
    const [owner, ...name] = key.startsWith(copy) ? key.slice(copy.length).split('.') : [];
    return owner === undefined || owner === tab() ? [] : [{ key, tab: owner, name: name.join('.') }];
  });
}

/** Brings back what was being typed in a browser that ended before it was written down. Called before anything is drawn. */
export async function bringBack(): Promise<void> {
  try {
    const { locks } = navigator as { locks?: LockManager };
    const copies = copiesOfOthers();
    if (!locks || copies.length === 0) return;
    const alive = new Set((await locks.query()).held?.map(({ name }) => name));
    for (const { key, tab: owner, name } of copies) {
      // One at a time: what two of them typed in the same form waits for the next tab.
      if (alive.has(lockOf(owner)) || readDraft(name) !== null) continue;
      const { text, at } = JSON.parse(localStorage.getItem(key)!) as Copy;
      keepDraft(name, text);
      back.set(name, at);
      localStorage.removeItem(key);
    }
  } catch {
    // Of a browser that keeps nothing there is nothing to bring back.
  }
}

/** Forgets everything that is typed and not written down: whoever signs out leaves none of it before the next person's eyes. */
export function forgetDrafts(): void {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(draft)) sessionStorage.removeItem(key);
  onDevice((store) => {
    for (const key of Object.keys(store)) if (key.startsWith(copy)) store.removeItem(key);
  });
}
