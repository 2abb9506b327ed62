import { readNumber, type NumberReading } from './numbers.ts';

/** The mark that somebody writes before decimals. */
export type DecimalMark = 'point' | 'comma';

/** How a person or a file writes numbers. */
export interface NumberStyle {
  /** `mixed` where some have one mark and some the other; `unknown` where none shows it. */
  decimals: DecimalMark | 'mixed' | 'unknown';
  /** A person said so of this very file: the other mark parts thousands then. */
  isSaid: boolean;
}

/** Nobody has said or shown how numbers are written. */
export const unknownStyle: NumberStyle = { decimals: 'unknown', isSaid: false };

const signs: Readonly<Record<DecimalMark, string>> = { point: '.', comma: ',' };
export const otherMark = (mark: DecimalMark): DecimalMark => (mark === 'point' ? 'comma' : 'point');

/** A number with one mark before three digits: a thousand or a decimal. One that begins with 0 can only be a decimal. */
const eitherWay = /^[-−–+]?[1-9]\d{0,2}([.,])\d{3}$/;
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
  const seen = new Set<string>();
  for (const cell of cells) {
    const [, number, mark] = marked.exec(cell.trim()) ?? [];
    if (number && mark && !eitherWay.test(number)) seen.add(mark);
  }
  const decimals = seen.size === 2 ? 'mixed' : seen.has(',') ? 'comma' : seen.has('.') ? 'point' : 'unknown';
  return { decimals, isSaid: false };
}

/**
 * Reads a number as its writer means it. What would be a thousand by one habit and a decimal by the other is not read unless the style
 * tells: `1,050` is 1.05 to some and 1050 to others.
 * @example readStyled('1,050', { decimals: 'point', isSaid: false }).code // 'two-ways'
 */
export function readStyled(text: string, { decimals, isSaid }: NumberStyle): NumberReading {
  const trimmed = text.trim();
  const known = decimals === 'point' || decimals === 'comma' ? decimals : null;
  if (isSaid && known) {
    const other = signs[otherMark(known)];
    if (!trimmed.includes(other)) return readNumber(trimmed);
    return parted[known].test(trimmed) ? readNumber(trimmed.replaceAll(other, '')) : { ok: false, code: 'other-decimal', text: trimmed };
  }
  const [, mark] = eitherWay.exec(trimmed) ?? [];
  if (mark === undefined || (known && mark === signs[known])) return readNumber(trimmed);
  return { ok: false, code: 'two-ways', text: trimmed, ...(known ? { suggestion: trimmed.replace(mark, signs[known]) } : {}) };
}
