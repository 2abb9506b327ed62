import { z } from 'zod';
import { Ask } from '../book/index.ts';
import { purpose } from '../bottles/index.ts';
import { askFill } from '../fill/index.ts';
import { askLevel } from '../level/index.ts';
import { askPurge } from '../purge/index.ts';
import { isToRead } from '../read/index.ts';
import { askRun, isOver } from '../tap/index.ts';
import type { BottleState } from './bottle.ts';
import type { RoundState } from './fold.ts';
import { runsOf, runThatFills } from './protocol.ts';
import type { VisitState } from './visit.ts';

/** The rooms a step may belong to, as the page addresses them. */
export const stepRooms = ['plan', 'level', 'purge', 'tap', 'fill', 'pictures', 'custody', 'report', 'verdict'] as const;
export type StepRoom = (typeof stepRooms)[number];

export const NextStep = Ask.extend({
  room: z.enum(stepRooms),
  /** The visit it happens at; null when it concerns the whole round. */
  visit: z.string().nullable(),
  /** The run it is a step of, where there may be several. */
  procedure: z.string().optional(),
});
export type NextStep = z.infer<typeof NextStep>;

/** What comes next at one visit before its bottles are full; null when nothing is left to do there. */
export function nextAtVisit(visit: VisitState): NextStep | null {
  const at = (room: StepRoom, ask: Ask | null): NextStep | null => ask && { room, visit: visit.id, ...ask };
  const { analyses, level, purge, point, bottles } = visit;
  if (analyses.length === 0 && point.type === 'tap') return at('plan', { code: 'choose-analyses' });
  const measure = level && at('level', askLevel(level));
  // A well without analyses is visited for its level alone.
  if (measure || analyses.length === 0) return measure;
  const pumping = purge && at('purge', askPurge(purge));
  if (pumping) return pumping;
  // Blanks first: nothing of the point's water may have been about.
  const blanks = at(
    'fill',
    askFill(
      bottles.filter((bottle) => !purpose(bottle.purpose).isWater),
      'fill-blanks',
    ),
  );
  if (blanks) return blanks;
  const due = runsOf(visit).find(({ run }) => !run || !isOver(run));
  const step = due && at('tap', askRun(due.protocol, due.run));
  if (step) return { ...step, procedure: due.procedure };
  // What a run was to fill and did not is no longer asked for: the run is over.
  return at('fill', askFill(bottles.filter((bottle) => runThatFills(visit, bottle)?.run?.finished !== false)));
}

/** What comes next in a round, in the order of the work; null when it is done. What waits for a clock lets others come first. */
export function nextStep(round: RoundState): NextStep | null {
  // Of a round that was given up only what is out already asks for something.
  const steps = round.givenUp ? [] : round.visits.flatMap((visit) => nextAtVisit(visit) ?? []);
  const first = steps.find((step) => !step.waits) ?? steps[0];
  if (first) return first;
  const step = (room: StepRoom, code: string, count = 1): NextStep => ({ room, visit: null, code, data: { count } });
  if (round.aside.length > 0) return step('plan', 'settle', round.aside.length);
  const waiting = round.bottles.filter((bottle) => bottle.stage === 'filled' && !bottle.lost);
  if (waiting.length > 0) return step('custody', 'hand-over', waiting.length);
  // Without a registered lab nobody can be asked: its report is waited for.
  if (round.plan.lab && round.reports.length === 0 && round.handOvers.some((handOver) => !handOver.answer))
    return step('custody', 'ask-lab');
  if (round.reports.some(isToRead)) return step('report', 'read-report');
  const due = round.followUps.filter((action) => !action.done);
  if (due.length > 0) return step('verdict', 'follow-up', due.length);
  const hasRead = round.reports.some((report) => report.read);
  const isOut = (bottle: BottleState) => bottle.stage === 'handed-over' || (bottle.stage === 'reported' && !hasRead);
  if (round.bottles.some((bottle) => (bottle.accepted ?? !round.plan.lab) && !bottle.lost && isOut(bottle)))
    return step('report', 'wait-for-report');
  return null;
}

/** Whether all of a round is done: judged, and followed up. */
export function isClosed(round: RoundState): boolean {
  return nextStep(round) === null;
}
