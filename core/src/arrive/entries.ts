import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { hazardIds } from '../registers/index.ts';
import { samplers } from '../roles/index.ts';
import { faultIds } from './fitness.ts';

const words = (title: string) => z.string().trim().max(300).meta({ title });
const change = { stands: 'at-visit', by: samplers, correction: 'replace' } as const;

/** Somebody looked round for what may hurt before anything was touched. */
export const riskChecked = entryKind(
  'risk-checked',
  'Looked round',
  z.object({
    /** What may hurt here today; nothing where it is empty. */
    hazards: z.array(z.enum(hazardIds)).max(hazardIds.length),
    /** By whose leave one goes on where a hazard stops the work: permit, second person, gas meter. */
    permit: words('By whose permit, and who is the second person').optional(),
    /** The work is not begun. */
    left: z.boolean().default(false),
  }),
  change,
);

/** What was seen of the place, before anything was opened. */
export const fitnessJudged = entryKind(
  'fitness-judged',
  'Place looked at',
  z.object({
    found: z
      .array(z.object({ fault: z.enum(faultIds), isDone: z.boolean() }))
      .max(faultIds.length)
      .refine((found) => new Set(found.map(({ fault }) => fault)).size === found.length, { error: 'A fault stands there twice.' }),
    /** What else was odd, for whoever comes next. */
    odd: words('What else is odd here').default(''),
  }),
  change,
);

/** The place was left as it was found. */
export const placeRestored = entryKind(
  'place-restored',
  'Left as found',
  z.object({
    /** What could not be put back, and who was told. */
    open: words('What could not be put back, and who knows').default(''),
  }),
  change,
);
