import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { samplers } from '../roles/index.ts';

const hour = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'An hour such as 08:00.' });

/** When and where a household puts its bottles out, by the wall clock of the round. */
export const PickUp = z
  .object({
    date: z.iso.date({ error: 'Choose the day.' }).meta({ title: 'Picked up on' }),
    from: hour.meta({ title: 'From' }),
    to: hour.meta({ title: 'Until' }),
    where: z.string().trim().min(1, { error: 'Say where it will stand.' }).max(120).meta({ title: 'Where it will stand' }),
  })
  .refine(({ from, to }) => from < to, { path: ['to'], error: 'It ends before it begins.' });
export type PickUp = z.infer<typeof PickUp>;

/** A round with one point is given to a household, which takes the sample itself. Given once more, the later words hold. */
export const kitGiven = entryKind(
  'kit-given',
  'Kit given',
  z.object({
    /** The householder, as registered. */
    person: Id,
    name: z.string().trim().min(1, { error: 'Whose kit is it?' }).max(120).meta({ title: 'Household' }),
    /** Which way each procedure is run: the protocol by the procedure. */
    ways: z.record(z.string().max(60), z.string().max(60)),
    pickUp: PickUp,
    /** Whom they ask. */
    call: z.string().trim().max(120).meta({ title: 'Whom they call with questions' }).default(''),
  }),
  { stands: 'in-book', by: ['coordinator'], correction: 'replace' },
);

/** The household has put its bottles out, to be picked up. */
export const kitPutOut = entryKind(
  'kit-put-out',
  'Kit put out',
  z.object({
    /** What whoever picks it up should know. */
    note: z.string().trim().max(300).meta({ title: 'Anything we should know?' }).default(''),
  }),
  { stands: 'in-book', by: samplers, correction: 'strike' },
);

/** The kit is not with the household any more, nothing was filled, and why. */
export const kitTakenBack = entryKind(
  'kit-taken-back',
  'Kit taken back',
  z.object({ reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why' }) }),
  { stands: 'in-book', by: ['coordinator'], correction: 'strike' },
);
