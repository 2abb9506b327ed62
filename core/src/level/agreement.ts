import { base, type Typed } from '../units/index.ts';
import type { Tolerances } from './tables/tolerances.ts';

/** How close two readings must be in m: the tolerance of the coarser of the two units. */
export function toleranceFor(a: Typed, b: Typed, { agreement }: Tolerances): number {
  const isFeet = (typed: Typed) => typed.unit === 'ft' || typed.unit === 'in';
  return isFeet(a) && isFeet(b) ? agreement.feet : agreement.metric;
}

/** Whether two readings agree. A hair is allowed for binary fractions: 7.40 and 7.405 m do agree within 5 mm. */
export function agree(a: Typed, b: Typed, tolerances: Tolerances): boolean {
  return Math.abs(base(a) - base(b)) <= toleranceFor(a, b, tolerances) + 1e-9;
}
