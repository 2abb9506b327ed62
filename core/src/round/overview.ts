import { z } from 'zod';
import { FollowUp } from '../act/index.ts';
import { stages } from './bottle.ts';
import type { RoundState } from './fold.ts';
import { NextStep, nextStep } from './next.ts';

/** A clock that runs now: a step of a protocol that must last. */
export const RunningClock = z.object({
  visit: z.string(),
  pointName: z.string(),
  procedure: z.string(),
  say: z.string(),
  /** When it was started (ms) and how many seconds it must run, and may; null where there is no most. */
  from: z.number(),
  least: z.number(),
  most: z.number().nullable(),
});
export type RunningClock = z.infer<typeof RunningClock>;

/** A filled bottle that waits for the lab; its deadline in ms. */
export const WaitingBottle = z.object({ bottle: z.string(), pointName: z.string(), deadline: z.number() });
export type WaitingBottle = z.infer<typeof WaitingBottle>;

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
  clocks: z.array(RunningClock),
  waiting: z.array(WaitingBottle),
  followUps: z.array(FollowUp),
});
export type RoundOverview = z.infer<typeof RoundOverview>;

/** A round in short, for the first page and the list of rounds. */
export function overview(round: RoundState): RoundOverview {
  const next = nextStep(round);
  const nameOf = (visit: string | null) => round.visits.find((candidate) => candidate.id === visit)?.name ?? null;
  const clocks = round.visits.flatMap((visit) =>
    visit.runs.flatMap(({ procedure, now }): RunningClock[] => {
      if (!now || now.step.act.type !== 'clock' || now.clockFrom === null) return [];
      const { least, most = null } = now.step.act;
      return [{ visit: visit.id, pointName: visit.name, procedure, say: now.step.say, from: now.clockFrom, least, most }];
    }),
  );
  const waiting = round.bottles.flatMap((bottle): WaitingBottle[] =>
    bottle.stage === 'filled' && !bottle.lost && bottle.holding
      ? [{ bottle: bottle.id, pointName: nameOf(bottle.visit) ?? '', deadline: bottle.holding.deadline }]
      : [],
  );
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
