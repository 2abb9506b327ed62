import { beginAt, leastHandOver, notBefore, pauseAt, type DayProblem } from './problem.ts';

/** To so many stops every order is weighed, by way of their sets. */
export const mostExact = 15;

/** The best order if it is handed over at a moment, with its arrival; an order of no stops and Infinity where there is none. */
interface Found {
  order: number[];
  arrives: number;
}

/**
 * The earliest arrival over all orders for a given moment of handing over: dynamic programming over sets of stops (Held and Karp
 * 1962), which is exact as whoever is ready earlier is never later for it. A state is a set, the stop that was last, and whether the
 * pause was made.
 */
function weigh(problem: DayProblem, handOver: number): Found {
  const { stops, travel, start, lunch } = problem;
  const count = stops.length;
  const earliest = stops.map((stop) => notBefore(stop, problem, handOver));
  const before = stops.map(({ after }) => after.reduce((mask, one) => mask | (1 << one), 0));
  const sets = 1 << count;
  const width = count * 2;
  const ready = new Float64Array(sets * width).fill(Infinity);
  const from = new Int16Array(sets * width).fill(-1);
  const enter = (set: number, here: number, state: number, leaves: number, next: number) => {
    const begins = beginAt(stops[next]!, Math.max(leaves + travel[here]![next]!, earliest[next]!));
    if (begins === Infinity) return;
    const ends = begins + stops[next]!.lasts;
    const base = (set | (1 << next)) * width + next * 2;
    const hadPause = state & 1;
    if (ends < ready[base + hadPause]!) {
      ready[base + hadPause] = ends;
      from[base + hadPause] = state;
    }
    if (!lunch || hadPause) return;
    const pause = pauseAt(lunch, ends);
    if (pause + lunch.lasts < ready[base + 1]!) {
      ready[base + 1] = pause + lunch.lasts;
      from[base + 1] = state;
    }
  };
  for (let next = 0; next < count; next += 1) if (before[next] === 0) enter(0, count, lunch ? 0 : 1, start, next);
  for (let set = 1; set < sets; set += 1)
    for (let here = 0; here < count; here += 1)
      for (let pause = 0; pause < 2; pause += 1) {
        const leaves = ready[set * width + here * 2 + pause]!;
        if (leaves === Infinity) continue;
        for (let next = 0; next < count; next += 1)
          if ((set & (1 << next)) === 0 && (before[next]! & ~set) === 0) enter(set, here, here * 2 + pause, leaves, next);
      }
  let [best, arrives] = [-1, Infinity];
  for (let here = 0; here < count; here += 1)
    for (let pause = 0; pause < 2; pause += 1) {
      const at = ready[(sets - 1) * width + here * 2 + pause]! + travel[here]![count + 1]!;
      // Without a pause only where all is done before it is due.
      if (at < arrives && (pause === 1 || at <= lunch!.to)) [best, arrives] = [here * 2 + pause, at];
    }
  const order: number[] = [];
  for (let [set, state] = [sets - 1, best]; set > 0 && state >= 0;) {
    const here = state >> 1;
    order.unshift(here);
    const previous = from[set * width + state]!;
    set &= ~(1 << here);
    state = set === 0 ? -1 : previous;
  }
  return { order, arrives };
}

/** The best of all orders: handed over as early as may be. Null where none can be done. */
export function bestOrder(problem: DayProblem): number[] | null {
  if (problem.stops.length === 0) return [];
  const handOver = leastHandOver(problem.intake, (moment) => weigh(problem, moment).arrives);
  return handOver === Infinity ? null : weigh(problem, handOver).order;
}
