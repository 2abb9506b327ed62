import type { NumberReading } from './numbers.ts';

/** Why a text is no number, as a sentence. */
export function sayNumber({ code, text, suggestion = '' }: Extract<NumberReading, { ok: false }>): string {
  switch (code) {
    case 'empty':
      return 'Enter a number.';
    case 'feet-and-inches':
      return `${text} is feet and inches. In decimal feet it is ${suggestion}: enter that if it is what you mean.`;
    case 'ambiguous':
      return `${text} has more than one mark. Write it with one decimal point and no thousands mark.`;
    case 'not-a-number':
      return `“${text}” is not a number. Use digits and one decimal point or comma.`;
  }
}
