import { parameter } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { convert } from '../units/index.ts';
import { boundsOf } from './judge.ts';
import { specialGroups, type SpecialGroup } from './tables/special-groups.ts';

/**
 * The people to whom results of drinking water matter more than to others, each group once: by what is there at least, so that a bound says
 * nothing. Whatever set leads, and whether its value is met or not.
 * @example groupsConcerned([{ parameter: 'sodium', form: 'value', value: 35 }]).map(({ who }) => who) // ['People on a diet with little sodium']
 */
export function groupsConcerned(results: readonly Pick<LabResult, 'parameter' | 'form' | 'value' | 'reportingLimit'>[]): SpecialGroup[] {
  return specialGroups.filter(({ parameter: id, over, unit }) =>
    results.some((result) => result.parameter === id && boundsOf(result).low > convert(over, unit, parameter(id).unit)),
  );
}

export type { SpecialGroup };
