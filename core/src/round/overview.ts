import { z } from 'zod';
import { FollowUp } from '../act/index.ts';
import { stages } from '../bottles/index.ts';
import { custodyRoom, WaitingBottle } from '../custody/index.ts';
import { runRoom, RunningClock } from '../tap/index.ts';
import type { RoundState } from './fold.ts';
import { NextStep, nextStep, viewOf } from './next.ts';

/** A clock that runs at a visit. */
export const VisitClock = RunningClock.extend({ visit: z.string(), pointName: z.string() });
export type VisitClock = z.infer<typeof VisitClock>;

/** A bottle in the cooler, with the point it is of. */
export const BottleInCooler = WaitingBottle.extend({ pointName: z.string() });
export type BottleInCooler = z.infer<typeof BottleInCooler>;

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
  nextPoint: z.string().nullable(),
  clocks: z.array(VisitClock),
  waiting: z.array(BottleInCooler),
  followUps: z.array(FollowUp),
});
export type RoundOverview = z.infer<typeof RoundOverview>;

/** A round in short, for the first page and the list of rounds. */
export function overview(round: RoundState): RoundOverview {
  const next = nextStep(round);
  const nameOf = (visit: string | null) => round.visits.find((candidate) => candidate.id === visit)?.name ?? null;
  const clocks = round.visits.flatMap((visit) =>
    runRoom.waiting!(viewOf(visit)).map((clock) => ({ ...clock, visit: visit.id, pointName: visit.name })),
  );
  const waiting = custodyRoom.waiting!(round).map((one) => ({ ...one, pointName: nameOf(one.visit) ?? '' }));
  const { name, code, date, zone, system } = round.plan;
  return {
    name,
    code,
    date,
    zone,
    system,
    next,
    nextPoint: nameOf(next?.visit ?? null),
    clocks,
    points: round.visits.map((visit) => ({ name: visit.name, type: visit.point.type })),
    stages: round.bottles.filter((bottle) => !bottle.lost).map((bottle) => bottle.stage),
    waiting: waiting.sort((a, b) => a.deadline - b.deadline),
    followUps: round.followUps.filter((action) => !action.done),
  };
}
