import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { samplers } from '../roles/index.ts';
import { Instant } from '../time/index.ts';

const bottle = z.string().min(1).max(60);
const written = { stands: 'at-visit', by: samplers, correction: 'replace' } as const;

/** A bottle was filled, at the entry's time unless another one is stated, with the reason: this starts its holding clock. */
export const bottleFilled = entryKind(
  'bottle-filled',
  'Bottle filled',
  z.object({
    bottle,
    stated: z
      .object({
        collected: Instant,
        reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why not now' }),
      })
      .optional(),
  }),
  written,
);

/** Why a bottle is thrown away. Never pour off, never fill up: a new bottle. */
export const discardReasons = {
  overfilled: 'Overfilled',
  'cap-dropped': 'Cap dropped or set down',
  'inside-touched': 'Inside of bottle or cap touched',
  'seal-broken': 'Seal broken before use',
  dirty: 'Dirty, cracked or out of date',
  other: 'Something else',
} as const;

/** A bottle was thrown away; a spare takes its place under a label of its own. */
export const bottleDiscarded = entryKind(
  'bottle-discarded',
  'Bottle thrown away',
  z.object({
    bottle,
    reason: z.enum(Object.keys(discardReasons) as [keyof typeof discardReasons]).meta({ title: 'Why' }),
    note: z.string().trim().max(300).meta({ title: 'Anything to add' }).optional(),
  }),
  written,
);
