import type { BookEntry, Misfit } from '@fonte/core/book';
import type { Problem } from '../http/index.ts';
import type { Store } from '../store/index.ts';
import { entryColumns, entryValues } from './codec.ts';
import { keepNamed } from './named.ts';
import type { StagedRegistry } from './registry.ts';
import { insertMany, writeRows, type Change } from './rows.ts';
import { extendView, type BookView } from './view.ts';

/** What became of one entry. */
export type Outcome =
  | {
      entry: BookEntry;
      /** False when the entry stood there already. */
      isNew: boolean;
      /** Why it stands aside, or null when it fits. */
      aside: Misfit | null;
    }
  | { problem: Problem };

export interface Job {
  /** The book that the address named, if it did. */
  book: string | null;
  sent: readonly unknown[];
  sentAt: string | null;
  madeBy: 'device' | 'server';
  /** The one book that may be written in, where not all may. */
  scope: { round: string } | null;
  settle: (outcomes: Outcome[]) => void;
  fail: (error: unknown) => void;
}

/** A book while a group of jobs is prepared: as it stood, and what is added to it. */
export interface Staged {
  before: BookView;
  added: BookEntry[];
  isOpened: boolean;
}

/** What a group of jobs is prepared into, before anything is written. */
export class Stage {
  readonly books = new Map<string, Staged>();
  readonly entries = new Map<string, BookEntry>();
  readonly codes = new Map<string, string>();
  /** The canonical JSON of the payloads that are added, by the ids of their entries. */
  readonly texts = new Map<string, string>();

  constructor(readonly registry: StagedRegistry) {}
}

/** Writes what was prepared, in one transaction. @throws Conflict when somebody else wrote in one of these books meanwhile */
export async function commit(store: Store, stage: Stage): Promise<Map<string, BookView>> {
  const views = new Map<string, BookView>();
  const changed = [...stage.books.values()].filter(({ added }) => added.length > 0);
  if (changed.length === 0) return views;
  const change: Change = { now: [], gone: [] };
  for (const { before, added } of changed) {
    const extended = extendView(before, added);
    views.set(before.book, extended.view);
    change.now.push(...extended.change.now);
    change.gone.push(...extended.change.gone);
  }
  const opened = changed.filter(({ isOpened }) => isOpened).map(({ before }) => [before.book, before.type]);
  await store.write(async (query) => {
    await insertMany(
      query,
      'entries',
      entryColumns,
      changed.flatMap(({ added }) => added.map((entry) => entryValues(entry, stage.texts.get(entry.id)))),
    );
    await keepNamed(
      query,
      changed.flatMap(({ added }) => added),
    );
    await insertMany(query, 'books', ['id', 'type'], opened);
    await writeRows(query, change);
  });
  return views;
}

/** The id that something sent claims to have; none where it is no id. */
export function idIn(sent: unknown): string[] {
  const id = (sent as { id?: unknown } | null)?.id;
  return typeof id === 'string' && id.length === 36 ? [id] : [];
}
