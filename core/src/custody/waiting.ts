import { z } from 'zod';

/**
 * A filled bottle that waits for the lab: its deadline, and the last moment up to it at which the lab takes it in, both in ms; null
 * where the lab does not open in that time.
 */
export const WaitingBottle = z.object({ bottle: z.string(), visit: z.string(), deadline: z.number(), handOverBy: z.number().nullable() });
export type WaitingBottle = z.infer<typeof WaitingBottle>;
