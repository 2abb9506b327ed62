import { fromMidway, partOf, untilMidway } from './legs.ts';
import type { DayProblem } from './problem.ts';
import { nearestOrder } from './search.ts';
import { solveDay } from './solve.ts';
import { joined, timeDay, type TimedDay } from './timing.ts';

/** To so many stops the orders of a leg are weighed; a longer one keeps the order it came in. */
const mostWeighed = 9;
/** After so many of the stops it is tried to hand over, evenly. */
const mostCuts = 14;

/** The best order of a leg, by the numbers of the whole day. */
function weighLeg(problem: DayProblem, numbers: readonly number[], effort: number): TimedDay | null {
  if (numbers.length > mostWeighed) return timeDay(problem, numbers);
  const part = partOf(problem, numbers);
  const order = solveDay(part, effort)?.day.order.map((stop) => numbers[stop]!);
  return order ? timeDay(problem, order) : null;
}

/** An order in which what the lab takes in for the shortest time comes first. */
function urgentFirst({ stops, byRule = {} }: DayProblem, order: readonly number[]): number[] {
  const closes = ({ rule = '' }: { rule?: string }) => Math.max(-Infinity, ...(byRule[rule] ?? []).map(({ to }) => to));
  const soonest = (number: number) => Math.min(Infinity, ...stops[number]!.bottles.map(closes));
  return [...order].sort((a, b) => soonest(a) - soonest(b) || 0);
}

/** A day that is broken by a hand-over on the way, and after which stop. */
export interface Broken {
  day: TimedDay;
  after: number;
}

/**
 * A way through a day that hands over on the way, wherever that is best; null where none was found, which does not prove that there is
 * none: the stops of both legs come from the nearest orders to the whole day, with and without what bottles ask for, and with what is taken in for the shortest time first.
 */
export function solveMidway(problem: DayProblem, effort = 1): Broken | null {
  const whole = { ...problem, midway: undefined };
  const patient = { ...whole, stops: whole.stops.map((stop) => ({ ...stop, bottles: [] })) };
  let best: Broken | null = null;
  const nearest = nearestOrder(whole, effort);
  for (const order of [nearest, solveDay(patient, effort)?.day.order ?? [], urgentFirst(problem, nearest)])
    for (let cut = 1; cut < order.length; cut += Math.ceil(order.length / mostCuts)) {
      const [before, after] = [order.slice(0, cut), order.slice(cut)];
      const morning = weighLeg(untilMidway(problem, before), before, effort);
      if (!morning) continue;
      const rest = weighLeg(fromMidway(problem, after, morning), after, effort);
      if (rest && (!best || rest.handOver < best.day.handOver)) best = { day: joined(morning, rest), after: morning.order.at(-1)! };
    }
  return best;
}
