import { parameter } from '@fonte/core/parameters';
import type { LabResult } from '@fonte/core/read';
import { readNumber, showNumber, unitLabel } from '@fonte/core/units';

const words: Readonly<Partial<Record<LabResult['form'], string>>> = {
  below: 'not detected',
  present: 'present',
  absent: 'absent',
  uncountable: 'too many',
};

/** How many digits of a printed number say something: 31 has two, 31.0 three, 0.0084 two. */
function digitsOf(printed: string): number | null {
  const number = /\d[\d.,]*/.exec(printed)?.[0];
  if (!number || !readNumber(number).ok) return null;
  return number.replace(/[.,]/g, '').replace(/^0+/, '').length || null;
}

/** A number with so many significant digits, and no more decimals than these ask for. */
function withDigits(value: number, digits: number): string {
  if (value === 0) return '0';
  const places = Math.max(0, digits - 1 - Math.floor(Math.log10(Math.abs(value))));
  return showNumber(value, Math.min(places, 9));
}

/** A result in its parameter's own unit with the digits that the lab printed: 31 is not 31.0. */
export function asPrinted({ parameter: id, form, value, written }: LabResult): { text: string; unit: string } {
  if (value === null) return { text: words[form] ?? '–', unit: '' };
  const { unit, decimals } = parameter(id);
  const sign = form === 'below' ? '< ' : form === 'above' ? '> ' : '';
  const digits = digitsOf(written.result);
  return { text: `${sign}${digits === null ? showNumber(value, decimals) : withDigits(value, digits)}`, unit: unitLabel(unit) };
}
