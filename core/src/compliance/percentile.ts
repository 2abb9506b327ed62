/** A number that is known to lie between two others, both included. */
export interface Span {
  low: number;
  high: number;
}

const interpolated = (sorted: readonly number[], rank: number): number => {
  const [below, above] = [Math.floor(rank), Math.ceil(rank)];
  const at = (place: number) => sorted[Math.min(sorted.length, Math.max(1, place)) - 1]!;
  return at(below) + (at(above) - at(below)) * (rank - below);
};

/**
 * The 90th percentile of lead or copper over a monitoring period: the number at rank 0.9 · n from the lowest, the mean of the two highest of
 * five samples, the highest of fewer. `value` interpolates between two ranks, `upper` takes the higher one: where a value lies between the
 * two, the authority says which holds.
 * Source: 40 CFR 141.80(c)(4) (from memory).
 * @param samples the first-draw or fifth-litre result of each place, each as a span
 * @throws RangeError where there is no sample
 * @example percentile90([1, 2, 3, 4, 10].map((value) => ({ low: value, high: value }))).value.high // 7
 */
export function percentile90(samples: readonly Span[]): { value: Span; upper: Span; count: number } {
  const count = samples.length;
  if (count === 0) throw new RangeError('At least one sample is needed.');
  const rank = count < 5 ? count : 0.9 * count;
  // 0.9 · 10 is 9.000000000000002 as a binary fraction.
  const exact = Number(rank.toFixed(6));
  const of = (pick: (span: Span) => number, at: number) =>
    interpolated(
      samples.map(pick).sort((a, b) => a - b),
      at,
    );
  const span = (at: number): Span => ({ low: of(({ low }) => low, at), high: of(({ high }) => high, at) });
  return { value: span(exact), upper: span(Math.ceil(exact)), count };
}

/** Whether a percentile is over a level: for certain, for certain not, or open. */
export function overLevel(
  { value, upper }: Pick<ReturnType<typeof percentile90>, 'value' | 'upper'>,
  level: number,
): 'over' | 'not-over' | 'open' {
  if (value.low > level) return 'over';
  return upper.high <= level ? 'not-over' : 'open';
}
