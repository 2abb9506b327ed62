import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { samplers } from '../roles/index.ts';
import { factIds } from './facts.ts';
import { Instant } from '../time/index.ts';

const bottle = z.string().min(1).max(60);
const written = { stands: 'at-visit', by: samplers, correction: 'replace' } as const;
const why = (title: string) => z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title });

const filled = {
  bottle,
  stated: z.object({ collected: Instant, reason: why('Why not now') }).optional(),
  /** It should have been filtered and was not: its lab is told why. */
  unfiltered: why('Why it is not filtered').optional(),
};
const Filled = z.object({
  ...filled,
  /** What of it was looked at and is as it should be. */
  facts: z
    .array(z.enum(factIds))
    .max(factIds.length)
    .refine((all) => new Set(all).size === all.length, { error: 'It stands there twice.' })
    .optional(),
});
/** At first it was said of all of it at once, or not at all. */
const FilledSound = z.object({ ...filled, sound: z.literal(true).optional() });

/** A bottle was filled, at the entry's time unless another one is stated, with the reason: this starts its holding clock. */
export const bottleFilled = entryKind('bottle-filled', 'Bottle filled', Filled, {
  ...written,
  earlier: [1, 2].map(() => ({
    payload: FilledSound,
    upgrade: ({ sound, ...rest }: z.infer<typeof FilledSound>) => ({ ...rest, ...(sound ? { facts: ['sound'] } : {}) }),
  })),
});

/** Why a bottle is thrown away. Never pour off, never fill up: a new bottle. */
export const discardReasons = {
  overfilled: 'Overfilled',
  underfilled: 'Under-filled, or spilt',
  'cap-dropped': 'Cap dropped or set down',
  'inside-touched': 'Inside of bottle or cap touched',
  'seal-broken': 'Seal broken before use',
  dirty: 'Dirty, cracked or out of date',
  'no-preservative': 'Powder or acid is not in it',
  rinsed: 'Rinsed, and what was in it is gone',
  bubble: 'A bubble where none may be',
  'no-air': 'No air left where some belongs',
  other: 'Something else',
} as const;

const Discarded = z.object({
  bottle,
  reason: z.enum(Object.keys(discardReasons) as [keyof typeof discardReasons], { error: 'Choose why.' }).meta({ title: 'Why' }),
  note: z.string().trim().max(300).meta({ title: 'Anything to add' }).optional(),
});

/** A bottle was thrown away; a spare takes its place under a label of its own. */
export const bottleDiscarded = entryKind('bottle-discarded', 'Bottle thrown away', Discarded, {
  ...written,
  // There were fewer reasons, twice.
  earlier: [1, 2].map(() => ({ payload: Discarded, upgrade: (discarded: z.infer<typeof Discarded>) => discarded })),
});

/** A bottle has its label on, scanned or looked at; with what its lab calls it, where it came with a code of the lab's own. */
export const bottleLabelled = entryKind(
  'bottle-labelled',
  'Label looked at',
  z.object({
    bottle,
    how: z.enum(['scanned', 'by-eye']),
    code: z.string().trim().min(1).max(120).meta({ title: 'The lab’s own code' }).optional(),
  }),
  { stands: 'at-visit', by: samplers, correction: 'strike' },
);
