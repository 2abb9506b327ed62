/** What became of a text that should hold one number. `decimals` counts the digits typed after the mark. */
export type NumberReading =
  | { ok: true; value: number; decimals: number }
  | {
      ok: false;
      code: 'empty' | 'feet-and-inches' | 'not-a-number' | 'ambiguous' | 'two-ways' | 'other-decimal';
      text: string;
      suggestion?: string;
    };

/** `12' 7"`, `12 ft 7.5 in`, `12' 7 3/8"`. */
const feetAndInches = /^(\d+)\s*(?:'|ft\.?|′)\s*(?:(\d+(?:[.,]\d+)?)(?![\d/]))?(?:(?:^|\s+|-)?(\d+)\/(\d+))?\s*(?:"|''|in\.?|″)?$/i;

/**
 * Reads a number as a technician types it: decimal point or comma, with an optional sign and spaced or marked
 * thousands. Never guesses: `12' 7"` is asked about rather than read as 12.7, and `1e9` or `∞` are refused.
 * @example readNumber('7,40') // { ok: true, value: 7.4, decimals: 2 }
 */
export function readNumber(text: string): NumberReading {
  // The plain case first: a long book holds thousands of numbers.
  if (/^\d{1,15}([.,]\d{1,15})?$/.test(text)) {
    const mark = text.search(/[.,]/);
    return { ok: true, value: Number(text.replace(',', '.')), decimals: mark < 0 ? 0 : text.length - mark - 1 };
  }
  const trimmed = text.trim().replace(/[\u00a0\u202f]/g, ' ');
  if (trimmed === '') return { ok: false, code: 'empty', text: trimmed };

  const imperial = feetAndInches.exec(trimmed);
  if (imperial) {
    const [, feet, whole = '0', part = '0', of = '1'] = imperial as unknown as [string, string, string?, string?, string?];
    const inches = Number(whole.replace(',', '.')) + Number(part) / Number(of);
    // A foot has twelve: more is a slip that nobody reads alike.
    if (!(inches < 12)) return { ok: false, code: 'not-a-number', text: trimmed };
    return { ok: false, code: 'feet-and-inches', text: trimmed, suggestion: (Number(feet) + inches / 12).toFixed(2) };
  }

  const plain = trimmed.replace(/^[−–]/, '-');
  const normal = withDecimalPoint(plain);
  if (normal === 'ambiguous') {
    return { ok: false, code: 'ambiguous', text: trimmed };
  }
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(normal)) {
    return { ok: false, code: 'not-a-number', text: trimmed };
  }
  return { ok: true, value: Number(normal), decimals: normal.split('.')[1]?.length ?? 0 };
}

function withDecimalPoint(text: string): string {
  const spaced = /^[+-]?\d{1,3}( \d{3})+([.,]\d+)?$/.test(text) ? text.replaceAll(' ', '') : text;
  const commas = spaced.split(',').length - 1;
  const points = spaced.split('.').length - 1;
  if (commas + points <= 1) return spaced.replace(',', '.');
  const decimal = spaced.lastIndexOf(',') > spaced.lastIndexOf('.') ? ',' : '.';
  const thousands = decimal === ',' ? '.' : ',';
  const grouped = new RegExp(`^[+-]?\\d{1,3}(\\${thousands}\\d{3})+\\${decimal}\\d+$`);
  return grouped.test(spaced) ? spaced.replaceAll(thousands, '').replace(decimal, '.') : 'ambiguous';
}
