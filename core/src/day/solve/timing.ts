import { fromMidway, legsOf, partOf, untilMidway, withCooler } from './legs.ts';
import { beginAt, leastHandOver, notBefore, pauseAt, type DayProblem } from './problem.ts';

/** A stop in its time: arrived, begun, done (ms). */
export interface TimedStop {
  stop: number;
  arrives: number;
  begins: number;
  ends: number;
}

/** A day in its order, with its times in ms. */
export interface TimedDay {
  order: readonly number[];
  leaves: number;
  stops: readonly TimedStop[];
  /** When the pause begins, and after how many stops; null without one. */
  lunch: { begins: number; ends: number; after: number } | null;
  /** Handed over on the way, after how many stops; null where the day is not broken so. */
  midway: { arrives: number; handOver: number; after: number } | null;
  /** At the door where the day ends, and handed over. */
  arrives: number;
  handOver: number;
}

type Walked = Pick<TimedDay, 'stops' | 'lunch' | 'arrives'>;

/** Goes through an order with the pause after a given stop, or none; null where somebody is not let in. */
function walk(problem: DayProblem, order: readonly number[], leaves: number, handOver: number, pauseAfter: number | null): Walked | null {
  const { stops, travel, lunch } = problem;
  const timed: TimedStop[] = [];
  let [here, time] = [stops.length, leaves];
  let pause: TimedDay['lunch'] = null;
  for (const [place, number] of order.entries()) {
    const stop = stops[number]!;
    const arrives = time + travel[here]![number]!;
    const begins = beginAt(stop, Math.max(arrives, notBefore(stop, problem, handOver)));
    if (begins === Infinity) return null;
    time = begins + stop.lasts;
    timed.push({ stop: number, arrives, begins, ends: time });
    if (pauseAfter === place) {
      const from = pauseAt(lunch!, time);
      if (from === Infinity) return null;
      time = from + lunch!.lasts;
      pause = { begins: from, ends: time, after: place + 1 };
    }
    here = number;
  }
  return { stops: timed, lunch: pause, arrives: time + travel[here]![stops.length + 1]! };
}

/** The earliest way through an order: with the pause where it costs least, or without one where all is done before it is due. */
function walkBest(problem: DayProblem, order: readonly number[], leaves: number, handOver: number): Walked | null {
  const { lunch } = problem;
  const without = walk(problem, order, leaves, handOver, null);
  if (!lunch || (without && without.arrives <= lunch.to)) return without;
  let best: Walked | null = null;
  for (let place = 0; place < order.length; place += 1) {
    const walked = walk(problem, order, leaves, handOver, place);
    if (walked && (!best || walked.arrives < best.arrives)) best = walked;
  }
  return best;
}

/** Two legs of a day as one. */
export function joined(morning: TimedDay, rest: TimedDay): TimedDay {
  const stops = morning.stops.length;
  const later = rest.lunch && { ...rest.lunch, after: rest.lunch.after + stops };
  return {
    order: [...morning.order, ...rest.order],
    leaves: morning.leaves,
    stops: [...morning.stops, ...rest.stops],
    lunch: morning.lunch ?? later,
    midway: { arrives: morning.arrives, handOver: morning.handOver, after: stops },
    arrives: rest.arrives,
    handOver: rest.handOver,
  };
}

/** An order in its time, each door reached as early as may be; null where it cannot be done so. */
export function timeDay(problem: DayProblem, order: readonly number[], leaves = problem.start): TimedDay | null {
  if (!problem.midway) return timeLeg(problem, order, leaves);
  const [before, after] = legsOf(problem, order);
  const morning = timeLeg(untilMidway(problem, before), before, leaves);
  if (!morning) return null;
  const second = fromMidway(problem, after, morning);
  const rest = timeLeg(second, after, second.start);
  return rest && joined(morning, rest);
}

function timeLeg(problem: DayProblem, order: readonly number[], leaves: number): TimedDay | null {
  const handOver = leastHandOver(problem.intake, (moment) => walkBest(problem, order, leaves, moment)?.arrives ?? Infinity);
  if (handOver === Infinity) return null;
  return { order, leaves, midway: null, ...walkBest(problem, order, leaves, handOver)!, handOver };
}

/** Latest times are told to the minute (ms), and sought in coarser steps first: a span shorter than that is not found, which errs early. */
const minute = 60_000;
const coarse = 15 * minute;

/** The latest of the minutes from one moment to another that will do, or null. What will do need not be all of one piece. */
function latestThatDoes(from: number, to: number, does: (moment: number) => boolean): number | null {
  for (let near = Math.floor((to - from) / coarse); near >= 0; near -= 1) {
    const moment = from + near * coarse;
    if (!does(moment)) continue;
    for (let more = coarse - minute; more > 0; more -= minute) if (moment + more <= to && does(moment + more)) return moment + more;
    return moment;
  }
  return null;
}

const lastIntake = ({ intake }: DayProblem) => intake.reduce((last, { to }) => Math.max(last, to), -Infinity);

/** The latest moment at which one may set out in this order; null where it cannot be done at all. */
export function latestStart(problem: DayProblem, order: readonly number[]): number | null {
  return latestThatDoes(
    problem.start,
    Math.min(lastIntake(problem), problem.start + 86_400_000),
    (leaves) => timeDay(problem, order, leaves) !== null,
  );
}

/**
 * The latest moment at which the work at each stop may begin, if what comes before it went as planned and what comes after it goes on
 * at once: later, something of the day is lost. In the order of the day.
 */
export function latestHere(problem: DayProblem, day: TimedDay): number[] {
  return day.stops.map(({ begins }, place) => {
    const isAfterMidway = day.midway !== null && day.midway.after <= place;
    // What was filled since the cooler was empty must still be taken in.
    const filled = day.stops
      .slice(isAfterMidway ? day.midway!.after : 0, place)
      .flatMap((one) => problem.stops[one.stop]!.bottles.map((bottle) => one.begins + bottle.filledAfter + bottle.keeps));
    const hadLunch = day.lunch !== null && day.lunch.after <= place;
    const ahead: DayProblem = {
      ...problem,
      stops: problem.stops.map((stop) => ({ ...stop, after: [] })),
      lunch: hadLunch ? null : problem.lunch,
      midway: isAfterMidway ? undefined : problem.midway,
    };
    const left = withCooler(partOf(ahead, day.order.slice(place), true), Math.min(Infinity, ...filled));
    const order = left.stops.map((_, index) => index);
    const does = (moment: number) => {
      const timed = timeDay(left, order, moment);
      return timed !== null && timed.stops[0]!.begins === moment;
    };
    return latestThatDoes(begins, Math.min(lastIntake(left), begins + 86_400_000), does) ?? begins;
  });
}
