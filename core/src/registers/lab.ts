import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { isZone } from '../time/index.ts';
import { Position } from './position.ts';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'A time such as 16:30.' });

const degrees = z.number().meta({ units: ['degC'] });

/** Hours in which a lab takes samples in; `weekday` 1 is Monday (ISO 8601). */
export const IntakeHours = z.object({
  weekday: z.number().int().min(1).max(7).meta({ title: 'Day' }),
  opens: time.meta({ title: 'Opens' }),
  closes: time.meta({ title: 'Closes' }),
});

const rules = {
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
};

/** A day on which it takes nothing in, whatever the weekday. */
export const ClosedDay = z.object({
  date: z.iso.date({ error: 'A date such as 2026-12-25.' }).meta({ title: 'Day' }),
  name: z.string().trim().min(1, { error: 'Say why.' }).max(80).meta({ title: 'Why' }),
});
export type ClosedDay = z.infer<typeof ClosedDay>;

/** A lab's own acceptance rules. They are the lab's data, never constants of the product. */
export const Lab = z.object({
  ...rules,
  /** Where its door is. */
  position: Position.optional(),
  /** Holidays and days of its own. */
  closedDays: z.array(ClosedDay).max(400).default([]),
  /** Labs that take its samples where it is shut, the first to be asked first. */
  backUps: z.array(Id).max(5).meta({ title: 'Where it is shut' }).optional(),
});
export type Lab = z.infer<typeof Lab>;

/** A lab as it was registered before it had a place and holidays. */
export const FirstLab = z.object(rules);
export const labFromFirst = (lab: z.infer<typeof FirstLab>): Lab => ({ ...lab, closedDays: [] });

export const labRegistered = entryKind('lab-registered', 'Lab registered', Lab, {
  stands: 'in-book',
  by: ['coordinator'],
  earlier: [{ payload: FirstLab, upgrade: labFromFirst }],
});
