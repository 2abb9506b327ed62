import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { isZone } from '../time/index.ts';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'A time such as 16:30.' });

const degrees = z.number().meta({ units: ['degC'] });

/** Hours in which a lab takes samples in; `weekday` 1 is Monday (ISO 8601). */
export const IntakeHours = z.object({
  weekday: z.number().int().min(1).max(7).meta({ title: 'Day' }),
  opens: time.meta({ title: 'Opens' }),
  closes: time.meta({ title: 'Closes' }),
});

/** A lab's own acceptance rules. They are the lab's data, never constants of the product. */
export const Lab = z.object({
  /** The lab's own book. */
  id: Id,
  name: z.string().trim().min(1).max(120).meta({ title: 'Name' }),
  zone: z.string().refine(isZone, { error: 'Not a time zone this device knows.' }).meta({ title: 'Time zone of its clock' }),
  intake: z.array(IntakeHours).max(50),
  /** Earlier closing for bacteria, by weekday; a weekday with null takes none. */
  bacteriaCloses: z.record(z.string().max(20), time.nullable()).default({}),
  /** Warmest and coldest cooler in °C per temperature class of bottle. */
  temperature: z.record(z.string().max(40), z.object({ least: degrees, most: degrees })),
  /** Hours from collection to receipt per bottle rule, where the lab is stricter than the rule. */
  holding: z.record(z.string().max(40), z.number().positive()).default({}),
  asksForSeal: z.boolean().default(false),
  source: z.string().max(300).meta({ title: 'Where these rules stand' }).default(''),
});
export type Lab = z.infer<typeof Lab>;

export const labRegistered = entryKind('lab-registered', 'Lab registered', Lab, { stands: 'in-book', by: ['coordinator'] });
