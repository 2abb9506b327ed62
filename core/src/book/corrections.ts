import { z } from 'zod';
import { entryKind, inOrderOfWork, type Entry } from './entry.ts';

/**
 * A correction names the entry it strikes and says why. `instead` is the payload that should have stood there; without
 * it the entry is simply struck. The struck entry stays in the book and stays readable.
 */
export const struck = entryKind(
  'struck',
  'Correction',
  z.object({
    entry: z.uuid(),
    reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500),
    instead: z.unknown().optional(),
  }),
  { strikeable: false },
);

export interface Strike {
  by: Entry;
  reason: string;
  instead: unknown;
}

/** Every strike of a book by the id of the entry it strikes. The latest stands where one entry was corrected twice. */
export function strikes(entries: readonly Entry[]): Map<string, Strike> {
  const found = new Map<string, Strike>();
  for (const entry of entries) {
    if (struck.is(entry)) found.set(entry.payload.entry, { by: entry, reason: entry.payload.reason, instead: entry.payload.instead });
  }
  return found;
}

/**
 * What a book says once its corrections are applied, in the order of work: struck entries are gone, or stand with the
 * corrected payload at the time and place of the original, and the corrections themselves are left out.
 */
export function corrected<E extends Entry>(entries: readonly E[]): E[] {
  const struckBy = strikes(entries);
  const standing: E[] = [];
  for (const entry of entries) {
    if (struck.is(entry)) continue;
    const strike = struckBy.get(entry.id);
    if (!strike) standing.push(entry);
    else if (strike.instead !== undefined) standing.push({ ...entry, payload: strike.instead });
  }
  return inOrderOfWork(standing);
}
