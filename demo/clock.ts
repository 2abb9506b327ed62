import { atWall, dateAfter, day, wallTime, type Clock } from '@fonte/core/time';
import { lab, zone } from './data/registers.ts';

/** A clock that can be moved forward. */
export interface DemoClock {
  now: Clock;
  move: (milliseconds: number) => void;
}

/**
 * The moment at which the demo's day begins: 09:20 on the latest Monday, Tuesday or Wednesday, so that the lab is open
 * and takes bacteria today and tomorrow.
 */
export function demoMorning(now: number): number {
  for (let back = 0; ; back += 1) {
    const { date, weekday } = wallTime(now - back * day, zone);
    const isShut = lab.closedDays.some((closed) => closed.date === date || closed.date === dateAfter(date, 1));
    if (weekday <= 3 && !isShut) return atWall(date, '09:20', zone);
  }
}

/** A clock that runs as the system's does, from `start` on. */
export function demoClock(start: number, system: Clock): DemoClock {
  let offset = start - system();
  return {
    now: () => system() + offset,
    move: (milliseconds) => {
      offset += milliseconds;
    },
  };
}
