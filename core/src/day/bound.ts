import type { DayProblem } from './problem.ts';

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
