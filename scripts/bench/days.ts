import { solveDay, type DayProblem } from '@fonte/core/day';
import { minute } from '@fonte/core/time';
import { madeUpDay } from '../../core/test/days.ts';
import { median, record } from './measure.ts';

const runs = 5;

/** Days of a van that can be done: short stops close to each other, some with hours of being let in and bottles that age. */
function days(count: number): DayProblem[] {
  return Array.from({ length: runs }, (_, seed) => {
    const { stops, travel, ...rest } = madeUpDay(seed + 1, count, true);
    const lasts = Math.max(4, Math.min(20, Math.floor(240 / count))) * minute;
    return {
      ...rest,
      travel: travel.map((row) => row.map((time) => time / 4)),
      stops: stops.map((stop) => ({
        ...stop,
        lasts,
        bottles: stop.bottles.map((bottle) => ({ ...bottle, filledAfter: lasts, keeps: bottle.keeps + 240 * minute })),
      })),
    };
  });
}

/** The order of a day of so many stops: how long it takes, and how far the answer may be from the best. */
export function planner(): void {
  for (const [count, aim] of [
    [8, 1000],
    [12, 1000],
    [14, 1000],
    [30, 5000],
    [60, 5000],
  ] as const) {
    const [times, gaps, spans]: [number[], number[], number[]] = [[], [], []];
    for (const problem of days(count)) {
      const from = performance.now();
      const solved = solveDay(problem);
      times.push(performance.now() - from);
      if (!solved) continue;
      gaps.push((solved.day.handOver - solved.bound) / minute);
      spans.push((solved.day.handOver - problem.start) / minute);
    }
    record(`order of a day of ${count} stops, median of ${runs}`, median(times), 'ms', aim);
    if (gaps.length === 0) continue;
    record(`a day of ${count} stops that can be done lasts, of ${runs} drawn`, median(spans), 'min');
    record(`a day of ${count} stops: no order is handed over earlier by more than`, Math.max(...gaps), 'min');
  }
}
