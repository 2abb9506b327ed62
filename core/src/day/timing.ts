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
  /** At the lab's door, and handed over. */
  arrives: number;
  handOver: number;
}

type Walked = Omit<TimedDay, 'handOver' | 'order' | 'leaves'>;

/** Goes through an order with the pause after a given stop, or none; null where somebody is not let in. */
function walk(
  { stops, travel, lunch }: DayProblem,
  order: readonly number[],
  leaves: number,
  handOver: number,
  pauseAfter: number | null,
): Walked | null {
  const timed: TimedStop[] = [];
  let [here, time] = [stops.length, leaves];
  let pause: TimedDay['lunch'] = null;
  for (const [place, number] of order.entries()) {
    const stop = stops[number]!;
    const arrives = time + travel[here]![number]!;
    const begins = beginAt(stop, Math.max(arrives, notBefore(stop, handOver)));
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

/** An order in its time, handed over as early as may be; null where it cannot be done so. */
export function timeDay(problem: DayProblem, order: readonly number[], leaves = problem.start): TimedDay | null {
  const handOver = leastHandOver(problem.intake, (moment) => walkBest(problem, order, leaves, moment)?.arrives ?? Infinity);
  if (handOver === Infinity) return null;
  return { order, leaves, ...walkBest(problem, order, leaves, handOver)!, handOver };
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
  const { stops, travel } = problem;
  return day.stops.map(({ begins, stop }, place) => {
    const rest = day.order.slice(place + 1);
    const filled = day.stops
      .slice(0, place)
      .flatMap((one) => stops[one.stop]!.bottles.map((bottle) => one.begins + bottle.filledAfter + bottle.keeps));
    const oldest = Math.min(Infinity, ...filled);
    const hadLunch = day.lunch !== null && day.lunch.after <= place;
    const numbered = [stop, ...rest];
    const left: DayProblem = {
      ...problem,
      // What is filled already must still be taken in.
      intake: problem.intake.flatMap(({ from, to }) => (from <= oldest ? [{ from, to: Math.min(to, oldest) }] : [])),
      stops: numbered.map((number) => ({ ...stops[number]!, after: [] })),
      travel: [...numbered, stops.length, stops.length + 1].map((row) =>
        [...numbered, stops.length, stops.length + 1].map((column) =>
          row === stops.length && column === stop ? 0 : travel[row]![column]!,
        ),
      ),
      lunch: hadLunch ? null : problem.lunch,
    };
    const order = numbered.map((_, index) => index);
    const does = (moment: number) => {
      const timed = timeDay(left, order, moment);
      return timed !== null && timed.stops[0]!.begins === moment;
    };
    return latestThatDoes(begins, Math.min(lastIntake(left), begins + 86_400_000), does) ?? begins;
  });
}
