import { z } from 'zod';
import { FollowUp } from '../act/index.ts';
import { Ask } from '../book/index.ts';
import { stages } from '../bottles/index.ts';
import { Party, WaitingBottle } from '../custody/index.ts';
import { RunningClock } from '../tap/index.ts';

/** The rooms a step may belong to, as the page addresses them. */
export const stepRooms = [
  'arrive',
  'level',
  'purge',
  'tap',
  'fieldtests',
  'fill',
  'pictures',
  'plan',
  'prepare',
  'kit',
  'custody',
  'culture',
  'report',
  'verdict',
] as const;
export type StepRoom = (typeof stepRooms)[number];

export const NextStep = Ask.extend({
  room: z.enum(stepRooms),
  /** The visit it happens at; null when it concerns the whole round. */
  visit: z.string().nullable(),
});
export type NextStep = z.infer<typeof NextStep>;

/** A clock that runs at a visit. */
export const VisitClock = RunningClock.omit({ procedure: true }).extend({
  /** Where it is looked after. */
  room: z.enum(['tap', 'purge', 'fieldtests', 'culture']),
  /** The run it is of; null for anything else. */
  procedure: z.string().nullable(),
  /** Null for what stands on the own bench. */
  visit: z.string().nullable(),
  pointName: z.string(),
});
export type VisitClock = z.infer<typeof VisitClock>;

/** A bottle in the cooler, with the point it is of. */
export const BottleInCooler = WaitingBottle.extend({ pointName: z.string() });
export type BottleInCooler = z.infer<typeof BottleInCooler>;

/**
 * Bottles that somebody else has on their way: who, how many, since when the first of them, and by when the first has to be at its lab
 * (ms; null where none of them has a holding time).
 */
export const HeldBottles = Party.pick({ as: true, name: true }).extend({
  count: z.number().int(),
  since: z.number(),
  deadline: z.number().nullable(),
});
export type HeldBottles = z.infer<typeof HeldBottles>;

/** Bottles of which a lab has not reported all, and from when on (ms) it may be asked; `code` is what the lab calls a bottle. */
export const ResultsExpected = z.object({
  lab: z.string(),
  from: z.number(),
  /** What the lab calls the delivery; empty where it said nothing. */
  reference: z.string(),
  bottles: z.array(z.object({ bottle: z.string(), code: z.string().nullable() })),
});
export type ResultsExpected = z.infer<typeof ResultsExpected>;

/** One round in short: what is next, what runs, what waits, what is due. */
export const RoundOverview = z.object({
  name: z.string(),
  code: z.string(),
  date: z.string(),
  zone: z.string(),
  system: z.string(),
  points: z.array(z.object({ name: z.string(), type: z.enum(['well', 'tap']) })),
  stages: z.array(z.enum(stages)),
  next: NextStep.nullable(),
  /** Whether anything was measured or taken yet. */
  isBegun: z.boolean(),
  nextPoint: z.string().nullable(),
  clocks: z.array(VisitClock),
  waiting: z.array(BottleInCooler),
  held: z.array(HeldBottles),
  followUps: z.array(FollowUp),
  expected: z.array(ResultsExpected),
});
export type RoundOverview = z.infer<typeof RoundOverview>;
