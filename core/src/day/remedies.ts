import type { DaySettings } from '../plan/index.ts';
import type { Lab } from '../registers/index.ts';
import { dateAfter } from '../time/index.ts';
import { buildDay, type DayOf } from './build.ts';
import { solveDay } from './solve.ts';

/** What would make a day possible that is not; each was tried, and can be done. `handOver` in ms. */
export type Remedy =
  | { code: 'start-earlier'; start: string; handOver: number }
  | { code: 'no-lunch'; handOver: number }
  | { code: 'other-lab'; lab: string; name: string; handOver: number }
  | { code: 'leave-out'; visit: string; name: string; handOver: number }
  | { code: 'other-day'; date: string; handOver: number };

/** Nobody is sent out before. */
const earliest = 5 * 60;
/** Steps of an earlier start, in minutes, and days ahead that are looked at. */
const [step, daysAhead] = [15, 10];

const minutesOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
const timeOf = (minutes: number) => `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

const handedOver = (of: DayOf, settings: DaySettings): number | null => solveDay(buildDay(of, settings).problem)?.day.handOver ?? null;

/** What would help a day that cannot be done, the least change first. Each way is solved before it is offered. */
export function remediesFor(of: DayOf, settings: DaySettings, labs: readonly Lab[]): Remedy[] {
  const found: Remedy[] = [];
  const offer = (handOver: number | null, remedy: (handOver: number) => Remedy): boolean => {
    if (handOver !== null) found.push(remedy(handOver));
    return handOver !== null;
  };
  for (let minutes = minutesOf(settings.start) - step; minutes >= earliest; minutes -= step) {
    const start = timeOf(minutes);
    if (offer(handedOver(of, { ...settings, start }), (handOver) => ({ code: 'start-earlier', start, handOver }))) break;
  }
  if (settings.lunch) {
    const { lunch: _, ...without } = settings;
    offer(handedOver(of, without), (handOver) => ({ code: 'no-lunch', handOver }));
  }
  const inOrder = [...labs].sort((a, b) => rank(of.lab, a) - rank(of.lab, b));
  for (const lab of inOrder)
    if (lab.id !== of.lab?.id)
      offer(handedOver({ ...of, lab }, settings), (handOver) => ({ code: 'other-lab', lab: lab.id, name: lab.name, handOver }));
  for (const { id, point } of of.visits) {
    const visits = of.visits.filter((visit) => visit.id !== id);
    if (visits.length > 0)
      offer(handedOver({ ...of, visits }, settings), (handOver) => ({ code: 'leave-out', visit: id, name: point.name, handOver }));
  }
  for (let ahead = 1; ahead <= daysAhead; ahead += 1) {
    const date = dateAfter(of.date, ahead);
    if (offer(handedOver({ ...of, date }, settings), (handOver) => ({ code: 'other-day', date, handOver }))) break;
  }
  return found;
}

const rank = (lab: Lab | null, other: Lab) => {
  const place = lab?.backUps?.indexOf(other.id) ?? -1;
  return place < 0 ? Infinity : place;
};
