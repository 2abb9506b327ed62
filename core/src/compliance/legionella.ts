import type { Span } from './percentile.ts';
import { legionellaSystems, type BandRow, type LegionellaSystemId } from './tables/legionella.ts';

/**
 * The band that a number of Legionella (CFU in 100 mL) falls into by the kind of system; null where a span falls into more than one.
 * @example legionellaBand('building', { low: 100, high: 100 })?.name // 'medium'
 */
export function legionellaBand(system: LegionellaSystemId, { low, high }: Span): BandRow | null {
  const { bands }: { bands: readonly BandRow[] } = legionellaSystems[system];
  const at = (value: number) => bands.findLast(({ over }) => value > over)!;
  return at(low) === at(high) ? at(low) : null;
}
