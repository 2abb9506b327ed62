import { earliestByReleases, leastTravel } from './bound.ts';
import { bestOrder, mostExact } from './exact.ts';
import { takenInAt, type DayProblem } from './problem.ts';
import { goodOrder } from './search.ts';
import { timeDay, type TimedDay } from './timing.ts';

/** A day that can be done, and how far it may be from the best. */
export interface Solved {
  day: TimedDay;
  /** No order is handed over before this moment (ms). */
  bound: number;
  /** It is the best: proven. */
  isBest: boolean;
}

/** The moment (ms) before which no order can be handed over: the work and the least of the drives, and the windows one by one. */
export function earliestPossible(problem: DayProblem): number {
  const { stops, travel, start, intake, lunch } = problem;
  const work = stops.reduce((sum, { lasts }) => sum + lasts, 0);
  const drives = start + work + leastTravel(problem);
  const windows = stops.map(({ windows: spans, lasts }, number) => {
    const opens = spans.reduce((first, { from }) => Math.min(first, from), Infinity);
    return (spans.length === 0 ? start : Math.max(start, opens)) + lasts + travel[number]![stops.length + 1]!;
  });
  const arrives = Math.max(drives, ...windows);
  // Whoever is not done by the last moment for it has made the pause.
  const withLunch = lunch && arrives > lunch.to ? Math.max(arrives, drives + lunch.lasts) : arrives;
  const taken = takenInAt(intake, withLunch);
  return taken === Infinity ? taken : takenInAt(intake, Math.max(withLunch, earliestByReleases(problem, taken)));
}

/** Where only a part of the effort may be spent, every order of so few stops is weighed still. */
export const mostExactInPart = 9;

/**
 * The day handed over as early as may be; null where none was found that can be done.
 * @param effort a part of what a search among many stops usually takes
 */
export function solveDay(problem: DayProblem, effort = 1): Solved | null {
  const isExact = problem.stops.length <= (effort < 1 ? mostExactInPart : mostExact);
  const order = isExact ? bestOrder(problem) : goodOrder(problem, effort);
  const day = order && timeDay(problem, order);
  if (!day) return null;
  const bound = isExact ? day.handOver : Math.min(day.handOver, earliestPossible(problem));
  return { day, bound, isBest: isExact || bound === day.handOver };
}
