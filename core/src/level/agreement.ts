import { base, type Typed } from '../units/index.ts';
import { agreementTolerance } from './tables/agreement.ts';

/** How close two readings must be in m: the tolerance of the coarser of the two units. */
export function toleranceFor(a: Typed, b: Typed): number {
  const isFeet = (typed: Typed) => typed.unit === 'ft' || typed.unit === 'in';
  return isFeet(a) && isFeet(b) ? agreementTolerance.feet : agreementTolerance.metric;
}

/** Whether two readings agree. A hair is allowed for binary fractions: 7.40 and 7.405 m do agree within 5 mm. */
export function agree(a: Typed, b: Typed): boolean {
  return Math.abs(base(a) - base(b)) <= toleranceFor(a, b) + 1e-9;
}
