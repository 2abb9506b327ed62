import { z } from 'zod';
import { canonicalJson } from '../book/index.ts';
import { reading } from '../endpoints/index.ts';
import { members } from '../roles/index.ts';
import { PurgeChoice } from './entries.ts';

/** How a well was set up to be purged at an earlier visit. */
export const EarlierSetUp = z.object({
  round: z.string(),
  visit: z.string(),
  /** ms since 1970 in UTC. */
  at: z.number(),
  /** The mark of the level, below which depths are; null where none was read. */
  mark: z.string().nullable(),
  chosen: PurgeChoice,
});
export type EarlierSetUp = z.infer<typeof EarlierSetUp>;

export const setUpsAt = reading('/api/points/:point/set-ups', {
  summary: 'How a well was set up to be purged before, newest first, at most twenty',
  by: members,
  answer: z.array(EarlierSetUp),
});

/** Set-ups that differ, the newest of each, without those of one visit. */
export function otherSetUps(all: readonly EarlierSetUp[], visit: string): EarlierSetUp[] {
  const seen = new Set<string>();
  return all.filter((one) => {
    const key = canonicalJson(one.chosen);
    if (one.visit === visit || seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
