import { fromMidway, partOf, untilMidway } from './legs.ts';
import type { DayProblem } from './problem.ts';
import { nearestOrder } from './search.ts';
import { solveDay } from './solve.ts';
import { joined, timeDay, type TimedDay } from './timing.ts';

/** To so many stops the orders of a leg are weighed; a longer one keeps the order it came in. */
const mostWeighed = 9;

/** The best order of a leg, by the numbers of the whole day. */
function weighLeg(problem: DayProblem, numbers: readonly number[]): TimedDay | null {
  if (numbers.length > mostWeighed) return timeDay(problem, numbers);
  const part = partOf(problem, numbers);
  const order = solveDay(part)?.day.order.map((stop) => numbers[stop]!);
  return order ? timeDay(problem, order) : null;
}

/** A day that is broken by a hand-over on the way, and after which stop. */
export interface Broken {
  day: TimedDay;
  after: number;
}

/**
 * A way through a day that hands over on the way, wherever that is best; null where none was found, which does not prove that there is
 * none: the stops of both legs come from the nearest orders to the whole day, with and without what bottles ask for.
 */
export function solveMidway(problem: DayProblem): Broken | null {
  const whole = { ...problem, midway: undefined };
  const patient = { ...whole, stops: whole.stops.map((stop) => ({ ...stop, bottles: [] })) };
  let best: Broken | null = null;
  for (const order of [nearestOrder(whole), solveDay(patient)?.day.order ?? []])
    for (let cut = 1; cut < order.length; cut += 1) {
      const morning = weighLeg(untilMidway(problem), order.slice(0, cut));
      if (!morning) continue;
      const rest = weighLeg(fromMidway(problem, morning.handOver, morning.lunch !== null), order.slice(cut));
      if (rest && (!best || rest.handOver < best.day.handOver)) best = { day: joined(morning, rest), after: morning.order.at(-1)! };
    }
  return best;
}
