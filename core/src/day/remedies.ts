import { questionLab, type DaySettings } from '../plan/index.ts';
import type { Lab } from '../registers/index.ts';
import { dateAfter } from '../time/index.ts';
import { buildDay, type DayOf } from './build.ts';
import { tryDay } from './solve/faults.ts';
import { solveMidway } from './solve/midway.ts';
import { nearestOrder } from './solve/search.ts';
import { mostExactInPart, solveDay } from './solve/solve.ts';

/** What would make a day possible that is not; each was tried, and can be done. `handOver` in ms; `place` is where the lab has bottles left, its own door where there is none. */
export type Remedy =
  | { code: 'start-earlier'; start: string; handOver: number }
  | { code: 'no-lunch'; handOver: number }
  | { code: 'drop-off'; place: string; handOver: number; reaches: number }
  | { code: 'midway'; place?: string; after: string; name: string; handOver: number }
  | { code: 'other-lab'; lab: string; name: string; handOver: number }
  | { code: 'leave-out'; visit: string; name: string; handOver: number }
  | { code: 'split'; visits: readonly string[]; names: readonly string[]; date: string; handOver: number }
  | { code: 'other-day'; date: string; handOver: number };

/** Settings by which a remedy is taken; as they were where it is another lab, day or plan that helps. */
export function afterRemedy(settings: DaySettings, remedy: Remedy): DaySettings {
  const { at: _, midway: __, ...direct } = settings;
  switch (remedy.code) {
    case 'start-earlier':
      return { ...settings, start: remedy.start };
    case 'no-lunch': {
      const { lunch: ___, ...without } = settings;
      return without;
    }
    case 'drop-off':
      return { ...direct, at: remedy.place };
    case 'midway':
      return { ...direct, midway: { after: remedy.after, ...(remedy.place === undefined ? {} : { at: remedy.place }) } };
    default:
      return settings;
  }
}

/** Whether it is taken by the settings of the day alone. */
export const isTakenHere = ({ code }: Remedy): boolean =>
  code === 'start-earlier' || code === 'no-lunch' || code === 'drop-off' || code === 'midway';

/** Nobody is sent out before. */
const earliest = 5 * 60;
/** Steps of an earlier start, in minutes, and days ahead that are looked at. */
const [step, daysAhead] = [15, 10];

const minutesOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
const timeOf = (minutes: number) => `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** How much is looked at for a day of so many stops: of many, what a whole search takes is shared among all that is tried. */
function means({ visits: { length } }: DayOf) {
  return length > mostExactInPart ? { effort: 0.03, cut: Math.ceil(length / 12) } : { effort: 1, cut: 1 };
}

/** When a day can be handed over, or null. */
function handedOver(of: DayOf, settings: DaySettings): number | null {
  const { problem } = buildDay(of, settings);
  const { effort } = means(of);
  return (problem.midway ? solveMidway(problem, effort)?.day : solveDay(problem, effort)?.day)?.handOver ?? null;
}

/**
 * The latest start before the one that is set at which the day can be done. Whoever sets out earlier can wait, so what can be done from
 * one moment on can be done from every earlier one: the span is halved.
 */
function earlierStart(of: DayOf, settings: DaySettings): Remedy | null {
  const tried = (steps: number) => {
    const start = timeOf(minutesOf(settings.start) - steps * step);
    const handOver = handedOver(of, { ...settings, start });
    return handOver === null ? null : ({ code: 'start-earlier', start, handOver } as const);
  };
  let [none, most] = [0, Math.floor((minutesOf(settings.start) - earliest) / step)];
  let best = most > 0 ? tried(most) : null;
  while (best && most - none > 1) {
    const middle = Math.floor((none + most) / 2);
    const found = tried(middle);
    if (found) [best, most] = [found, middle];
    else none = middle;
  }
  return best;
}

/** Of more stops than these only some are left out that something is wrong with. */
const [mostPlanned, mostLeftOut] = [16, 5];

function leftOut(of: DayOf, settings: DaySettings): DayOf['visits'] {
  if (of.visits.length <= mostPlanned) return of.visits;
  const { problem } = buildDay(of, settings);
  const { faults } = tryDay(problem, nearestOrder(problem, means(of).effort));
  const wrong = new Set(faults.flatMap((fault) => ('stop' in fault ? [fault.stop] : [])));
  return of.visits.filter((_, number) => wrong.has(number)).slice(0, mostLeftOut);
}

/** What would help a day that cannot be done, the least change first. Each way is solved before it is offered. */
export function remediesFor(of: DayOf, settings: DaySettings, labs: readonly Lab[]): Remedy[] {
  const found: Remedy[] = [];
  const offer = (handOver: number | null, remedy: (handOver: number) => Remedy): boolean => {
    if (handOver !== null) found.push(remedy(handOver));
    return handOver !== null;
  };
  const sooner = earlierStart(of, settings);
  if (sooner) found.push(sooner);
  if (settings.lunch) {
    const { lunch: _, ...without } = settings;
    offer(handedOver(of, without), (handOver) => ({ code: 'no-lunch', handOver }));
  }
  found.push(...otherDoors(of, settings));
  const asked = of.visits.flatMap(({ analyses }) => analyses);
  const inOrder = labs.filter((lab) => questionLab(lab, asked).length === 0).sort((a, b) => rank(of.lab, a) - rank(of.lab, b));
  for (const lab of inOrder)
    if (lab.id !== of.lab?.id)
      offer(handedOver({ ...of, lab }, settings), (handOver) => ({ code: 'other-lab', lab: lab.id, name: lab.name, handOver }));
  const before = found.length;
  for (const { id, point } of leftOut(of, settings)) {
    const visits = of.visits.filter((visit) => visit.id !== id);
    if (visits.length > 0)
      offer(handedOver({ ...of, visits }, settings), (handOver) => ({ code: 'leave-out', visit: id, name: point.name, handOver }));
  }
  // Where a point less is not enough, the day is cut in two.
  const split = found.length === before ? splitOf(of, settings) : null;
  if (split) found.push(split);
  for (let ahead = 1; ahead <= daysAhead; ahead += 1) {
    const date = dateAfter(of.date, ahead);
    if (offer(handedOver({ ...of, date }, settings), (handOver) => ({ code: 'other-day', date, handOver }))) break;
  }
  return found;
}

/** The places where bottles are left for the lab: for the whole day, or for what was filled up to a stop. */
function otherDoors(of: DayOf, settings: DaySettings): Remedy[] {
  const { at: _, midway: __, ...direct } = settings;
  const places = of.lab?.dropOffs.map(({ name }) => name) ?? [];
  const left = places.flatMap((place): Remedy[] => {
    if (place === settings.at) return [];
    const { problem } = buildDay(of, { ...direct, at: place });
    const handOver = solveDay(problem, means(of).effort)?.day.handOver;
    return handOver === undefined ? [] : [{ code: 'drop-off', place, handOver, reaches: problem.reaches ?? handOver }];
  });
  const first = of.visits[0]?.id;
  if (first === undefined || of.visits.length < 2) return left;
  const broken = [undefined, ...places].flatMap((place): Remedy[] => {
    const midway = { after: first, ...(place === undefined ? {} : { at: place }) };
    const { problem } = buildDay(of, { ...direct, midway });
    const solved = problem.midway ? solveMidway(problem, means(of).effort) : null;
    if (!solved) return [];
    const { id, name } = problem.stops[solved.after]!;
    return [{ code: 'midway', after: id, name, handOver: solved.day.handOver, ...(place === undefined ? {} : { place }) }];
  });
  return [...left, ...broken];
}

/** As many stops as one day can hold, and the next day that holds the rest; null where none was found. */
function splitOf(of: DayOf, settings: DaySettings): Remedy | null {
  const { effort, cut } = means(of);
  const order = nearestOrder(buildDay(of, settings).problem, effort).map((stop) => of.visits[stop]!);
  for (let count = order.length - 2; count > 0; count -= cut) {
    const [today, rest] = [order.slice(0, count), order.slice(count)];
    const handOver = handedOver({ ...of, visits: today }, settings);
    if (handOver === null) continue;
    for (let ahead = 1; ahead <= daysAhead; ahead += 1) {
      const date = dateAfter(of.date, ahead);
      if (handedOver({ ...of, visits: rest, date }, settings) === null) continue;
      return { code: 'split', visits: rest.map(({ id }) => id), names: rest.map(({ point }) => point.name), date, handOver };
    }
    return null;
  }
  return null;
}

const rank = (lab: Lab | null, other: Lab) => {
  const place = lab?.backUps?.indexOf(other.id) ?? -1;
  return place < 0 ? Infinity : place;
};
