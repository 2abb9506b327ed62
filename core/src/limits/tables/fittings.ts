import type { ParameterId } from '../../parameters/index.ts';

/**
 * What comes from pipes and fittings: only water that stood in them tells of it, taken without flushing.
 * Source: Directive (EU) 2020/2184, Annex II, Part D (copper, lead and nickel at the consumer's tap: no prior flushing, a random
 * daytime sample of one litre; from memory).
 */
export const fromFittings: readonly ParameterId[] = ['lead', 'copper', 'nickel'];
