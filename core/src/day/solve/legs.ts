import { givingLasts, inBoth, type DayProblem, type Door, type Span } from './problem.ts';

/** A day between some of its stops, numbered in the order that is given; who `isThere` stands at the first already. */
export function partOf(problem: DayProblem, numbers: readonly number[], isThere = false): DayProblem {
  const { stops, travel, midway } = problem;
  const rows = [...numbers, ...travel.flatMap((_, row) => (row >= stops.length ? [row] : []))];
  const renumber = (all: readonly number[]) => all.flatMap((one) => (numbers.includes(one) ? [numbers.indexOf(one)] : []));
  const [after] = midway ? renumber([midway.after]) : [];
  return {
    ...problem,
    stops: numbers.map((number) => ({ ...stops[number]!, after: renumber(stops[number]!.after) })),
    travel: rows.map((from) => rows.map((to) => (isThere && from === stops.length && to === numbers[0] ? 0 : travel[from]![to]!))),
    midway: midway && after !== undefined ? { ...midway, after } : undefined,
  };
}

/** What lies in the cooler must be at the lab by a moment (ms): the next door is open to it no longer. */
export function withCooler(problem: DayProblem, oldest: number): DayProblem {
  const { midway } = problem;
  return midway ? { ...problem, midway: { ...midway, ...openUntil(midway, oldest) } } : { ...problem, ...openUntil(problem, oldest) };
}

function openUntil({ intake, byRule, reaches }: Door, oldest: number): Pick<Door, 'intake' | 'byRule'> {
  const cut = (spans: readonly Span[]) =>
    reaches === undefined
      ? spans.flatMap(({ from, to }) => (from <= oldest ? [{ from, to: Math.min(to, oldest) }] : []))
      : reaches <= oldest
        ? spans
        : [];
  return { intake: cut(intake), byRule: byRule && Object.fromEntries(Object.entries(byRule).map(([rule, spans]) => [rule, cut(spans)])) };
}

/** When a door is open for what some stops bring. */
function openFor({ intake, byRule }: Door, { stops }: DayProblem, leg: readonly number[]): readonly Span[] {
  if (!byRule) return intake;
  const rules = [...new Set(leg.flatMap((number) => stops[number]!.bottles.flatMap(({ rule }) => rule ?? [])))];
  const spans = rules.flatMap((rule) => (byRule[rule] ? [byRule[rule]] : []));
  return spans.length > 0 ? spans.reduce(inBoth) : intake;
}

/** A day up to the door on the way, which is where it ends, with the stops of that leg. */
export function untilMidway(problem: DayProblem, leg: readonly number[]): DayProblem {
  const { stops, travel, midway } = problem;
  const [end, door] = [stops.length + 1, stops.length + 2];
  return {
    ...problem,
    intake: openFor(midway!, problem, leg),
    reaches: midway!.reaches,
    travel: travel.map((row) => row.map((way, column) => (column === end ? row[door]! : way))),
    midway: undefined,
  };
}

/** A day from the door on the way on, where it was handed over at a moment (ms), with the stops of that leg. */
export function fromMidway(
  problem: DayProblem,
  leg: readonly number[],
  { handOver, lunch }: { handOver: number; lunch: object | null },
): DayProblem {
  const { stops, travel } = problem;
  return {
    ...problem,
    intake: openFor(problem, problem, leg),
    start: handOver + givingLasts,
    lunch: lunch ? null : problem.lunch,
    travel: travel.map((row, from) => (from === stops.length ? travel[stops.length + 2]! : row)),
    midway: undefined,
  };
}

/** An order up to the door on the way, and after it. */
export function legsOf({ midway }: DayProblem, order: readonly number[]): [number[], number[]] {
  const cut = midway ? order.indexOf(midway.after) + 1 : order.length;
  return [order.slice(0, cut), order.slice(cut)];
}
