import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { gearIds } from '../bottles/index.ts';
import { Box, Instrument, instrumentKindIds } from '../registers/index.ts';
import { field, samplers } from '../roles/index.ts';
import { Instant } from '../time/index.ts';
import { Typed } from '../units/index.ts';
import { checkIds } from './check.ts';
import { packIds } from './packing.ts';

const words = (title: string) => z.string().trim().max(300).meta({ title });
const why = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why' });
const inBook = { stands: 'in-book', by: field, correction: 'replace' } as const;

const checked = z.object({
  instrument: Instrument.pick({ id: true, name: true, kind: true, serial: true }),
  check: z.enum(checkIds),
  standard: z
    .object({
      name: words('Standard'),
      lot: z.string().trim().min(1, { error: 'Write down its lot.' }).max(80).meta({ title: 'Lot' }),
      expires: z.iso.date({ error: 'A date such as 2027-03-31.' }).meta({ title: 'Expires on' }),
    })
    .optional(),
  nominal: Typed.meta({ title: 'Should read' }).optional(),
  reading: Typed.meta({ title: 'Reads' }).optional(),
  isGood: z.boolean().meta({ title: 'Is it so?' }).optional(),
  /** It was adjusted since the check before. */
  isAdjusted: z.boolean().default(false),
});

/** An instrument was checked. The book carries what it was and with which standard, so that it proves it alone. */
export const instrumentChecked = entryKind(
  'instrument-checked',
  'Instrument checked',
  checked.extend({
    /** It was made in another round: where and when. */
    taken: z.object({ round: Id, entry: Id, at: Instant }).optional(),
  }),
  {
    ...inBook,
    // At first every round had its own checks.
    earlier: [{ payload: checked, upgrade: (before: unknown) => before }],
  },
);

/** An instrument is used although it failed, or was not checked. */
export const checkOverridden = entryKind(
  'check-overridden',
  'Used without a good check',
  z.object({ kind: z.enum(instrumentKindIds), reason: why }),
  inBook,
);

/** Something of the packing list was put into the van, or taken out again. */
export const kitTicked = entryKind('kit-ticked', 'Packed', z.object({ item: z.enum(packIds), isPacked: z.boolean() }), {
  stands: 'in-book',
  by: samplers,
});

/** Whether gear and clothes are as a bottle asks. */
export const gearChecked = entryKind('gear-checked', 'Gear looked at', z.object({ gear: z.enum(gearIds), isSo: z.boolean() }), {
  stands: 'in-book',
  by: samplers,
});

export const callAnswers = ['yes', 'no', 'nobody'] as const;

/** Somebody was called before the round. */
export const callMade = entryKind(
  'call-made',
  'Called',
  z.object({
    /** The point whose contact it was; left out for the lab. */
    point: Id.optional(),
    whom: z.string().trim().min(1).max(120),
    answer: z.enum(callAnswers).meta({ title: 'Answer' }),
    words: words('What they said').default(''),
  }),
  inBook,
);

/** Bottles were put into a box, or taken out of any where there is none. */
export const bottlesBoxed = entryKind(
  'bottles-boxed',
  'Put into a box',
  z.object({
    box: Box.pick({ id: true, name: true, holds: true }).nullable(),
    bottles: z.array(z.string().min(1).max(60)).min(1, { error: 'There is no bottle to put into it.' }).max(2000),
  }),
  { stands: 'in-book', by: samplers, correction: 'strike' },
);
