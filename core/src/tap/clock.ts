import { z } from 'zod';

/** A clock that runs now: a step of a protocol that must last. */
export const RunningClock = z.object({
  procedure: z.string(),
  say: z.string(),
  /** When it was started (ms) and how many seconds it must run, and may; null where there is no most. */
  from: z.number(),
  least: z.number(),
  most: z.number().nullable(),
});
export type RunningClock = z.infer<typeof RunningClock>;
