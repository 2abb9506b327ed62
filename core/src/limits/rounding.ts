import { isCounted, parameter } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { convert, unitLabel } from '../units/index.ts';
import type { Verdict } from './judge.ts';
import { roundedTexts, type PrintedDecimals } from './tables/rounding.ts';

/** How many decimals a number is written with. */
const decimalsIn = (value: number) => value.toFixed(12).replace(/0+$/, '').split('.')[1]!.length;

/** Halves up, whatever binary fractions hold of them: 0.0105 to three decimals is 0.011. */
const roundTo = (value: number, decimals: number) => Number((value * (1 + 1e-12)).toFixed(decimals));

/**
 * What a result over a value becomes by the decimals that the text prints the value with, where it is no longer over it then; null elsewhere.
 * In the unit and form of the text. The verdict stays: whether rounding counts is for the authority.
 */
export function metWhenRounded(
  result: Pick<LabResult, 'parameter' | 'form' | 'value'>,
  { state, limit }: Pick<Verdict, 'state' | 'limit'>,
): string | null {
  const isOver = state === 'over-health' || state === 'over-action';
  if (!isOver || !limit || limit.most === undefined || result.form !== 'value' || result.value === null || isCounted(result.parameter))
    return null;
  const text = roundedTexts.find(({ place }) => limit.place.startsWith(place));
  if (!text) return null;
  const printed: PrintedDecimals = text.printed[result.parameter] ?? { decimals: decimalsIn(limit.most) };
  const { decimals, times = 1, basis } = printed;
  const number = convert(result.value, parameter(result.parameter).unit, limit.unit) / times;
  const rounded = roundTo(number, decimals);
  const most = Number((limit.most / times).toFixed(decimals));
  return number > most && rounded <= most ? `${rounded.toFixed(decimals)} ${unitLabel(limit.unit)}${basis ? ` ${basis}` : ''}` : null;
}
