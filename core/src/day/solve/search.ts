import { beginAt, leastHandOver, notBefore, type DayProblem, type DayStop } from './problem.ts';
import { timeDay } from './timing.ts';

/** So many steps from stop to stop are tried in all: some seconds. */
const budget = 40_000_000;
/** The part of what is left that one look may spend. */
const share = 0.4;
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

/** The last moment at which a stop's work may end, however late one comes; it counts for who is late. */
const lastClose = ({ windows }: DayStop): number => windows.reduce((last, { to }) => Math.max(last, to), -Infinity);

/**
 * Goes through an order, once with the pause behind and once with it still ahead, as whichever is better in the end is not known
 * before. Who comes too late for a stop's windows is late by that much and works all the same. Plain numbers: it is done millions of times.
 */
function weigh({ stops, travel, lunch, start }: DayProblem, order: readonly number[], earliest: readonly number[]): Cost {
  let [aheadLate, ahead] = lunch ? [0, start] : [Infinity, Infinity];
  let [behindLate, behind] = lunch ? [Infinity, Infinity] : [0, start];
  let here = stops.length;
  for (const number of order) {
    const stop = stops[number]!;
    const way = travel[here]![number]!;
    const least = earliest[number]!;
    if (aheadLate < Infinity) {
      const wanted = Math.max(ahead + way, least);
      const begins = beginAt(stop, wanted);
      if (begins === Infinity) aheadLate += wanted + stop.lasts - lastClose(stop);
      ahead = (begins === Infinity ? wanted : begins) + stop.lasts;
    }
    if (behindLate < Infinity) {
      const wanted = Math.max(behind + way, least);
      const begins = beginAt(stop, wanted);
      if (begins === Infinity) behindLate += wanted + stop.lasts - lastClose(stop);
      behind = (begins === Infinity ? wanted : begins) + stop.lasts;
    }
    if (lunch && aheadLate < Infinity) {
      const begins = Math.max(ahead, lunch.from);
      const late = aheadLate + Math.max(0, begins - lunch.to);
      if (late < behindLate || (late === behindLate && begins + lunch.lasts < behind)) [behindLate, behind] = [late, begins + lunch.lasts];
    }
    here = number;
  }
  const way = travel[here]![stops.length + 1]!;
  // Without a pause only where all is done before it is due.
  const isEarly = lunch !== null && aheadLate < Infinity && ahead + way <= lunch.to;
  const isLess = aheadLate < behindLate || (aheadLate === behindLate && ahead <= behind);
  return isEarly && isLess ? { late: aheadLate, arrives: ahead + way } : { late: behindLate, arrives: behind + way };
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

/** So many of the nearest places are neighbours of one. */
const nearest = 12;

/** Whether two places are near each other, by the rows of the travel: few moves that bring neither of two near ones together are any better. */
function nearness({ travel }: DayProblem): (one: number, other: number) => boolean {
  const near = travel.map((row, from) => {
    const order = row.map((_, to) => to).filter((to) => to !== from);
    const way = (to: number) => Math.min(row[to]!, travel[to]![from]!);
    return new Set(order.sort((a, b) => way(a) - way(b)).slice(0, nearest));
  });
  return (one, other) => near[one]!.has(other) || near[other]!.has(one);
}

/** Improves an order until no stop, or run of up to three, is better elsewhere, no two change places, and no stretch goes better the other way round. */
function settle(
  problem: DayProblem,
  first: readonly number[],
  earliest: readonly number[],
  { purse, isNear }: { purse: Purse; isNear: (one: number, other: number) => boolean },
): { order: number[]; cost: Cost } {
  let order = [...first];
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
  const [begins, ends] = [count, count + 1];
  const at = (place: number) => (place < 0 ? begins : place >= count ? ends : order[place]!);
  while (isBetter && purse.left > 0) {
    isBetter = false;
    // Who is let in too late is moved anywhere.
    const isTried = (...pairs: [number, number][]) => cost.late > 0 || pairs.some(([one, other]) => isNear(one, other));
    for (let length = 1; length <= 3; length += 1)
      for (let from = 0; from + length <= count; from += 1)
        for (let to = 0; to <= count - length; to += 1) {
          if (to === from) continue;
          // What stands before and after the run there, once it is taken out here.
          const before = at(to <= from ? to - 1 : to + length - 1);
          const after = at(to <= from ? to : to + length);
          if (!isTried([before, at(from)], [at(from + length - 1), after])) continue;
          const run = order.slice(from, from + length);
          const rest = [...order.slice(0, from), ...order.slice(from + length)];
          consider([...rest.slice(0, to), ...run, ...rest.slice(to)]);
        }
    for (let a = 0; a < count - 1; a += 1)
      for (let b = a + 1; b < count; b += 1) {
        if (isTried([at(a - 1), at(b)], [at(a), at(b + 1)]))
          consider([...order.slice(0, a), ...order.slice(a, b + 1).reverse(), ...order.slice(b + 1)]);
        if (isTried([at(a - 1), at(b)], [at(b), at(a + 1)], [at(b - 1), at(a)], [at(a), at(b + 1)]))
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
  const means = { purse, isNear: nearness(problem) };
  let best = settle(problem, from ?? insertAll(problem, earliest), earliest, means);
  let last = best;
  const count = best.order.length;
  for (let shake = 0; shake < shakes && count > 3 && purse.left > 0; shake += 1) {
    // Two stretches change places: what no single move of the search undoes.
    const [a, b, c] = [0, 0, 0].map(() => Math.floor(throwDice() * (count + 1))).sort((x, y) => x - y) as [number, number, number];
    const shaken = [...last.order.slice(0, a), ...last.order.slice(b, c), ...last.order.slice(a, b), ...last.order.slice(c)];
    if (!isInOrder(problem, shaken)) continue;
    const found = settle(problem, shaken, earliest, means);
    if (!isLess(best.cost, found.cost)) last = found;
    if (isLess(found.cost, best.cost)) best = found;
  }
  return best;
}

/**
 * A good order of many stops; null where none was found that can be done, which does not prove that there is none.
 * @param effort a part of what a search usually takes, where many days are looked at
 */
export function goodOrder(problem: DayProblem, effort = 1): number[] | null {
  let last: number[] | null = null;
  let left = budget * effort;
  const handOver = leastHandOver(problem.intake, (moment) => {
    // Later looks hang on earlier ones: none spends all there is.
    const purse = { left: left * share };
    left -= purse.left;
    const { order, cost } = seek(problem, moment, last, purse);
    left += Math.max(0, purse.left);
    last = order;
    return cost.late > 0 ? Infinity : cost.arrives;
  });
  if (handOver === Infinity || last === null) return null;
  return timeDay(problem, last) ? last : null;
}

/** The order that comes nearest to what cannot be done: the least late in all. */
export function nearestOrder(problem: DayProblem, effort = 1): number[] {
  return seek(problem, -Infinity, null, { left: (budget / 4) * effort }).order;
}
