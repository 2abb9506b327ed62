import { parameter } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { convert } from '../units/index.ts';
import type { Verdict } from './judge.ts';
import { performancePlace, widestUncertainty } from './tables/performance.ts';

/**
 * The part of its value that the lab's uncertainty may be at most, where what the lab states is wider; null where it is not, or nobody asks.
 * @example // nitrate 30 ± 9 mg/L, value 50: 9 is more than 15 % of 50
 */
export function uncertaintyAllowed(
  result: Pick<LabResult, 'parameter' | 'form' | 'value' | 'uncertainty'>,
  { limit }: Pick<Verdict, 'limit'>,
): number | null {
  const widest = widestUncertainty[result.parameter];
  if (widest === undefined || !limit?.place.startsWith(performancePlace) || limit.most === undefined) return null;
  if (result.form !== 'value' || result.value === null || result.uncertainty === undefined) return null;
  const most = convert(limit.most, limit.unit, parameter(result.parameter).unit);
  return result.uncertainty > widest * Math.max(most, result.value) * (1 + 1e-9) ? widest : null;
}
