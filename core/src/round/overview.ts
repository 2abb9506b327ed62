import type { FollowUp } from '../act/index.ts';
import type { RoundState } from './fold.ts';
import { nextStep, type NextStep } from './next.ts';
import type { Stage } from './bottle.ts';

/** A clock that runs now: a step of a protocol that must last. */
export interface RunningClock {
  visit: string;
  pointName: string;
  procedure: string;
  say: string;
  /** When it was started (ms) and how many seconds it must run, and may; null where there is no most. */
  from: number;
  least: number;
  most: number | null;
}

/** A filled bottle that waits for the lab. */
export interface WaitingBottle {
  bottle: string;
  pointName: string;
  deadline: number;
}

/** One round in short: what is next, what runs, what waits, what is due. */
export interface RoundOverview {
  name: string;
  code: string;
  date: string;
  zone: string;
  system: string;
  points: { name: string; type: 'well' | 'tap' }[];
  stages: Stage[];
  next: NextStep | null;
  nextPoint: string | null;
  clocks: RunningClock[];
  waiting: WaitingBottle[];
  followUps: FollowUp[];
}

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
