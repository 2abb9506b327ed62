import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { isZone } from '../time/index.ts';
import { UnitId } from '../units/index.ts';

const column = z.number().int().min(0).max(499);

/** How the moments of a file become instants: its clock stands at one distance from UTC, goes with a wall clock, or says it each time. */
export const LoggerClock = z.discriminatedUnion(
  'goes',
  [
    z.object({
      goes: z.literal('fixed'),
      /** Minutes ahead of UTC. */
      offset: z.number().int().min(-720).max(840).meta({ title: 'Ahead of UTC' }),
    }),
    z.object({
      goes: z.literal('wall'),
      zone: z.string().refine(isZone, { error: 'There is no such zone.' }).meta({ title: 'Wall clock of' }),
    }),
    z.object({ goes: z.literal('written') }),
  ],
  { error: 'Say how its clock goes.' },
);
export type LoggerClock = z.infer<typeof LoggerClock>;

export const dateOrders = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof dateOrders)[number];

/** A kept file of readings through time, and the one way in which it is read. Columns are counted from 0. */
export const Recording = z
  .object({
    sha256: z.string().regex(/^[0-9a-f]{64}$/),
    name: z.string().trim().min(1).max(200).meta({ title: 'File' }),
    date: column.meta({ title: 'Date' }),
    /** Where the time of the day has a column of its own. */
    time: column.meta({ title: 'Time' }).optional(),
    order: z.enum(dateOrders).meta({ title: 'Dates are written' }),
    clock: LoggerClock,
    /** Seconds by which its clock was ahead all the time; negative where it was behind. */
    ahead: z
      .number()
      .min(-172_800)
      .max(172_800)
      .meta({ title: 'Its clock was ahead by', units: ['s', 'min'] })
      .default(0),
    value: column.meta({ title: 'Reading' }),
    decimals: z.enum(['point', 'comma']).meta({ title: 'Decimals are marked by' }),
    unit: UnitId.meta({ title: 'Unit' }),
  })
  .refine(({ date, time, value }) => value !== date && value !== time, { path: ['value'], error: 'That column is the date or time.' });
export type Recording = z.infer<typeof Recording>;

/** What a logger in a well records. */
export const recordedAs = ['absolute', 'gauge', 'head', 'depth'] as const;
export type RecordedAs = (typeof recordedAs)[number];

/** What a file of readings through time holds: water as a logger in a well says it, the air beside it, or how cold a box is. */
export const seriesKinds = [...recordedAs, 'air', 'cold'] as const;
export type SeriesKind = (typeof seriesKinds)[number];

/** Units in which each can be recorded. */
export const recordedUnits = (shows: SeriesKind): 'pressure' | 'length' | 'temperature' =>
  shows === 'cold' ? 'temperature' : shows === 'head' || shows === 'depth' ? 'length' : 'pressure';

const moment = z.iso.datetime({ offset: true, error: 'A date with its time.' });

/** What a logger recorded while it hung in a well, and how levels are made of it. */
export const LoggerRecord = z
  .object({
    /** Its own book. */
    id: Id,
    /** Serial number, or what it is called. */
    name: z.string().trim().min(1, { error: 'Say which logger.' }).max(80).meta({ title: 'Which logger' }),
    point: Id,
    /** Measuring point below which depths are told. */
    mark: z.string().min(1, { error: 'Say below which mark.' }).max(80).meta({ title: 'Depths below' }),
    shows: z.enum(recordedAs).meta({ title: 'It recorded' }),
    water: Recording,
    /** Pressure of the air at the same time: what a logger without a vent feels as well. */
    air: Recording.optional(),
    /** kg/m³. */
    density: z
      .number()
      .min(990, { error: 'Lighter than any water here: between 990 and 1100 kg/m³.' })
      .max(1100, { error: 'Heavier than sea water: between 990 and 1100 kg/m³.' })
      .meta({ title: 'Density of the water', units: ['kg/m3'] })
      .default(999.7),
    line: z.enum(['constant', 'line']).meta({ title: 'Held to levels by hand' }),
    /** Depth of its sensor below the mark, where no level by hand lies within its time. */
    hangs: z
      .number()
      .min(0, { error: 'Cannot be negative.' })
      .max(2000)
      .meta({ title: 'It hangs below the mark', units: ['m', 'ft'] })
      .optional(),
    /** It hung in the well from and to here; before and after are left out. */
    from: moment.optional(),
    to: moment.optional(),
    /** Levels by hand (ms) that it is not held to, and why. */
    without: z
      .array(z.object({ at: z.number(), why: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(200) }))
      .max(200)
      .default([]),
    outOfUse: z.string().trim().max(300).meta({ title: 'Not used any more, and why' }).optional(),
  })
  .superRefine((record, issues) => {
    const { shows, water, air, from, to } = record;
    const refuse = (path: string[], message: string) => issues.addIssue({ code: 'custom', path, message });
    if (shows === 'absolute' && !air)
      refuse(['air'], 'A pressure that is not vented has that of the air in it: bring in its record as well.');
    if (shows !== 'absolute' && air) refuse(['air'], 'Only a pressure that is not vented has that of the air in it.');
    if (air && air.sha256 === water.sha256 && air.value === water.value)
      refuse(['air', 'value'], 'That is the reading of the water itself.');
    if (from && to && Date.parse(to) <= Date.parse(from)) refuse(['to'], 'It ends before it begins.');
  });
export type LoggerRecord = z.infer<typeof LoggerRecord>;

export const loggerRegistered = entryKind('logger-registered', 'Logger record', LoggerRecord, {
  stands: 'in-book',
  by: field,
  files: ({ water, air }) => [water.sha256, ...(air ? [air.sha256] : [])],
});
