import type { Coded } from '../../findings/index.ts';
import { readNumber, readStyled, unknownStyle } from '../../units/index.ts';
import type { CellStyle } from './style.ts';
import type { FlagMeaning } from '../tables/flags.ts';
import { bareFlag, meaningOf } from './flags.ts';
import { partsOfCell, type CellParts } from './parts.ts';

export { bareFlag };
export type { CellStyle } from './style.ts';

/**
 * What stands in a result cell. `value` is the number; with `below` and `above` it is the bound. `below` without a
 * number, and `present`, `absent`, `uncountable`, have none.
 */
export interface CellValue {
  form: 'value' | 'below' | 'above' | 'present' | 'absent' | 'uncountable';
  value: number | null;
  /** The bound itself is meant too: `≤ 1` may be 1. */
  inclusive?: boolean;
  estimated: boolean;
  /** The lab gives the number and says that it was measured too late, or not quite in order. */
  isLate?: true;
  /** What follows ±, in the unit of the result, or in per cent of it. */
  uncertainty?: { value: number; isShare: boolean };
}

/** The volume in which a germ was looked for, behind a word. */
const inVolume = String.raw`(?:\s?(?:in|em|en|dans|per|je|\/))?\s?(?:100|250) ?ml`;

const germVolume = new RegExp(`${inVolume}$`, 'i');

/** Words for what was looked for and not found, in a cell or a flag; how little was looked for they do not say. */
const notFound =
  /^(n\/?d|not detected|none detected|undetected|n[ãa]o dete(c)?tado|no detectado|non d[ée]tect[ée]|nicht nachweisbar|n\.?n\.?)$/i;

/** Whether a lab says by a word, and by nothing else, that it did not find what it looked for. */
export const saysNotFound = (cell: string, flag: string): boolean =>
  [cell, flag].every((text) => text === '' || notFound.test(text)) && (cell !== '' || flag !== '');

const words: [RegExp, CellValue['form']][] = [
  [
    /^(n\/d|not detected|none detected|undetected|n[ãa]o dete(c)?tado|no detectado|non d[ée]tect[ée]|nicht nachweisbar|nicht bestimmbar|n\.n\.?|n\.b\.?)$/i,
    'below',
  ],
  [
    /^(incont[aá]ve(l|is)|incontables?|incomptables?|ind[ée]nombrables?|nicht (aus)?z[äa]hlbar|uncountable|too numerous to count|demasiado numeros[ao]s?|muito numeros[ao]s?)$/i,
    'uncountable',
  ],
  [
    new RegExp(
      `^(not detected|none detected|n[ãa]o dete(c)?tado|no detectado|non d[ée]tect[ée]|nicht nachweisbar|n\\.n\\.)${inVolume}$`,
      'i',
    ),
    'absent',
  ],
  [
    /^(present|presente|presen[çc]a|presencia|positive|positivo|p|detected|dete(c)?tado|detectado|positiv|pr[ée]sent|pr[ée]sence|nachgewiesen)$/i,
    'present',
  ],
  [
    /^(absent|ausente|negative|negativo|a|aus[êe]ncia|ausencia|absence|negativ|nachweisfrei|nicht nachgewiesen|abwesend|not found|none found|nicht gefunden|n[ãa]o encontrado|no encontrado)(\s?(in|em|en|dans|per|\/))?( ?100( ?ml)?)?$/i,
    'absent',
  ],
];

/** The form that a cell's word alone says; null for a number and for what is no such word. */
const wordFor = (text: string): CellValue['form'] | null =>
  /\d/.test(text.replace(germVolume, '')) ? null : (words.find(([pattern]) => pattern.test(text))?.[1] ?? null);

/** The longest cell that can hold a result: a longer one is prose, and is not searched for a number. */
export const longestResult = 60;

const notRead: Partial<Record<string, string>> = { 'two-ways': 'thousand-or-decimal', 'other-decimal': 'other-decimal' };

/** The number that stands in a text, or why there is none that everybody would read alike. */
function readIn(text: string, style: CellStyle): { ok: true; value: number } | { ok: false; code: string } {
  const styled = readStyled(text, style);
  const number = !styled.ok && styled.code === 'other-decimal' && style.takesOther ? readNumber(text) : styled;
  return number.ok ? number : { ok: false, code: notRead[number.code] ?? 'not-a-result' };
}

/** What the sign, the flags and the words of a cell make of it together; null where they do not agree. */
function formSaid(sign: string, means: ReadonlySet<FlagMeaning>, word: CellValue['form'] | null): CellValue['form'] | null {
  const said = new Set<CellValue['form']>(word === null ? [] : [word]);
  if (means.has('below') || /^[<≤]/.test(sign)) said.add('below');
  if (means.has('above') || /^[>≥]/.test(sign)) said.add('above');
  if (means.has('uncountable')) said.add('uncountable');
  return said.size > 1 ? null : ([...said][0] ?? 'value');
}

/** The number of a cell with its power of ten and what stands behind ±; or why there is none that everybody would read alike. */
function numberIn({ number, times, apart }: CellParts, style: CellStyle) {
  const read = readIn(number!, style);
  if (!read.ok) return read;
  const by = apart ? readIn(apart.by, style) : null;
  if (by && !by.ok) return by;
  return {
    ok: true as const,
    value: read.value * times,
    ...(by && apart ? { uncertainty: { value: by.value, isShare: apart.isShare } } : {}),
  };
}

/**
 * Reads a result cell with its flag column: `12,9`, `<0.05`, `> 2419`, `ND`, `0.8 J`, `TNTC`, `absent`; a sign or word may stand
 * in the flag column as well. What cell and flag say must agree; a flag that is not known, and a number that the lab does not
 * stand by, are handed back.
 */
export function readValue(
  cell: string,
  qualifier: string,
  style: CellStyle = unknownStyle,
): ({ ok: true } & CellValue) | ({ ok: false } & Coded) {
  const fail = (code: string, data?: Coded['data']) => ({ ok: false as const, code, ...(data ? { data } : {}) });
  if (cell.length > longestResult || qualifier.length > longestResult) return fail('result-long');
  const parts = partsOfCell(cell);
  const { text, sign } = parts;
  const word = wordFor(text);
  const isKnown = word !== null || parts.number !== null;
  const flagged = meaningOf(
    [qualifier, parts.flag, parts.note, isKnown ? '' : text]
      .map((one) => one.trim())
      .join(' ')
      .trim(),
    style,
  );
  // A cell that is neither number nor word may still be a flag: `BDL`, `< LOQ`.
  if ('unknown' in flagged)
    return text === '' ? fail('no-result') : isKnown ? fail('unknown-flag', { flag: flagged.unknown }) : fail('not-a-result');
  const { means } = flagged;
  if (means.has('rejected')) return fail('rejected', { flag: `${qualifier.trim()} ${parts.flag}`.trim() });
  const form = formSaid(sign, means, word);
  if (form === null || (form === 'uncountable' && parts.number !== null)) return fail('contradicts');
  const estimated = means.has('estimated') || means.has('late');
  if (parts.number === null)
    return form === 'value' ? fail(text === '' ? 'no-result' : 'not-a-result') : { ok: true, form, value: null, estimated };
  const number = numberIn(parts, style);
  if (!number.ok) return fail(number.code);
  const inclusive = /[≤≥]/.test(sign) || /[≤≥]/.test(qualifier);
  return {
    ...number,
    form,
    estimated,
    ...(means.has('late') ? { isLate: true as const } : {}),
    ...(inclusive && form !== 'value' ? { inclusive } : {}),
  };
}
