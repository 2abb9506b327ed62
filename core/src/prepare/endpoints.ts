import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { members } from '../roles/index.ts';
import { checkIds } from './check.ts';

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
