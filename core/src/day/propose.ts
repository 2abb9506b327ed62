import type { DaySettings } from '../plan/index.ts';
import type { Lab } from '../registers/index.ts';
import { buildDay, type BuiltDay, type DayOf } from './build.ts';
import { solveMidway } from './solve/midway.ts';
import { slackOf, tryDay, type Fault } from './solve/faults.ts';
import { remediesFor, type Remedy } from './remedies.ts';
import { nearestOrder } from './solve/search.ts';
import { solveDay } from './solve/solve.ts';
import { latestHere, latestStart, type TimedDay } from './solve/timing.ts';

/** A day in an order, with all that is told of it. Moments in ms; where it cannot be done there are no latest ones. */
export interface DayTold extends BuiltDay {
  day: TimedDay;
  faults: readonly Fault[];
  /** The latest moment to set out, and to begin at each stop in the order of the day. */
  latestStart: number | null;
  latestHere: readonly number[] | null;
  /** How long each bottle could still wait at the hand-over (ms), by its label. */
  slack: ReadonlyMap<string, number>;
}

/** The order that is proposed for a day. */
export interface Proposal extends DayTold {
  /** It is proven that no order is handed over earlier. */
  isBest: boolean;
  /** No order is handed over before (ms). */
  bound: number | null;
}

function tell(built: BuiltDay, order: readonly number[]): DayTold {
  const { problem } = built;
  const { day, faults } = tryDay(problem, order);
  const isDone = faults.length === 0;
  return {
    ...built,
    day,
    faults,
    latestStart: isDone ? latestStart(problem, order) : null,
    latestHere: isDone ? latestHere(problem, day) : null,
    slack: slackOf(problem, day),
  };
}

/** A day in the order that a person gives it, by the ids of its visits; those that it does not name come last. */
export function tellDay(of: DayOf, settings: DaySettings, order: readonly string[]): DayTold {
  const place = new Map(order.map((id, index) => [id, index]));
  const built = buildDay(of, settings);
  const { stops } = built.problem;
  const at = (number: number) => place.get(stops[number]!.id) ?? Infinity;
  return tell(
    built,
    stops.map((_, number) => number).sort((a, b) => at(a) - at(b) || a - b),
  );
}

/** The best order of a day; where none can be done the one that comes nearest. */
export function proposeOrder(of: DayOf, settings: DaySettings): Proposal {
  const built = buildDay(of, settings);
  if (built.problem.midway) return proposeBroken(built);
  const solved = solveDay(built.problem);
  return {
    ...tell(built, solved?.day.order ?? nearestOrder(built.problem)),
    isBest: solved?.isBest ?? false,
    bound: solved?.bound ?? null,
  };
}

/** The same where the cooler is emptied on the way: after which stop is sought as well, so nothing is proven of it. */
function proposeBroken(built: BuiltDay): Proposal {
  const solved = solveMidway(built.problem);
  const problem = { ...built.problem, midway: solved ? { ...built.problem.midway!, after: solved.after } : built.problem.midway };
  return { ...tell({ ...built, problem }, solved?.day.order ?? nearestOrder(problem)), isBest: false, bound: null };
}

/** The best order of a day, and what would help where it cannot be done. */
export function proposeDay(of: DayOf, settings: DaySettings, labs: readonly Lab[]): Proposal & { remedies: readonly Remedy[] } {
  const proposal = proposeOrder(of, settings);
  return { ...proposal, remedies: proposal.latestStart === null ? remediesFor(of, settings, labs) : [] };
}
