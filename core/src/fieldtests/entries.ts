import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { Instrument } from '../registers/index.ts';
import { samplers } from '../roles/index.ts';
import { base, Typed, typedOf } from '../units/index.ts';
import { method, MethodId } from './methods.ts';

const reason = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300);
const written = { stands: 'at-visit', by: samplers, correction: 'strike' } as const;

/** What a test is made with. The book carries it, so that it can be read alone. */
const made = {
  method: MethodId,
  instrument: Instrument.pick({ id: true, name: true, serial: true }).optional(),
};

/** A kit as its own leaflet has it: nothing of it is built in. */
export const Kit = z.object({
  volume: typedOf('volume', { title: 'Sample volume', units: ['mL', 'L'], min: 1e-7, max: 0.01 }),
  drops: z
    .number({ error: 'A whole number.' })
    .int({ error: 'A whole number.' })
    .min(1, { error: 'At least 1.' })
    .max(200, { error: 'At most 200.' })
    .meta({ title: 'Drops of the reagent' }),
  shades: z
    .array(
      z.object({
        shade: z.string().trim().min(1, { error: 'What does it look like?' }).max(60).meta({ title: 'Shade' }),
        value: typedOf('concentration', { title: 'Concentration', units: ['mg/L', 'ug/L'], min: 0, max: 100 }),
      }),
    )
    .min(2, { error: 'Two shades at least.' })
    .max(20, { error: 'Twenty shades at most.' })
    .refine((shades) => new Set(shades.map(({ value }) => base(value))).size === shades.length, { error: 'Two shades tell the same.' }),
});
export type Kit = z.infer<typeof Kit>;

const noLot = 'Choose the reagent lot, or tick below that something was otherwise.';

const begun = z.object({
  ...made,
  lot: z
    .object({
      id: Id.optional(),
      name: z.string().trim().max(120).default(''),
      lot: z.string().trim().min(1, { error: 'Write down its lot.' }).max(80).meta({ title: 'Lot' }),
      expires: z.iso.date({ error: 'A date such as 2027-03-31.' }).meta({ title: 'Expires on' }),
    })
    .optional(),
  /** The sample was made up to so many parts with water that has none of it; 1 where it was not. */
  parts: z
    .number({ error: 'A whole number.' })
    .int({ error: 'A whole number.' })
    .min(1, { error: 'At least 1: not diluted.' })
    .max(1000, { error: 'At most 1000.' })
    .meta({ title: 'Made up to how many parts' })
    .default(1),
  /** What was not as the method asks: no fresh zero, a wet cuvette, a lot out of date. */
  otherwise: reason.meta({ title: 'What was otherwise' }).optional(),
});

/** The reagent went in: from the entry's time on its clock runs. */
export const testBegun = entryKind(
  'field-test-begun',
  'Field test begun',
  begun.extend({ kit: Kit.optional() }).superRefine(({ method: by, kit, lot, otherwise }, issues) => {
    const { asksKit, reagent } = method(by);
    if (asksKit && !kit) issues.addIssue({ code: 'custom', path: ['kit'], message: 'Copy the chart from the kit’s own leaflet.' });
    // A reagent of which nobody knows the lot may be out of date, or of another test.
    if (reagent && !lot && !otherwise) issues.addIssue({ code: 'custom', path: ['lot'], message: noLot });
  }),
  // At first the shades of a chart were built in, and a reagent needed no lot.
  { ...written, earlier: [{ payload: begun, upgrade: (before: unknown) => before }] },
);

/** What was read: a number, more than the range shows, or a step of a chart and the one up to which it may be. */
export const Shown = z.discriminatedUnion('is', [
  z.object({ is: z.literal('number'), reading: Typed }),
  z.object({ is: z.literal('over') }),
  z
    .object({ is: z.literal('class'), from: z.number(), to: z.number() })
    .refine(({ from, to }) => from <= to, { path: ['to'], error: 'It ends before it begins.' }),
]);
export type Shown = z.infer<typeof Shown>;

export const testRead = entryKind(
  'field-test-read',
  'Field test read',
  z.object({
    ...made,
    /** The test that was begun; left out where nothing had to be waited for. */
    test: Id.optional(),
    shown: Shown,
    /** Conductivity: whether the meter states it at 25 °C. */
    compensation: z.enum(['meter', 'none']).meta({ title: 'Does the meter state it at 25 °C?' }).optional(),
    temperature: typedOf('temperature', { title: 'Temperature of the water', units: ['degC', 'degF'], min: -2, max: 60 }).optional(),
    elevation: typedOf('length', { title: 'Above the sea', units: ['m', 'ft'], min: -500, max: 6000 }).optional(),
    /** Why it departs from the method: read too early or too late. */
    departure: reason.meta({ title: 'Why' }).optional(),
    /** Why a reading that was asked about stands. */
    kept: reason.meta({ title: 'If it is right, say why' }).optional(),
  }),
  written,
);

/** A test came to nothing, and why. */
export const testDropped = entryKind(
  'field-test-dropped',
  'Field test given up',
  z.object({ test: Id, reason: reason.meta({ title: 'Why' }) }),
  written,
);
