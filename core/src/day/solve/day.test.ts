import { describe, expect, it } from 'vitest';
import { madeUpDay } from '../../../test/days.ts';
import { hour, minute } from '../../time/index.ts';
import { latestHere, latestStart, solveDay, timeDay, type DayProblem } from '../index.ts';
import { earliestPossible } from './solve.ts';
import { goodOrder } from './search.ts';

/**
 * The least moment of handing over by trying everything: every minute, every order, and every place of the pause. Written without
 * the product's timing.
 */
function tryEverything({ stops, travel, start, intake, lunch }: DayProblem): number | null {
  const canBeAt = (handOver: number): boolean => {
    const go = (here: number, time: number, done: readonly number[], paused: boolean): boolean => {
      if (done.length === stops.length) {
        const arrives = time + travel[here]![stops.length + 1]!;
        return arrives <= handOver && (paused || lunch === null || arrives <= lunch.to);
      }
      return stops.some(({ windows, lasts, bottles, after }, next) => {
        if (done.includes(next) || after.some((before) => !done.includes(before))) return false;
        const arrives = time + travel[here]![next]!;
        const fresh = Math.max(...bottles.map((one) => handOver - one.keeps - one.filledAfter), arrives);
        const begins = windows.length === 0 ? [fresh] : windows.map(({ from }) => Math.max(from, fresh));
        return begins.some((begin, at) => {
          const end = begin + lasts;
          if (windows.length > 0 && end > windows[at]!.to) return false;
          if (go(next, end, [...done, next], paused)) return true;
          const pause = lunch && !paused ? Math.max(end, lunch.from) : Infinity;
          return lunch !== null && pause <= lunch.to && go(next, pause + lunch.lasts, [...done, next], true);
        });
      });
    };
    return go(stops.length, start, [], false);
  };
  for (let moment = start; moment <= 24 * hour; moment += minute)
    if (intake.some(({ from, to }) => from <= moment && moment <= to) && canBeAt(moment)) return moment;
  return null;
}

describe('the order of a day', () => {
  it.each(Array.from({ length: 40 }, (_, seed) => seed))('is the best of all there are, made-up day %i', (seed) => {
    const problem = madeUpDay(seed, 3 + (seed % 3), true);
    const solved = solveDay(problem);
    expect(solved?.day.handOver ?? null).toBe(tryEverything(problem));
    if (solved) expect(solved.isBest).toBe(true);
  });

  it('is found by the search for many stops as well, where all can be weighed, or is hardly later', () => {
    let [same, later, missed] = [0, 0, 0];
    for (let seed = 0; seed < 24; seed += 1) {
      const problem = madeUpDay(100 + seed, 8, true);
      const [exact, order] = [solveDay(problem), goodOrder(problem)];
      const found = order && timeDay(problem, order);
      // What the search finds can be done; it never finds what cannot be.
      if (!exact) expect(found).toBeNull();
      else if (!found) missed += 1;
      else if (found.handOver === exact.day.handOver) same += 1;
      else later += 1;
      if (exact && found) expect(found.handOver).toBeGreaterThanOrEqual(exact.day.handOver);
    }
    expect(same).toBeGreaterThan(12);
    expect(later + missed).toBeLessThanOrEqual(1);
  });

  it('is never before the bound', () => {
    for (let seed = 0; seed < 60; seed += 1) {
      const problem = madeUpDay(200 + seed, 8, seed % 2 === 0);
      const solved = solveDay(problem);
      if (solved) expect(earliestPossible(problem)).toBeLessThanOrEqual(solved.day.handOver);
    }
  });

  it('of no stop at all is the drive to the lab', () => {
    const nothing = { ...madeUpDay(1, 0, false), start: 8 * hour };
    expect(solveDay(nothing)?.day).toMatchObject({ order: [], arrives: 8 * hour + nothing.travel[0]![1]! });
  });
});

/** Two taps in a row and a lab, ten minutes apart each, from 08:00; 20 minutes of work at each. */
const row = (change: Partial<DayProblem> = {}): DayProblem => {
  const [home, a, b, lab] = [0, 10, 20, 30];
  const places = [a, b, home, lab];
  const tap = (id: string) => ({
    id,
    name: id,
    lasts: 20 * minute,
    windows: [],
    bottles: [{ id, filledAfter: 15 * minute, keeps: 6 * hour }],
    after: [],
  });
  return {
    stops: [tap('a'), tap('b')],
    travel: places.map((x) => places.map((y) => Math.abs(x - y) * minute)),
    start: 8 * hour,
    intake: [{ from: 8 * hour, to: 16 * hour }],
    lunch: null,
    ...change,
  };
};
const clock = (milliseconds: number) => new Date(milliseconds).toISOString().slice(11, 16);

describe('a day in its time', () => {
  it('goes from stop to stop and hands over on arrival', () => {
    const { day } = solveDay(row())!;
    expect(day.order).toEqual([0, 1]);
    expect(day.stops.map(({ arrives, ends }) => [clock(arrives), clock(ends)])).toEqual([
      ['08:10', '08:30'],
      ['08:40', '09:00'],
    ]);
    expect(clock(day.handOver)).toBe('09:10');
  });

  it('fills late enough where the lab opens late, so that nothing is too old', () => {
    const { day } = solveDay(row({ intake: [{ from: 15 * hour, to: 16 * hour }] }))!;
    expect(clock(day.handOver)).toBe('15:00');
    expect(day.stops.map(({ begins }) => clock(begins))).toEqual(['08:45', '09:15']);
  });

  it('has a pause between two stops once it is time for it', () => {
    const lunch = { from: 8.5 * hour, to: 9 * hour, lasts: 30 * minute };
    const { day } = solveDay(row({ lunch }))!;
    expect(day.lunch).toEqual({ begins: 8.5 * hour, ends: 9 * hour, after: 1 });
    expect(clock(day.handOver)).toBe('09:40');
    expect(solveDay(row({ lunch: { ...lunch, from: 12 * hour, to: 14 * hour } }))!.day.lunch).toBeNull();
  });

  it('tells the latest start, and the latest moment at every stop from which the rest still reaches the lab', () => {
    const problem = row();
    const { day } = solveDay(problem)!;
    expect(clock(latestStart(problem, day.order)!)).toBe('14:50');
    // At b what was filled at a at 08:25 is six hours old at 14:25: twenty minutes of work and ten of driving before that.
    expect(latestHere(problem, day).map(clock)).toEqual(['15:00', '13:55']);
  });

  it('cannot be done where the lab is shut, or nobody lets one in', () => {
    expect(solveDay(row({ intake: [] }))).toBeNull();
    expect(solveDay(row({ intake: [{ from: 0, to: 9 * hour }] }))).toBeNull();
    const [first, second] = row().stops;
    expect(solveDay(row({ stops: [{ ...first!, windows: [{ from: 9 * hour, to: 9.2 * hour }] }, second!] }))).toBeNull();
  });
});
