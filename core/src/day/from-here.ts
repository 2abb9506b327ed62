import type { DaySettings } from '../plan/index.ts';
import { buildDay, type DayOf } from './build.ts';
import { tryDay, type Fault } from './solve/faults.ts';
import { partOf, withCooler } from './solve/legs.ts';
import type { DayProblem } from './solve/problem.ts';
import { latestStart } from './solve/timing.ts';

/** What is left of a day for somebody who stands at a point. */
export interface FromHere {
  problem: DayProblem;
  /** The latest moment (ms) at which the work here may begin, so that it and what comes after still reaches the lab; null where it is too late. */
  latest: number | null;
  /** What is lost if it begins now; nothing while it is not too late. */
  faults: readonly Fault[];
}

/** How much of a day is still possible. */
export interface Standing {
  /** The visit that one stands at, and those that come after it, in their order. */
  here: string;
  after: readonly string[];
  /** Until when the bottles that are filled already must be handed over (ms). */
  deadlines: readonly number[];
  now: number;
}

/** The rest of a day from the point where somebody stands, before anything is opened there. */
export function fromHere(of: DayOf, settings: DaySettings, { here, after, deadlines, now }: Standing): FromHere {
  const { problem: whole } = buildDay(of, settings);
  const numbers = [here, ...after].flatMap((id) => {
    const number = whole.stops.findIndex((stop) => stop.id === id);
    return number < 0 ? [] : [number];
  });
  const oldest = Math.min(Infinity, ...deadlines);
  const rest = partOf({ ...whole, start: now, lunch: whole.lunch && now <= whole.lunch.to ? whole.lunch : null }, numbers, true);
  const problem = withCooler(rest, oldest);
  const order = numbers.map((_, place) => place);
  const latest = latestStart(problem, order);
  if (latest !== null) return { problem, latest, faults: [] };
  const { day, faults } = tryDay(problem, order);
  // The lab's door may be open all day: it is the cooler that cannot wait.
  const isCooler = (fault: Fault) =>
    (fault.code === 'too-late' && fault.closes === oldest) || (fault.code === 'lab-shut' && (rest.midway ?? rest).intake.length > 0);
  const told = faults.map((fault): Fault => (isCooler(fault) ? { code: 'cooler-late', arrives: day.arrives, by: oldest } : fault));
  return { problem, latest, faults: told };
}
