import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { Position } from '../registers/index.ts';
import { field } from '../roles/index.ts';

/** Where a day begins and where the lab is, among the points that it goes to. */
export const startPlace = 'start';
export const labPlace = 'lab';

/** A drive of which somebody knows how long it takes, in either direction. */
export const KnownDrive = z.object({
  /** The points, or where the day begins, or the lab. */
  ends: z.tuple([z.string().min(1).max(40), z.string().min(1).max(40)]),
  /** In s. */
  lasts: z
    .number()
    .min(0, { error: 'Cannot be negative.' })
    .max(36_000, { error: 'Cannot be more than 10 hours.' })
    .meta({ title: 'On the road', units: ['min'] }),
});
export type KnownDrive = z.infer<typeof KnownDrive>;

/** A place where bottles are left for the lab, by its name there; the lab's own door where it is left out. */
const at = z.string().min(1).max(120).meta({ title: 'Bring it to' }).optional();

/** How the day of a round is driven. */
export const DaySettings = z.object({
  start: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'A time such as 08:00.' })
    .meta({ title: 'Set out not before' }),
  /** Where the day begins; at the lab's door where it is left out. */
  from: Position.optional(),
  /** On the roads of the region, in m/s. */
  speed: z
    .number()
    .min(1.3, { error: 'Slower than on foot.' })
    .max(40, { error: 'Faster than any van.' })
    .meta({ title: 'Usual speed', units: ['km/h', 'mph'] }),
  /** How much longer the road is than the straight line. */
  roadFactor: z
    .number()
    .min(1, { error: 'A road is never shorter than the straight line.' })
    .max(4)
    .meta({ title: 'Road, times the straight line', units: ['1'] }),
  /** A pause at noon, in s. */
  lunch: z
    .number()
    .min(0, { error: 'Cannot be negative.' })
    .max(7200, { error: 'Cannot be more than two hours.' })
    .meta({ title: 'Pause at noon', units: ['min'] })
    .optional(),
  /** Work out of doors between sunrise and sunset alone. */
  byDaylight: z.boolean().meta({ title: 'Light' }).optional(),
  /** Drives that are known better than by the straight line. */
  drives: z.array(KnownDrive).max(500).optional(),
  at,
  /** What is in the cooler after a visit is brought in before the day goes on. */
  midway: z.object({ after: Id, at }).optional(),
});
export type DaySettings = z.infer<typeof DaySettings>;

const payload = DaySettings.extend({
  order: z
    .array(Id)
    .min(1)
    .max(200)
    .refine((order) => new Set(order).size === order.length, { error: 'A visit stands there twice.' }),
});

/** The visits of a round in the order in which the day goes to them. */
export const dayPlanned = entryKind('day-planned', 'Order of the day', payload, {
  stands: 'in-book',
  by: field,
  correction: 'strike',
  // What came since may be left out.
  earlier: [{ payload, upgrade: (before: z.infer<typeof payload>) => before }],
});
