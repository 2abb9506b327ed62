import { beginAt, leastHandOver, notBefore, type DayProblem, type DayStop } from './problem.ts';
import { timeDay } from './timing.ts';

/** So many steps from stop to stop are tried in all: some seconds. */
const budget = 22_000_000;
/** A local best is shaken so often at most. */
const shakes = 60;

/** The same numbers each time: a day that is planned twice is planned alike. */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

/** What an order costs that is handed over at a moment: the arrival, and how late it is let in where it is, which comes first. */
interface Cost {
  late: number;
  arrives: number;
}
const isLess = (a: Cost, b: Cost) => a.late < b.late || (a.late === b.late && a.arrives < b.arrives);

/** Works at a stop from a moment on; who comes too late for its windows is late by that much and works all the same. */
function workAt(stop: DayStop, wanted: number, late: number): Cost {
  const begins = beginAt(stop, wanted);
  if (begins < Infinity) return { late, arrives: begins + stop.lasts };
  const closes = stop.windows.reduce((last, { to }) => Math.max(last, to), -Infinity);
  return { late: late + wanted + stop.lasts - closes, arrives: wanted + stop.lasts };
}

const never: Cost = { late: Infinity, arrives: Infinity };

/** Goes through an order, once with the pause behind and once with it still ahead, as whichever is better in the end is not known before. */
function weigh({ stops, travel, lunch, start }: DayProblem, order: readonly number[], earliest: readonly number[]): Cost {
  let [ahead, behind] = lunch ? [{ late: 0, arrives: start }, never] : [never, { late: 0, arrives: start }];
  let here = stops.length;
  for (const number of order) {
    const stop = stops[number]!;
    const way = travel[here]![number]!;
    const least = earliest[number]!;
    if (ahead.late < Infinity) ahead = workAt(stop, Math.max(ahead.arrives + way, least), ahead.late);
    if (behind.late < Infinity) behind = workAt(stop, Math.max(behind.arrives + way, least), behind.late);
    if (lunch && ahead.late < Infinity) {
      const begins = Math.max(ahead.arrives, lunch.from);
      const paused = { late: ahead.late + Math.max(0, begins - lunch.to), arrives: begins + lunch.lasts };
      if (isLess(paused, behind)) behind = paused;
    }
    here = number;
  }
  const way = travel[here]![stops.length + 1]!;
  const [early, late] = [ahead, behind].map((one) => ({ late: one.late, arrives: one.arrives + way })) as [Cost, Cost];
  return lunch && early.late < Infinity && early.arrives <= lunch.to && !isLess(late, early) ? early : late;
}

/** Whether what has to come before stands before. */
function isInOrder({ stops }: DayProblem, order: readonly number[]): boolean {
  const place = new Map(order.map((number, index) => [number, index]));
  return order.every((number) => stops[number]!.after.every((before) => place.get(before)! < place.get(number)!));
}

/** What may still be tried. */
interface Purse {
  left: number;
}

/** Improves an order until no stop, or run of up to three, is better elsewhere, no two change places, and no stretch goes better the other way round. */
function settle(problem: DayProblem, from: readonly number[], earliest: readonly number[], purse: Purse): { order: number[]; cost: Cost } {
  let order = [...from];
  let cost = weigh(problem, order, earliest);
  const count = order.length;
  let isBetter = true;
  const consider = (candidate: number[]) => {
    if (purse.left <= 0) return;
    purse.left -= count;
    const other = weigh(problem, candidate, earliest);
    if (!isLess(other, cost) || !isInOrder(problem, candidate)) return;
    [order, cost, isBetter] = [candidate, other, true];
  };
  while (isBetter && purse.left > 0) {
    isBetter = false;
    for (let length = 1; length <= 3; length += 1)
      for (let at = 0; at + length <= count; at += 1)
        for (let to = 0; to <= count - length; to += 1) {
          if (to === at) continue;
          const run = order.slice(at, at + length);
          const rest = [...order.slice(0, at), ...order.slice(at + length)];
          consider([...rest.slice(0, to), ...run, ...rest.slice(to)]);
        }
    for (let a = 0; a < count - 1; a += 1)
      for (let b = a + 1; b < count; b += 1) {
        consider([...order.slice(0, a), ...order.slice(a, b + 1).reverse(), ...order.slice(b + 1)]);
        consider(order.map((one, place) => (place === a ? order[b]! : place === b ? order[a]! : one)));
      }
  }
  return { order, cost };
}

/** An order to begin with: one stop after the other where it costs least, those whose hours end first before the others. */
function insertAll(problem: DayProblem, earliest: readonly number[]): number[] {
  const { stops } = problem;
  const closes = stops.map(({ windows }) => (windows.length === 0 ? Infinity : Math.max(...windows.map(({ to }) => to))));
  const left = new Set(stops.keys());
  let order: number[] = [];
  while (left.size > 0) {
    const ready = [...left].filter((number) => stops[number]!.after.every((before) => !left.has(before)));
    const next = ready.reduce((first, number) => (closes[number]! < closes[first]! ? number : first));
    const from = Math.max(-1, ...stops[next]!.after.map((before) => order.indexOf(before))) + 1;
    let best: { order: number[]; cost: Cost } | null = null;
    for (let to = from; to <= order.length; to += 1) {
      const candidate = [...order.slice(0, to), next, ...order.slice(to)];
      const cost = weigh(problem, candidate, earliest);
      if (!best || isLess(cost, best.cost)) best = { order: candidate, cost };
    }
    order = best!.order;
    left.delete(next);
  }
  return order;
}

/** A good order if it is handed over at a moment: insertion, local search, and shakes out of local bests. */
function seek(problem: DayProblem, handOver: number, from: readonly number[] | null, purse: Purse): { order: number[]; cost: Cost } {
  const earliest = problem.stops.map((stop) => notBefore(stop, problem, handOver));
  const throwDice = dice(problem.stops.length + 7);
  let best = settle(problem, from ?? insertAll(problem, earliest), earliest, purse);
  let last = best;
  const count = best.order.length;
  for (let shake = 0; shake < shakes && count > 3 && purse.left > 0; shake += 1) {
    // Two stretches change places: what no single move of the search undoes.
    const [a, b, c] = [0, 0, 0].map(() => Math.floor(throwDice() * (count + 1))).sort((x, y) => x - y) as [number, number, number];
    const shaken = [...last.order.slice(0, a), ...last.order.slice(b, c), ...last.order.slice(a, b), ...last.order.slice(c)];
    if (!isInOrder(problem, shaken)) continue;
    const found = settle(problem, shaken, earliest, purse);
    if (!isLess(best.cost, found.cost)) last = found;
    if (isLess(found.cost, best.cost)) best = found;
  }
  return best;
}

/** A good order of many stops; null where none was found that can be done, which does not prove that there is none. */
export function goodOrder(problem: DayProblem): number[] | null {
  let last: number[] | null = null;
  const purse = { left: budget };
  const handOver = leastHandOver(problem.intake, (moment) => {
    const { order, cost } = seek(problem, moment, last, purse);
    last = order;
    return cost.late > 0 ? Infinity : cost.arrives;
  });
  if (handOver === Infinity || last === null) return null;
  return timeDay(problem, last) ? last : null;
}

/** The order that comes nearest to what cannot be done: the least late in all. */
export function nearestOrder(problem: DayProblem): number[] {
  return seek(problem, -Infinity, null, { left: budget / 4 }).order;
}
