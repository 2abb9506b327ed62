import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { typedOf } from '../units/index.ts';

export const bottleConditions = { good: 'Good', leaking: 'Leaking', underfilled: 'Under-filled', unsealed: 'Not sealed' } as const;
export type BottleCondition = keyof typeof bottleConditions;

const required = (title: string, message: string) => z.string().trim().min(1, { error: message }).max(120).meta({ title });

/** A name as a keyboard without accents has it. */
const plainName = (name: string) => name.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim();

/** A signed hand-over. The signature is the released-by name, typed; the entry's place in the chain seals it. */
export const handedOver = entryKind(
  'handed-over',
  'Handed over',
  z
    .object({
      /** The lab of the register, or in words who takes them where the round has none. */
      to: required('To which lab, or whom', 'To whom?'),
      releasedBy: required('Released by', 'Who hands over?'),
      receivedBy: required('Taken by', 'Who takes it?'),
      coolerTemperature: typedOf('temperature', { title: 'In the cooler now', units: ['degC', 'degF'], min: -30, max: 60 }),
      seal: z.string().trim().max(40).meta({ title: 'Seal number' }).default(''),
      bottles: z
        .array(
          z.object({
            bottle: z.string().min(1).max(60),
            condition: z.enum(Object.keys(bottleConditions) as [BottleCondition]),
          }),
        )
        .max(2000)
        .min(1, { error: 'No bottle is in the cooler.' }),
      signature: required('Signature', 'Sign with your name.'),
    })
    .refine((form) => plainName(form.signature) === plainName(form.releasedBy), {
      path: ['signature'],
      error: 'Sign with the name of the person who hands over.',
    }),
  { stands: 'in-book', by: [...field, 'courier'], correction: 'replace' },
);

/** What the lab's intake desk answered to one hand-over, bottle by bottle. Written by the server only. */
export const labAnswered = entryKind(
  'lab-answered',
  'Lab answered',
  z.object({
    handOver: Id,
    reference: z.string().min(1).max(60),
    bottles: z.array(z.object({ bottle: z.string().max(60), accepted: z.boolean(), reason: z.string().max(300).optional() })).max(2000),
  }),
  { stands: 'in-book', by: ['server'], madeBy: 'server' },
);
