import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { samplers } from '../roles/index.ts';
import { typedOf } from '../units/index.ts';
import { CultureMethod } from './methods.ts';

const reason = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300);
const written = { stands: 'in-book', by: samplers, correction: 'strike' } as const;
const bottle = z.string().min(1).max(60);

/** Bottles went into the incubator together, with what proves that nothing else grows and that something would. */
export const cultureBegun = entryKind(
  'culture-begun',
  'Put into the incubator',
  z.object({
    method: CultureMethod,
    bottles: z
      .array(bottle)
      .min(1, { error: 'Choose a bottle.' })
      .max(100)
      .refine((all) => new Set(all).size === all.length, { error: 'A bottle is named twice.' }),
    /** Sterile water, treated as a sample. */
    hasBlank: z.boolean().default(false),
    /** Water that has them for sure. */
    hasControl: z.boolean().default(false),
    /** Through a filter: how much, in mL. */
    filtered: z
      .number({ error: 'A number.' })
      .positive({ error: 'Must be more than 0.' })
      .max(1000, { error: 'At most 1000 mL.' })
      .meta({ title: 'Filtered of each, in mL' })
      .optional(),
    medium: z.object({
      lot: z.string().trim().min(1, { error: 'Write down its lot.' }).max(80).meta({ title: 'Lot of the medium' }),
      expires: z.iso.date({ error: 'A date such as 2027-03-31.' }).meta({ title: 'Expires on' }),
    }),
    warmth: typedOf('temperature', { title: 'In the incubator', units: ['degC', 'degF'], min: 15, max: 60 }),
    /** Why something that departs from the method was done all the same. */
    departure: reason.meta({ title: 'Why' }).optional(),
  }),
  written,
);

const positives = z
  .array(z.number().int({ error: 'A whole number.' }).min(0, { error: 'Not less than 0.' }).max(1000))
  .min(1)
  .max(6);
const colonies = z
  .number({ error: 'A whole number.' })
  .int({ error: 'A whole number.' })
  .min(0, { error: 'Not less than 0.' })
  .max(10_000)
  .nullable();

/** What was counted: positive wells of each volume, colonies (null: too many to count), or whether a blank or control grew. */
export const Counted = z.discriminatedUnion('of', [
  z.object({ of: z.literal('wells'), coliforms: positives, ecoli: positives }),
  z.object({ of: z.literal('colonies'), coliforms: colonies, ecoli: colonies }),
  z.object({ of: z.literal('growth'), grew: z.boolean() }),
]);
export type Counted = z.infer<typeof Counted>;

export const cultureRead = entryKind(
  'culture-read',
  'Counted on the own bench',
  z.object({
    culture: Id,
    /** A bottle by its label, or what went along. */
    what: z.discriminatedUnion('is', [
      z.object({ is: z.literal('bottle'), bottle }),
      z.object({ is: z.literal('blank') }),
      z.object({ is: z.literal('control') }),
    ]),
    counted: Counted,
    departure: reason.meta({ title: 'Why' }).optional(),
    kept: reason.meta({ title: 'If it is right, say why' }).optional(),
  }),
  written,
);

/** A batch came to nothing, and why. */
export const cultureDropped = entryKind(
  'culture-dropped',
  'Culture given up',
  z.object({ culture: Id, reason: reason.meta({ title: 'Why' }) }),
  written,
);
