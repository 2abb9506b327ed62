import { readNumber, type NumberReading } from './numbers.ts';

/** The mark that somebody writes before decimals. */
export type DecimalMark = 'point' | 'comma';

/** How a person or a file writes numbers. */
export interface NumberStyle {
  /** `mixed` where some have one mark and some the other; `unknown` where none shows it. */
  decimals: DecimalMark | 'mixed' | 'unknown';
  /** A person said so of this very file: the other mark parts thousands then. */
  isSaid: boolean;
  /** Where both marks stand before decimals, the one that most numbers have: what has the other one is asked about. */
  mostly?: DecimalMark;
  /** Numbers show that the other mark parts thousands: `1,180.50`. */
  isParted?: true;
}

/** Nobody has said or shown how numbers are written. */
export const unknownStyle: NumberStyle = { decimals: 'unknown', isSaid: false };

const signs: Readonly<Record<DecimalMark, string>> = { point: '.', comma: ',' };
export const otherMark = (mark: DecimalMark): DecimalMark => (mark === 'point' ? 'comma' : 'point');

/** A number with one mark before three digits: a thousand or a decimal. One that begins with 0 can only be a decimal. */
const eitherWay = /^[-−–+]?[1-9]\d{0,2}([.,])\d{3}$/;
/** Numbers with both marks, each in its one place: nothing else can be meant. */
const bothMarks: Readonly<Record<DecimalMark, RegExp>> = {
  point: /^[<>≤≥]?\s*[-−–+]?\d{1,3}(,\d{3})+\.\d+$/,
  comma: /^[<>≤≥]?\s*[-−–+]?\d{1,3}(\.\d{3})+,\d+$/,
};
/** A number whose thousands are parted by the mark that is not before its decimals. */
const parted: Readonly<Record<DecimalMark, RegExp>> = {
  point: /^[-−–+]?\d{1,3}(,\d{3})+(\.\d*)?$/,
  comma: /^[-−–+]?\d{1,3}(\.\d{3})+(,\d*)?$/,
};
const marked = /^[<>≤≥]?\s*([-−–+]?\d+([.,])\d+)(?!\d*[.,])\b/;

/**
 * Told from all numbers of a file or a column: `12,9` shows a decimal comma, `1,234` shows nothing.
 * @example styleShown(['1,234', '0.5']) // { decimals: 'point', isSaid: false }
 */
export function styleShown(cells: Iterable<string>): NumberStyle {
  const counts = { point: 0, comma: 0 };
  const isParted = { point: false, comma: false };
  for (const cell of cells) {
    const text = cell.trim();
    const [, number, mark] = marked.exec(text) ?? [];
    if (number && mark && !eitherWay.test(number)) counts[mark === '.' ? 'point' : 'comma'] += 1;
    for (const one of ['point', 'comma'] as const) if (bothMarks[one].test(text)) isParted[one] = true;
  }
  const has = (one: DecimalMark) => counts[one] > 0 || isParted[one];
  if (has('point') && has('comma')) {
    const mostly = (['point', 'comma'] as const).find((one) => counts[one] >= 2 * counts[otherMark(one)]);
    return { decimals: 'mixed', isSaid: false, ...(mostly ? { mostly } : {}) };
  }
  const decimals = (['comma', 'point'] as const).find(has) ?? 'unknown';
  return { decimals, isSaid: false, ...(isParted.point || isParted.comma ? { isParted: true } : {}) };
}

/** A number that has the mark which few of a file have, or blanks among digits in such a file. */
function isLoneOther(text: string, mostly: DecimalMark): boolean {
  const other = signs[otherMark(mostly)];
  if (/\d\s\d/.test(text) || text.includes("'")) return true;
  return text.lastIndexOf(other) > text.lastIndexOf(signs[mostly]) && !eitherWay.test(text);
}

/**
 * Reads a number as its writer means it. What would be a thousand by one habit and a decimal by the other is not read unless the style
 * tells: `1,050` is 1.05 to some and 1050 to others.
 * @example readStyled('1,050', { decimals: 'point', isSaid: false }).code // 'two-ways'
 */
export function readStyled(text: string, { decimals, isSaid, mostly, isParted }: NumberStyle): NumberReading {
  const trimmed = text.trim();
  if (mostly && isLoneOther(trimmed, mostly)) return { ok: false, code: 'other-decimal', text: trimmed };
  const known = decimals === 'point' || decimals === 'comma' ? decimals : null;
  if ((isSaid || isParted) && known) {
    const other = signs[otherMark(known)];
    if (!trimmed.includes(other)) return readNumber(trimmed);
    return parted[known].test(trimmed) ? readNumber(trimmed.replaceAll(other, '')) : { ok: false, code: 'other-decimal', text: trimmed };
  }
  const [, mark] = eitherWay.exec(trimmed) ?? [];
  if (mark === undefined || (known && mark === signs[known])) return readNumber(trimmed);
  return { ok: false, code: 'two-ways', text: trimmed, ...(known ? { suggestion: trimmed.replace(mark, signs[known]) } : {}) };
}
