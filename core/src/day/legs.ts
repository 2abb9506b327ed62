import { givingLasts, type DayProblem, type Door } from './problem.ts';

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
  const until = ({ intake, reaches }: Door) =>
    reaches === undefined
      ? intake.flatMap(({ from, to }) => (from <= oldest ? [{ from, to: Math.min(to, oldest) }] : []))
      : reaches <= oldest
        ? intake
        : [];
  const { midway } = problem;
  return midway ? { ...problem, midway: { ...midway, intake: until(midway) } } : { ...problem, intake: until(problem) };
}

/** A day up to the door on the way, which is where it ends. */
export function untilMidway(problem: DayProblem): DayProblem {
  const { stops, travel, midway } = problem;
  const [end, door] = [stops.length + 1, stops.length + 2];
  return {
    ...problem,
    intake: midway!.intake,
    reaches: midway!.reaches,
    travel: travel.map((row) => row.map((way, column) => (column === end ? row[door]! : way))),
    midway: undefined,
  };
}

/** A day from the door on the way on, where it was handed over at a moment (ms). */
export function fromMidway(problem: DayProblem, handOver: number, hadLunch: boolean): DayProblem {
  const { stops, travel } = problem;
  return {
    ...problem,
    start: handOver + givingLasts,
    lunch: hadLunch ? null : problem.lunch,
    travel: travel.map((row, from) => (from === stops.length ? travel[stops.length + 2]! : row)),
    midway: undefined,
  };
}

/** An order up to the door on the way, and after it. */
export function legsOf({ midway }: DayProblem, order: readonly number[]): [number[], number[]] {
  const cut = midway ? order.indexOf(midway.after) + 1 : order.length;
  return [order.slice(0, cut), order.slice(cut)];
}
