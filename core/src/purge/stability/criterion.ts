import type { Edition } from '../../editions/index.ts';
import type { ParameterId } from '../../parameters/index.ts';

/** How far readings may differ: by so much in the parameter's unit, or so many per cent of the reference; where both stand, the larger. */
export interface Allowed {
  absolute?: number;
  percent?: number;
}

/** What a criterion asks of one parameter. */
export interface Tolerance extends Allowed {
  parameter: ParameterId;
  /** At or below it (parameter's unit) any reading holds. */
  floor?: number;
  /** The per cent that holds up to a reference (parameter's unit), where a source has another one for small numbers. */
  small?: { most: number; percent: number };
  /** What holds instead up to a reference (parameter's unit), the smallest first, where a source tells cases by the level. */
  cases?: readonly (Allowed & { most: number })[];
  /**
   * A meter that reads in steps no coarser than this (parameter's unit) cannot tell its first step from nothing: values at or below its
   * step hold, whatever the per cent.
   */
  blind?: number;
}

/** What sets are held against: the one before, the median of the window, or one another (largest less smallest). */
export type Against = 'previous' | 'median' | 'spread';

export interface Criterion extends Edition {
  name: string;
  /** Consecutive sets that must agree. */
  sets: number;
  against: Against;
  /** Readings that go one way all along, and further than they may differ, are drifting and not stable, however small each step is. */
  isDriftTold?: true;
  /** Seconds that sets should be apart at least: one that is read sooner is asked about. */
  apart?: number;
  /**
   * What has to lie between two sets for the later one to count: a time in s, or so many of the method's volumes pumped. Where both
   * stand, either does.
   */
  between?: { seconds?: number; volumes?: number };
  tolerances: readonly Tolerance[];
}

/** The seconds that sets are to be apart, however a criterion says so; null where it does not. */
export const apartOf = ({ apart, between }: Pick<Criterion, 'apart' | 'between'>): number | null => between?.seconds ?? apart ?? null;

/** What a tolerance allows at a reference, in the parameter's unit. */
export function allowedAt(tolerance: Tolerance, reference: number): number {
  const { small, cases = [] } = tolerance;
  const size = Math.abs(reference);
  const { absolute = 0, percent = 0 }: Allowed = [...(small ? [small] : []), ...cases].find(({ most }) => size <= most) ?? tolerance;
  return Math.max(absolute, (size * percent) / 100);
}
