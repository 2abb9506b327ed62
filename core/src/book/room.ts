import { z } from 'zod';
import type { Entry } from './entry.ts';
import type { AnyKind } from './kind.ts';
import type { Misfit } from './misfit.ts';

/**
 * A room of the work: its kinds of entries, whether one fits at its own time, and what it makes of the state. `A` is all it
 * sees of what lies around it. Entries come in the order of work, with payloads of the kinds' present versions.
 */
export interface Room<S, A> {
  kinds: readonly AnyKind[];
  empty: S;
  /** Why an entry does not fit here and now, or null. */
  fits: (state: S, entry: Entry, around: A) => Misfit | null;
  /** The state after an entry that fits. */
  advance: (state: S, entry: Entry, around: A) => S;
}

/** What is asked for next, as a code with what the words need. */
export const Ask = z.object({
  code: z.string(),
  data: z
    .record(z.string(), z.union([z.string(), z.number()]))
    .readonly()
    .optional(),
  /** A clock runs: there is time for something else. */
  waits: z.boolean().optional(),
});
export type Ask = z.infer<typeof Ask>;
