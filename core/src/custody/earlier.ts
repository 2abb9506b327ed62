import { z } from 'zod';
import { Id } from '../book/index.ts';
import { typedOf } from '../units/index.ts';
import { plainName, type Party } from './party.ts';

const required = z.string().trim().min(1).max(120);

/** A hand-over as it was while there was one cooler and one leg, from the sampler to the lab. */
export const FirstHandOver = z
  .object({
    to: required,
    releasedBy: required,
    receivedBy: required,
    coolerTemperature: typedOf('temperature', { units: ['degC', 'degF'], min: -30, max: 60 }),
    seal: z.string().trim().max(40).default(''),
    bottles: z
      .array(z.object({ bottle: z.string().min(1).max(60), condition: z.enum(['good', 'leaking', 'underfilled', 'unsealed']) }))
      .max(2000)
      .min(1),
    signature: required,
  })
  .refine((form) => plainName(form.signature) === plainName(form.releasedBy), { path: ['signature'] });

/** It named the lab by its book, or where the round had none, whoever took it. */
const toParty = (to: string): Party => (Id.safeParse(to).success ? { as: 'lab', name: '', lab: to } : { as: 'lab', name: to });

export const fromFirst = ({ to, releasedBy, receivedBy, coolerTemperature, seal, bottles, signature }: z.infer<typeof FirstHandOver>) => ({
  from: { as: 'person' as const, name: releasedBy },
  to: toParty(to),
  takenBy: receivedBy,
  boxes: [{ box: '', name: 'Cooler', temperature: coolerTemperature, cooling: false, seal, sealIs: 'whole' as const }],
  bottles: bottles.map((line) => ({ ...line, box: '' })),
  left: [],
  counted: bottles.length,
  signed: { name: signature },
  foretold: [],
});
