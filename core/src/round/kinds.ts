import { actionDone } from '../act/index.ts';
import { struck, type Entry, type EntryKind } from '../book/index.ts';
import { handedOver, labAnswered } from '../custody/index.ts';
import { bottleDiscarded, bottleFilled } from '../fill/index.ts';
import { levelRead } from '../level/index.ts';
import { analysisAdded, analysisRemoved, bottlesPacked, roundPlanned } from '../plan/index.ts';
import { purgeEnded, purgeReading, purgeSetUp } from '../purge/index.ts';
import { reportRead, reportReceived } from '../read/index.ts';
import { labRegistered, personRegistered, pointRegistered } from '../registers/index.ts';
import { clockStarted, runStarted, stepDone, stepSkipped } from '../tap/index.ts';
import type { z } from 'zod';

type AnyKind = EntryKind<string, z.ZodType>;

/** Every kind that may stand in a round's book, in the order of the work. */
export const roundKinds: readonly AnyKind[] = [
  roundPlanned,
  analysisAdded,
  analysisRemoved,
  bottlesPacked,
  levelRead,
  purgeSetUp,
  purgeReading,
  purgeEnded,
  runStarted,
  clockStarted,
  stepDone,
  stepSkipped,
  bottleFilled,
  bottleDiscarded,
  handedOver,
  labAnswered,
  reportReceived,
  reportRead,
  actionDone,
  struck,
];

/** Every kind that may stand in the organisation's own book. */
export const orgKinds: readonly AnyKind[] = [pointRegistered, labRegistered, personRegistered];

/** Kinds that only the server writes: what came from outside, and what it read itself. */
export const serverKinds: ReadonlySet<string> = new Set([labAnswered.kind, reportReceived.kind, reportRead.kind]);

const byName = new Map([...roundKinds, ...orgKinds].map((kind) => [kind.kind, kind]));

/** The kind of that name in a book, or null. */
export function kindIn(book: string, kind: string): AnyKind | null {
  return (book === 'org' ? orgKinds : roundKinds).find((candidate) => candidate.kind === kind) ?? null;
}

/** What a person calls an entry. */
export function titleOf(entry: Entry): string {
  return byName.get(entry.kind)?.title ?? entry.kind;
}
