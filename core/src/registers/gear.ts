import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import type { Finding } from '../findings/index.ts';
import { ParameterId } from '../parameters/index.ts';
import { field } from '../roles/index.ts';
import { instrumentKinds } from './tables/instrument-kinds.ts';

export type InstrumentKind = keyof typeof instrumentKinds;
export const instrumentKindIds = Object.keys(instrumentKinds) as [InstrumentKind, ...InstrumentKind[]];
export const instrumentKind = (kind: InstrumentKind): { name: string } => instrumentKinds[kind];

const name = z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Name' });
const short = (title: string) => z.string().trim().min(1).max(80).meta({ title });

/** An instrument that is checked before it is used. */
export const Instrument = z.object({
  /** Its own book. */
  id: Id,
  name,
  kind: z.enum(instrumentKindIds).meta({ title: 'Which kind' }),
  serial: short('Serial number').optional(),
  /** Between which values it may be used, each in the parameter's own unit. */
  ranges: z
    .array(
      z
        .object({
          parameter: ParameterId.meta({ title: 'Measures' }),
          from: z.number().meta({ title: 'From' }),
          to: z.number().meta({ title: 'To' }),
        })
        .refine(({ from, to }) => from < to, { path: ['to'], error: 'It ends before it begins.' }),
    )
    .max(40)
    .optional(),
  /** It is not used now, and why. */
  outOfUse: z.string().trim().max(300).meta({ title: 'Out of use, and why' }).optional(),
});
export type Instrument = z.infer<typeof Instrument>;
const plainSerial = (serial: string) => serial.replace(/[^\p{L}\p{N}]/gu, '').toLowerCase();

/** Whether an instrument of the same serial number is registered already: then it is that one, and its checks stand there. */
export function questionSerial({ id, serial, kind }: Instrument, others: readonly Instrument[]): Finding[] {
  if (!serial) return [];
  const same = others.find(
    (one) => one.id !== id && one.kind === kind && one.serial !== undefined && plainSerial(one.serial) === plainSerial(serial),
  );
  return same ? [{ code: 'serial-known', severity: 'question', field: 'serial', data: { name: same.name } }] : [];
}

export const instrumentRegistered = entryKind('instrument-registered', 'Instrument registered', Instrument, {
  stands: 'in-book',
  by: field,
  // What came since may be left out.
  earlier: [{ payload: Instrument, upgrade: (instrument: Instrument) => instrument }],
});

const date = z.iso.date({ error: 'A date such as 2027-03-31.' });

/** A bottle, box or pack of a standard or reagent, by its lot. */
export const Lot = z.object({
  id: Id,
  name,
  use: z.enum(['standard', 'reagent']).meta({ title: 'What it is' }),
  lot: short('Lot'),
  expires: date.meta({ title: 'Expires on' }),
  /** Of a standard: what it is a standard of, and its value in the parameter's own unit. */
  parameter: ParameterId.meta({ title: 'For' }).optional(),
  nominal: z.number().meta({ title: 'Nominal value' }).optional(),
  /** Tests or checks that are left in it, where it is counted. */
  left: z.number().int().min(0, { error: 'Cannot be negative.' }).max(100_000).meta({ title: 'Tests left' }).optional(),
});
export type Lot = z.infer<typeof Lot>;
export const lotRegistered = entryKind('lot-registered', 'Standard or reagent registered', Lot, { stands: 'in-book', by: field });

/** A cool box, and the vehicle it rides in. */
export const Box = z.object({
  id: Id,
  name,
  /** What it holds, in m³. */
  holds: z
    .number()
    .positive({ error: 'Must be more than 0.' })
    .max(2, { error: 'Cannot be more than 2000 L.' })
    .meta({ title: 'Holds', units: ['L', 'gal'] }),
  vehicle: short('Vehicle').optional(),
});
export type Box = z.infer<typeof Box>;
export const boxRegistered = entryKind('box-registered', 'Box registered', Box, { stands: 'in-book', by: field });
