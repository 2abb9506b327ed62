import { z } from 'zod';
import type { Entry } from './entry.ts';
import type { AnyKind } from './kind.ts';
import type { Misfit } from './misfit.ts';

/** What is asked for next, as a code with what the words need. */
export const Ask = z.object({
  code: z.string(),
  data: z
    .record(z.string(), z.union([z.string(), z.number()]))
    .readonly()
    .optional(),
  /** The procedure it is a step of, where a visit may have several. */
  procedure: z.string().optional(),
  /** A clock runs: there is time for something else. */
  waits: z.boolean().optional(),
});
export type Ask = z.infer<typeof Ask>;

/** The turns in which rooms ask for something at a visit, in the order of the work. */
export const visitTurns = ['choose', 'arrive', 'level', 'purge', 'blanks', 'run', 'fill', 'leave'] as const;
/** The turns in which rooms ask for something of the whole round, once nothing is left to do at a visit. */
export const roundTurns = ['hand-over', 'intake', 'report', 'follow-up', 'results'] as const;
export type Turn = (typeof visitTurns)[number] | (typeof roundTurns)[number];

/**
 * A room of the work: its kinds of entries, whether one fits at its own time, what it makes of the state, what it asks for
 * next and what of it waits. `A` is all it sees of what lies around it while a book is read, `V` all it sees of the visit or
 * round as it stands. Entries come in the order of work, with payloads of the kinds' present versions.
 */
export interface Room<S, A, V = unknown, W = unknown> {
  kinds: readonly AnyKind[];
  empty: S;
  /** Why an entry does not fit here and now, or null. */
  fits: (state: S, entry: Entry, around: A) => Misfit | null;
  /** The state after an entry that fits. */
  advance: (state: S, entry: Entry, around: A) => S;
  /** What it asks for next at each of its turns, or null. */
  next?: Partial<Record<Turn, (view: V) => Ask | null>>;
  /** What of it waits for its time: the shortest is shown to whoever looks for work. */
  waiting?: (view: V) => readonly W[];
}
