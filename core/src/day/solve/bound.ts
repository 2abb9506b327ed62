import { notBefore, type DayProblem } from './problem.ts';

/** Steps of the ascent: more bring the bound hardly nearer. */
const steps = 150;

/**
 * What the drives of a day take at least, in ms: from the start to the lab through every stop, whatever the order and the hours. Every
 * such way is a spanning tree in which the ends have one neighbour and the others two, so the least spanning tree is no longer, also
 * with penalties on the stops that count as often as they are passed; those are chosen by subgradient ascent (Held and Karp 1970).
 */
export function leastTravel({ stops, travel }: DayProblem): number {
  const count = stops.length + 2;
  const start = count - 2;
  const degreeOf = (node: number) => (node >= start ? 1 : 2);
  // A street that is quicker in one direction counts as if it were so in both: never too much.
  const cost = Array.from({ length: count }, (_, a) =>
    Array.from({ length: count }, (_, b) =>
      a === b || (a >= start && b >= start) ? Infinity : Math.min(way(travel, a, b), way(travel, b, a)),
    ),
  );
  if (stops.length === 0) return 0;
  const penalty = new Float64Array(count);
  let best = 0;
  let reach = cost.flat().reduce((most, one) => (one < Infinity ? Math.max(most, one) : most), 0) / 4;
  for (let step = 0; step < steps; step += 1) {
    const { weight, degree } = leastTree(cost, penalty);
    best = Math.max(best, weight - penalty.reduce((sum, one, node) => sum + one * degreeOf(node), 0));
    for (let node = 0; node < count; node += 1) penalty[node]! += reach * (degree[node]! - degreeOf(node));
    reach *= 0.96;
  }
  return best;
}

const way = (travel: DayProblem['travel'], from: number, to: number) => travel[from]?.[to] ?? Infinity;

/** The least spanning tree with penalties at both ends of each edge (Prim). */
function leastTree(cost: readonly (readonly number[])[], penalty: Float64Array): { weight: number; degree: Int32Array } {
  const count = cost.length;
  const [near, parent, inside] = [new Float64Array(count).fill(Infinity), new Int32Array(count).fill(-1), new Uint8Array(count)];
  const degree = new Int32Array(count);
  let weight = 0;
  for (let [added, node] = [0, 0]; added < count; added += 1) {
    inside[node] = 1;
    if (parent[node]! >= 0) {
      weight += near[node]!;
      degree[node]! += 1;
      degree[parent[node]!]! += 1;
    }
    let next = -1;
    for (let other = 0; other < count; other += 1) {
      if (inside[other]) continue;
      const through = cost[node]![other]! + penalty[node]! + penalty[other]!;
      if (through < near[other]!) {
        near[other] = through;
        parent[other] = node;
      }
      if (next < 0 || near[other]! < near[next]!) next = other;
    }
    node = next;
  }
  return { weight, degree };
}

/** Ways between all places by whatever other places are on the way (Floyd and Warshall); in ms, none negative. */
function closure(travel: DayProblem['travel']): number[][] {
  const ways = travel.map((row) => row.map((one) => Math.max(0, one)));
  for (const [through, beyond] of ways.entries())
    for (const row of ways) for (let to = 0; to < row.length; to += 1) row[to] = Math.min(row[to]!, row[through]! + beyond[to]!);
  return ways;
}

/** What taps of one room save at most, in ms: each is entered once. */
const savings = ({ stops, travel }: DayProblem): number =>
  stops.reduce((sum, _, to) => sum + Math.max(0, ...travel.map((row) => -row[to]!)), 0);

/** So many moments are looked at each time. */
const looks = 14;

/** Some of many, evenly; the first and the last among them. */
const spread = (all: readonly number[]): number[] =>
  all.length <= looks ? [...all] : Array.from({ length: looks }, (_, place) => all[Math.round((place * (all.length - 1)) / (looks - 1))]!);

/** So often the moments from which work can begin are raised by the bound that they give. */
const raises = 6;

/**
 * The earliest arrival at the door, in ms, by what can only begin late: from any moment on, all the work that cannot begin before it
 * and the least of the drives between those stops to the door are still to come. What ages must not be filled before a moment that
 * hangs on the arrival, so a better bound makes the moments later, and those the bound.
 * @param from a bound that is known
 */
export function earliestByReleases(problem: DayProblem, from: number): number {
  const { stops, lunch, start } = problem;
  const ways = closure(problem.travel);
  const [begins, ends] = [stops.length, stops.length + 1];
  const saved = savings(problem);
  const opens = stops.map(({ windows }) => (windows.length === 0 ? start : Math.max(start, Math.min(...windows.map((one) => one.from)))));
  const drives = new Map<string, number>();
  const drivesOf = (numbers: readonly number[]) => {
    const key = numbers.join();
    const known = drives.get(key);
    if (known !== undefined) return known;
    // Whoever is anywhere at that moment: every one of them may be the first at no cost.
    const rows = [...numbers, begins, ends];
    const travel = rows.map((row) => rows.map((column) => (row === begins ? 0 : column === begins ? Infinity : ways[row]![column]!)));
    const found = leastTravel({ ...problem, stops: numbers.map((number) => stops[number]!), travel });
    drives.set(key, found);
    return found;
  };
  let bound = from;
  for (let raise = 0; raise < raises; raise += 1) {
    const released = stops.map((stop, number) => Math.max(opens[number]!, ways[begins]![number]! + start, notBefore(stop, problem, bound)));
    let better = bound;
    for (const moment of spread([...new Set(released)].sort((a, b) => a - b))) {
      const late = stops.flatMap((_, number) => (released[number]! >= moment ? [number] : []));
      const work = late.reduce((sum, number) => sum + stops[number]!.lasts, 0);
      const arrives = moment + work + drivesOf(late) - saved;
      const hasLunch = lunch !== null && moment <= lunch.from && arrives > lunch.to;
      better = Math.max(better, hasLunch ? arrives + lunch.lasts : arrives);
    }
    if (better <= bound) break;
    bound = better;
  }
  return bound;
}
