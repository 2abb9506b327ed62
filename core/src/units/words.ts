import type { NumberReading } from './numbers.ts';
import { unit, type UnitId } from './units.ts';

/** Why a text is no number in a unit, as a sentence: feet and inches are only offered where a length is asked for. */
export function sayNumber({ code, text, suggestion = '' }: Extract<NumberReading, { ok: false }>, id?: UnitId): string {
  switch (code === 'feet-and-inches' && id && unit(id).dimension !== 'length' ? 'not-a-number' : code) {
    case 'empty':
      return 'Enter a number.';
    case 'feet-and-inches':
      return `${text} is feet and inches. In decimal feet it is ${suggestion}: enter that if it is what you mean.`;
    case 'ambiguous':
      return `${text} has more than one mark. Write it with one decimal point and no thousands mark.`;
    case 'two-ways':
      return `“${text}” can be read in two ways. Type ${text.replace(/[.,]/, '')}, or ${suggestion} if it has decimals.`;
    case 'other-decimal':
      return `“${text}” has the other decimal mark than was said.`;
    case 'not-a-number':
      return `“${text}” is not a number. Use digits and one decimal point or comma.`;
  }
}
