import type { Span } from './percentile.ts';

/** The mean of a quarter at one place, or null where nothing was sampled. */
export type Quarter = Span | null;

const sum = (spans: readonly Span[]): Span =>
  spans.reduce((all, { low, high }) => ({ low: all.low + low, high: all.high + high }), { low: 0, high: 0 });

/** The mean of several results of one quarter; null of none. */
export function quarterOf(results: readonly Span[]): Quarter {
  if (results.length === 0) return null;
  const { low, high } = sum(results);
  return { low: low / results.length, high: high / results.length };
}

export interface RunningAverage {
  /** Over the quarters that have results. */
  average: Span;
  quarters: number;
  /**
   * `over` also where three quarters or fewer make it sure, whatever the rest brings; `open` where quarters are missing or a span crosses.
   */
  state: 'over' | 'not-over' | 'open';
}

/**
 * The running annual average at one place over the last four quarters, the newest last. With fewer than four the place is over as soon as
 * what there is puts it over with nothing more to come.
 * Source: 40 CFR 141.620(d), 141.625 (from memory).
 * @throws RangeError where there are more than four quarters, or none has a result
 * @example runningAverage([{ low: 80, high: 80 }, null, null, null], 80).state // 'open'
 */
export function runningAverage(quarters: readonly Quarter[], most: number): RunningAverage {
  const there = quarters.filter((quarter) => quarter !== null);
  if (quarters.length > 4 || there.length === 0) throw new RangeError('A year has one to four quarters with results.');
  const total = sum(there);
  const average = { low: total.low / there.length, high: total.high / there.length };
  if (total.low / 4 > most) return { average, quarters: there.length, state: 'over' };
  const isWhole = there.length === 4;
  return { average, quarters: there.length, state: isWhole && total.high / 4 <= most ? 'not-over' : 'open' };
}

/**
 * The operational evaluation level of by-products at one place: the quarter twice and the two before it once, by four; over the value for the
 * year the operator looks at how the system is run. Null where one of the three is missing.
 * Source: 40 CFR 141.626(a) (from memory).
 */
export function operationalLevel([before2, before, now]: readonly [Quarter, Quarter, Quarter]): Span | null {
  if (!before2 || !before || !now) return null;
  const { low, high } = sum([before2, before, now, now]);
  return { low: low / 4, high: high / 4 };
}
