import { z } from 'zod';
import { Party } from './party.ts';

/**
 * A filled bottle that waits for the lab: its deadline, and the last moment up to it at which the lab takes it in, both in ms; null
 * where the lab does not open in that time. `holder` has it; null while it is with those who took it.
 */
export const WaitingBottle = z.object({
  bottle: z.string(),
  visit: z.string(),
  deadline: z.number(),
  handOverBy: z.number().nullable(),
  holder: Party.pick({ as: true, name: true }).nullable(),
});
export type WaitingBottle = z.infer<typeof WaitingBottle>;
