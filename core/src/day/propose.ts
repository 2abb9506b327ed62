import type { Finding } from '../findings/index.ts';
import type { DaySettings } from '../plan/index.ts';
import type { Lab } from '../registers/index.ts';
import { buildDay, type DayOf } from './build.ts';
import { slackOf, tryDay, type Fault } from './faults.ts';
import type { StopWork } from './minutes.ts';
import type { DayProblem } from './problem.ts';
import { remediesFor, type Remedy } from './remedies.ts';
import { nearestOrder } from './search.ts';
import { solveDay } from './solve.ts';
import { latestHere, latestStart, type TimedDay } from './timing.ts';

/** A day in an order, with all that is told of it. Moments in ms; where it cannot be done there are no latest ones. */
export interface DayTold {
  problem: DayProblem;
  works: readonly StopWork[];
  findings: readonly Finding[];
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
  /** What would help where it cannot be done. */
  remedies: readonly Remedy[];
}

function tell(of: DayOf, settings: DaySettings, choose: (problem: DayProblem) => readonly number[]): DayTold {
  const { problem, works, findings } = buildDay(of, settings);
  const order = choose(problem);
  const { day, faults } = tryDay(problem, order);
  const isDone = faults.length === 0;
  return {
    problem,
    works,
    findings,
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
  return tell(of, settings, ({ stops }) =>
    stops.map((_, number) => number).sort((a, b) => (place.get(stops[a]!.id) ?? Infinity) - (place.get(stops[b]!.id) ?? Infinity) || a - b),
  );
}

/** The best order of a day; where none can be done the one that comes nearest, with what would help. */
export function proposeDay(of: DayOf, settings: DaySettings, labs: readonly Lab[]): Proposal {
  const solved = solveDay(buildDay(of, settings).problem);
  const told = tell(of, settings, (problem) => solved?.day.order ?? nearestOrder(problem));
  return {
    ...told,
    isBest: solved?.isBest ?? false,
    bound: solved?.bound ?? null,
    remedies: solved ? [] : remediesFor(of, settings, labs),
  };
}
