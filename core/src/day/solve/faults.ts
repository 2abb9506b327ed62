import { fromMidway, legsOf, untilMidway } from './legs.ts';
import { beginAt, pauseAt, takenInAt, type DayProblem } from './problem.ts';
import { joined, timeDay, type TimedDay, type TimedStop } from './timing.ts';

/** Why a day cannot be done as it is ordered, with the stop or bottle it concerns; moments and spans in ms. */
export type Fault =
  | { code: 'nobody-there'; stop: number }
  | { code: 'not-let-in'; stop: number; arrives: number; until: number }
  | { code: 'must-wait'; stop: number; before: number }
  | { code: 'lab-shut' }
  | { code: 'too-late'; arrives: number; closes: number }
  | { code: 'cooler-late'; arrives: number; by: number }
  | { code: 'too-old'; stop: number; bottle: string; by: number };

/** A day as it would go, and what is wrong with it: nothing where it can be done. */
export interface TriedDay {
  day: TimedDay;
  faults: readonly Fault[];
}

/** Goes through an order whatever comes: who is not let in works all the same, and who comes too late is at a shut door. */
export function tryDay(problem: DayProblem, order: readonly number[]): TriedDay {
  const turned = order.flatMap((number, place): Fault[] => {
    const late = problem.stops[number]!.after.find((before) => order.indexOf(before) > place);
    return late === undefined ? [] : [{ code: 'must-wait', stop: number, before: late }];
  });
  const possible = timeDay(problem, order);
  if (possible) return { day: possible, faults: turned };
  if (!problem.midway) {
    const { day, faults } = tryLeg(problem, order);
    return { day, faults: [...turned, ...faults] };
  }
  const [before, after] = legsOf(problem, order);
  const morning = tryLeg(untilMidway(problem, before), before);
  const rest = tryLeg(fromMidway(problem, after, morning.day), after);
  return { day: joined(morning.day, rest.day), faults: [...turned, ...morning.faults, ...rest.faults] };
}

function tryLeg(problem: DayProblem, order: readonly number[]): TriedDay {
  const { stops, travel, start, intake, lunch } = problem;
  const faults: Fault[] = [];
  const timed: TimedStop[] = [];
  let [here, time] = [stops.length, start];
  let pause: TimedDay['lunch'] = null;
  for (const [place, number] of order.entries()) {
    const stop = stops[number]!;
    const arrives = time + travel[here]![number]!;
    const begins = beginAt(stop, arrives);
    const until = stop.windows.reduce((last, { to }) => Math.max(last, to), 0);
    if (begins === Infinity)
      faults.push(until <= 0 ? { code: 'nobody-there', stop: number } : { code: 'not-let-in', stop: number, arrives, until });
    time = (begins === Infinity ? arrives : begins) + stop.lasts;
    timed.push({ stop: number, arrives, begins: time - stop.lasts, ends: time });
    if (lunch && !pause && time >= lunch.from && pauseAt(lunch, time) < Infinity) {
      pause = { begins: time, ends: time + lunch.lasts, after: place + 1 };
      time = pause.ends;
    }
    here = number;
  }
  const arrives = time + travel[here]![stops.length + 1]!;
  const handOver = takenInAt(intake, arrives);
  const closes = intake.reduce((last, { to }) => Math.max(last, to), 0);
  if (handOver === Infinity) faults.push(intake.length === 0 ? { code: 'lab-shut' } : { code: 'too-late', arrives, closes });
  const given = problem.reaches ?? (handOver === Infinity ? arrives : handOver);
  for (const { stop, begins } of timed)
    for (const { id, filledAfter, keeps } of stops[stop]!.bottles) {
      const by = given - (begins + filledAfter + keeps);
      if (by > 0) faults.push({ code: 'too-old', stop, bottle: id, by });
    }
  const left = handOver === Infinity ? arrives : handOver;
  return { day: { order, leaves: start, stops: timed, lunch: pause, midway: null, arrives, handOver: left }, faults };
}

/** How long each bottle could still wait (ms) where it is handed over, by its label. */
export function slackOf(problem: DayProblem, day: TimedDay): ReadonlyMap<string, number> {
  const { stops, midway } = problem;
  return new Map(
    day.stops.flatMap(({ stop, begins }, place) => {
      const isBefore = day.midway !== null && place < day.midway.after;
      const [door, at] = isBefore ? [midway!, day.midway!.handOver] : [problem, day.handOver];
      const closes = door.intake.find(({ from, to }) => from <= at && at <= to)?.to ?? at;
      return stops[stop]!.bottles.map(
        ({ id, filledAfter, keeps }) => [id, Math.min(begins + filledAfter + keeps - (door.reaches ?? at), closes - at)] as const,
      );
    }),
  );
}
