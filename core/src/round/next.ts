import { isToRead } from '../read/index.ts';
import type { RoundState } from './fold.ts';
import { protocolOf } from './protocol.ts';
import type { VisitState } from './visit.ts';

/** The room a step belongs to, as the page addresses it. */
export type Room = 'plan' | 'level' | 'purge' | 'tap' | 'fill' | 'custody' | 'report' | 'verdict';

export interface NextStep {
  room: Room;
  /** The visit it happens at; null when it concerns the whole round. */
  visit: string | null;
  /** What to do, in the imperative. */
  say: string;
}

/** What comes next at one point before its bottles are full; null when nothing is left to do there. */
export function nextAtVisit(visit: VisitState): NextStep | null {
  const step = (room: Room, say: string): NextStep => ({ room, visit: visit.id, say });
  const empty = visit.bottles.filter((bottle) => bottle.state === 'empty');
  if (visit.analyses.length === 0 && visit.point.type === 'tap') return step('plan', 'Choose analyses');
  if (visit.level && !visit.level.agreed)
    return step('level', visit.level.readings.length === 0 ? 'Measure the level' : 'Read the level again: two must agree');
  // A well without analyses is visited for its level alone.
  if (visit.analyses.length === 0) return null;
  if (visit.purge && !visit.purge.setUp) return step('purge', 'Set up the purge');
  if (visit.purge && !visit.purge.ended) return step('purge', visit.purge.ready ? 'End the purge: stable' : 'Purge until stable');
  if (visit.point.type === 'tap') {
    if (!visit.run && !visit.unknownRun && protocolOf(visit)) return step('tap', 'Start the protocol');
    if (visit.run?.abandoned) return null;
    if (visit.run?.now) return step('tap', visit.run.now.step.say);
  }
  if (empty.length > 0) return step('fill', empty.length === 1 ? 'Fill 1 bottle' : `Fill ${empty.length} bottles`);
  return null;
}

/** What comes next in a round, in the order of the work; null when it is done. */
export function nextStep(round: RoundState): NextStep | null {
  for (const visit of round.visits) {
    const step = nextAtVisit(visit);
    if (step) return step;
  }
  const step = (room: Room, say: string): NextStep => ({ room, visit: null, say });
  const aside = round.aside.length;
  if (aside > 0) return step('plan', aside === 1 ? 'Settle what stands aside: 1 entry' : `Settle what stands aside: ${aside} entries`);
  const waiting = round.bottles.filter((bottle) => bottle.stage === 'filled' && !bottle.lost);
  if (waiting.length > 0) return step('custody', `Hand over ${waiting.length} bottle${waiting.length === 1 ? '' : 's'}`);
  if (round.reports.length === 0 && round.handOvers.some((handOver) => !handOver.answer))
    return step('custody', 'Ask the lab for its answer');
  if (round.reports.some(isToRead)) return step('report', 'Read the report');
  const due = round.followUps.filter((action) => !action.done);
  if (due.length > 0) return step('verdict', due.length === 1 ? 'Follow up: 1 thing to do' : `Follow up: ${due.length} things to do`);
  const hasRead = round.reports.some((report) => report.read);
  if (round.bottles.some((bottle) => bottle.accepted && (bottle.stage === 'handed-over' || (bottle.stage === 'reported' && !hasRead))))
    return step('report', 'Wait for the report');
  return null;
}

/** Whether all of a round is done: judged, and followed up. */
export function isClosed(round: RoundState): boolean {
  return nextStep(round) === null;
}
