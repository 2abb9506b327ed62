import { parameter, type ParameterId } from '../parameters/index.ts';
import { unit } from '../units/index.ts';
import { boundsOf, type Bounded } from './judge.ts';

/** Two bottles of one water differ by no more than this part of their mean. Common practice; programmes ask for 20 to 30 %. */
export const duplicatesMayDiffer = 0.3;

/** Whether a difference is a part of the mean. Not so of pH and warmth; and a germ that was found was there, whatever stood beside it. */
const isCompared = (id: ParameterId) => !['acidity', 'temperature', 'count'].includes(unit(parameter(id).unit).dimension);

/**
 * By what part of their mean two results of one water differ at least, where that is more than duplicates do and more than the lab's
 * reporting limit; null where they agree, where it cannot be told, and for germs. RPD = |a − b| ÷ ((a + b) ÷ 2) (EPA QA/G-9, from memory).
 * @example duplicateDiffers({ parameter: 'nitrate', form: 'value', value: 12 }, { parameter: 'nitrate', form: 'value', value: 3 }) // 1.2
 */
export function duplicateDiffers(one: Bounded, other: Bounded): number | null {
  if (one.parameter !== other.parameter || !isCompared(one.parameter)) return null;
  const [less, more] = [boundsOf(one), boundsOf(other)].sort((a, b) => a.low - b.low) as [Range, Range];
  // What lies between them at least: a bound may hide more.
  const [from, to] = [less.high, more.low];
  if (!(to > from) || !Number.isFinite(from)) return null;
  const unseen = Math.max(one.reportingLimit ?? 0, other.reportingLimit ?? 0);
  const share = (to - from) / ((to + from) / 2);
  return share > duplicatesMayDiffer && to - from > unseen ? share : null;
}

type Range = ReturnType<typeof boundsOf>;
