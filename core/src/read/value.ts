import type { Coded } from '../findings/index.ts';
import { readNumber } from '../units/index.ts';

/**
 * What stands in a result cell. `value` is the number; with `below` and `above` it is the bound. `below` without a
 * number, and `present`, `absent`, `uncountable`, have none.
 */
export interface CellValue {
  form: 'value' | 'below' | 'above' | 'present' | 'absent' | 'uncountable';
  value: number | null;
  estimated: boolean;
}

const words: [RegExp, CellValue['form']][] = [
  [/^(nd|n\.d\.?|n\/d|u|not detected|não detetado|nao detetado|nicht nachweisbar|n\.n\.?)$/i, 'below'],
  [/^(tntc|confluent|incont[aá]vel|uncountable)$/i, 'uncountable'],
  [/^(present|presente|positive|positivo|p|detected|detetado|positiv|présent)$/i, 'present'],
  [/^(absent|ausente|negative|negativo|a|ausência|negativ|nachweisfrei)$/i, 'absent'],
];

/** The longest cell that can hold a result: a longer one is prose, and is not searched for a number. */
const longestResult = 60;

/** How the numbers of a file are written, told from all of them: see {@link numberStyle}. */
export type NumberStyle = 'comma' | 'point' | 'unknown';

/**
 * Whether a file writes a decimal comma. A file that does cannot mean a decimal by `1.234`: that is a thousand or a
 * slip, and is handed back rather than guessed.
 */
export function numberStyle(cells: Iterable<string>): NumberStyle {
  let style: NumberStyle = 'unknown';
  for (const cell of cells) {
    if (/^[<>≤≥]?\s*\d+,\d+\b/.test(cell)) return 'comma';
    if (/^[<>≤≥]?\s*\d+\.\d+\b/.test(cell)) style = 'point';
  }
  return style;
}

/**
 * Reads a result cell with its flag column: `12,9`, `<0.05`, `> 2419`, `ND`, `0.8 J`, `TNTC`, `absent`. A `U` flag on
 * a number says that it was not detected at that number; a `J` that it is an estimate.
 */
export function readValue(
  cell: string,
  qualifier: string,
  style: NumberStyle = 'unknown',
): ({ ok: true } & CellValue) | ({ ok: false } & Coded) {
  const text = cell.trim();
  const flags = qualifier.trim().toUpperCase();
  if (text === '') return { ok: false, code: 'no-result' };
  if (text.length > longestResult) return { ok: false, code: 'result-long' };
  const word = /\d/.test(text) ? undefined : words.find(([pattern]) => pattern.test(text));
  if (word) return { ok: true, form: word[1], value: null, estimated: false };

  const match = /^([<>≤≥]?)\s*([-−+]?[\d.,\s]+?)\s*([A-Z]{1,2})?$/i.exec(text);
  const number = match ? readNumber(match[2]!) : null;
  if (!match || !number?.ok) return { ok: false, code: 'not-a-result' };
  if ((style === 'comma' && /^\d{1,3}\.\d{3}$/.test(match[2]!)) || (style === 'point' && /^\d{1,3},\d{3}$/.test(match[2]!))) {
    return { ok: false, code: 'thousand-or-decimal' };
  }
  if (number.value < 0) return { ok: false, code: 'negative' };
  const marks = `${flags} ${(match[3] ?? '').toUpperCase()}`;
  if (match[3] && !/^(U|J|UJ|B)$/i.test(match[3])) return { ok: false, code: 'unknown-flag', data: { flag: match[3] } };
  const below = match[1] === '<' || match[1] === '≤' || /\bU\b|\bUJ\b|\bND\b/.test(marks);
  const above = match[1] === '>' || match[1] === '≥';
  return { ok: true, form: below ? 'below' : above ? 'above' : 'value', value: number.value, estimated: /\bJ\b|\bUJ\b/.test(marks) };
}
