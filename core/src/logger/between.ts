import type { Recorded } from './reading/read.ts';

/** What a recording says between its readings, by a straight line; NaN where they are too far apart. Asked in the order of time. */
export function between({ times, values }: Pick<Recorded, 'times' | 'values'>, gap: number): (at: number) => number {
  let next = 0;
  return (at) => {
    if (next > 0 && times[next - 1]! > at) next = 0;
    while (next < times.length && times[next]! < at) next++;
    if (times[next] === at) return values[next]!;
    if (next === 0 || next === times.length) return Number.NaN;
    const [before, after] = [times[next - 1]!, times[next]!];
    if (after - before > gap) return Number.NaN;
    return values[next - 1]! + ((values[next]! - values[next - 1]!) * (at - before)) / (after - before);
  };
}
