import type { z } from 'zod';

/** What an entry of a kind says, as a sentence for the field book; its title stands before it. */
export type Says = readonly [kind: string, says: (payload: never) => string];

/**
 * The sentence of a kind, over the payload of its present version.
 * @example inBook(levelRead, ({ depth }) => `${showTyped(depth)} below the mark.`)
 */
export function inBook<S extends z.ZodType>(kind: { kind: string; payload: S }, says: (payload: z.output<S>) => string): Says {
  return [kind.kind, says];
}
