import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { members } from '../roles/index.ts';
import { checkIds } from './check.ts';
import { instrumentChecked } from './entries.ts';

/** A check of an instrument in whatever round it was made; values in the parameter's own unit. */
export const CheckOfRecord = z.object({
  round: z.string(),
  /** ms since 1970 in UTC. */
  at: z.number(),
  check: z.enum(checkIds),
  nominal: z.number().nullable(),
  reading: z.number().nullable(),
  outcome: z.enum(['pass', 'fail', 'expired', 'wrong-standard']),
});
export type CheckOfRecord = z.infer<typeof CheckOfRecord>;

export const checkRecord = reading('/api/instruments/:instrument/checks', {
  summary: 'The checks of an instrument, oldest first',
  by: members,
  answer: z.array(CheckOfRecord),
});

/** A check as another round's book has it, to be taken over where it still holds. */
export const CheckMadeElsewhere = z.object({
  round: z.string(),
  entry: z.string(),
  /** ms since 1970 in UTC. */
  at: z.number(),
  payload: instrumentChecked.payload,
});
export type CheckMadeElsewhere = z.infer<typeof CheckMadeElsewhere>;

export const recentChecks = reading('/api/checks', {
  summary: 'The checks of all instruments that were made in any round from a moment (ms) on, oldest first',
  by: members,
  query: z.object({ from: z.coerce.number().int() }),
  answer: z.array(CheckMadeElsewhere),
});
