import { inOrderOfWork, standing, struck, type AnyKind, type Entry } from '../book/index.ts';
import { millis } from '../time/index.ts';
import type { z } from 'zod';
import { pointScouted } from './entries.ts';

/** What was seen at a point by whoever looked, and when (ms). */
export type Scouted = z.output<typeof pointScouted.payload> & { entry: string; at: number };

/** What may stand in a point's book beside how it is registered. */
export const scoutKinds: readonly AnyKind[] = [pointScouted, struck];

const kindOf = (name: string) => scoutKinds.find(({ kind }) => kind === name) ?? null;

/**
 * What was seen at a point without a round, newest first; what was struck is left out.
 * @param entries of the point's book, in their kinds' present versions
 */
export function scoutedIn(entries: readonly Entry[]): Scouted[] {
  const own = entries.filter((entry) => kindOf(entry.kind) !== null);
  return inOrderOfWork(standing(own, kindOf).entries)
    .flatMap((entry) => (pointScouted.is(entry) ? [{ entry: entry.id, at: millis(entry.at), ...entry.payload }] : []))
    .reverse();
}

/** The same with what was written since on this device, and has not come to the server: nothing twice, and without what it strikes. */
export function scoutedSince(known: readonly Scouted[], waiting: readonly Entry[]): Scouted[] {
  const gone = new Set(waiting.flatMap((entry) => (struck.is(entry) ? [entry.payload.entry] : [])));
  const fresh = scoutedIn(waiting).filter(({ entry }) => !known.some((one) => one.entry === entry));
  return [...fresh, ...known].filter(({ entry }) => !gone.has(entry));
}
