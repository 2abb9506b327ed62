import type { Coded } from '../../findings/index.ts';
import { readNumber } from '../../units/index.ts';
import { flagMeanings, type FlagMeaning } from '../tables/flags.ts';

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
  /** What follows ±, in the unit of the result, or in per cent of it. */
  uncertainty?: { value: number; isShare: boolean };
}

const words: [RegExp, CellValue['form']][] = [
  [
    /^(n\/d|not detected|none detected|undetected|n[ãa]o dete(c)?tado|no detectado|non d[ée]tect[ée]|nicht nachweisbar|nicht bestimmbar|n\.n\.?|n\.b\.?)$/i,
    'below',
  ],
  [/^(confluent|incont[aá]vel|incontable|incomptable|nicht z[äa]hlbar|uncountable|too numerous to count)$/i, 'uncountable'],
  [
    /^(present|presente|presen[çc]a|presencia|positive|positivo|p|detected|dete(c)?tado|detectado|positiv|pr[ée]sent|pr[ée]sence|nachgewiesen)$/i,
    'present',
  ],
  [/^(absent|ausente|negative|negativo|a|aus[êe]ncia|ausencia|absence|negativ|nachweisfrei|nicht nachgewiesen)$/i, 'absent'],
];

/** The longest cell that can hold a result: a longer one is prose, and is not searched for a number. */
export const longestResult = 60;

/** Which mark the numbers of a file have before their decimals; `mixed` where some have one and some the other. */
export type DecimalMark = 'comma' | 'point' | 'mixed' | 'unknown';

/** How the numbers of a file are written. */
export interface NumberStyle {
  decimals: DecimalMark;
  /** A person said so: the other mark parts thousands then. */
  isSaid: boolean;
  /** What flags mean in this file, by {@link bareFlag}; `unclear` where its own legend says something else than the table. */
  flags?: Readonly<Record<string, FlagMeaning | 'unclear'>>;
}

const unknownStyle: NumberStyle = { decimals: 'unknown', isSaid: false };

/** A number with one mark before three digits: a thousand or a decimal. One that begins with 0 can only be a decimal. */
const eitherWay = /^[-−+]?[1-9]\d{0,2}([.,])\d{3}$/;
/** Thousands parted by commas, or by points. */
const byCommas = /^[-−+]?\d{1,3}(,\d{3})+(\.\d+)?$/;
const byPoints = /^[-−+]?\d{1,3}(\.\d{3})+(,\d+)?$/;
const marked = /^[<>≤≥]?\s*([-−+]?\d+([.,])\d+)(?!\d*[.,])\b/;

/** Told from all numbers of a file: `12,9` shows a decimal comma, `1,234` shows nothing. */
export function numberStyle(cells: Iterable<string>): NumberStyle {
  const seen = new Set<string>();
  for (const cell of cells) {
    const [, number, mark] = marked.exec(cell.trim()) ?? [];
    if (number && mark && !eitherWay.test(number)) seen.add(mark);
  }
  const decimals = seen.size === 2 ? 'mixed' : seen.has(',') ? 'comma' : seen.has('.') ? 'point' : 'unknown';
  return { decimals, isSaid: false };
}

/** The number that stands in a text, or why there is none that everybody would read alike. */
function readIn(text: string, { decimals, isSaid }: NumberStyle): { ok: true; value: number } | { ok: false; code: string } {
  const [mark, other] = decimals === 'comma' ? [',', '.'] : ['.', ','];
  const number = readNumber(isSaid ? text.replaceAll(other, '') : text);
  if (!number.ok) return { ok: false, code: 'not-a-result' };
  if (!isSaid) {
    const either = eitherWay.exec(text);
    const isOpen = either && (decimals === 'unknown' || decimals === 'mixed' || either[1] !== mark);
    return isOpen ? { ok: false, code: 'thousand-or-decimal' } : { ok: true, value: number.value };
  }
  // Where a person said which mark is the decimal, the other one can only part thousands.
  if (text.includes(other) && !(other === ',' ? byCommas : byPoints).test(text)) return { ok: false, code: 'other-decimal' };
  return { ok: true, value: number.value };
}

/** A power of ten behind a number: `1.2E+03`, `1,2 × 10^3`. Without a sign, E may be a flag. */
const power = /^(.*\d)\s*(?:e(?=[+-])|[x×*·]\s*10\s*\^?\s*(?=[+-]?\d))([+-]?\d{1,2})$/i;
const plusMinus = /^(.*\d)\s*(?:±|\+\/-|\+-)\s*([\d.,]+)\s*(%?)$/;

export const bareFlag = (flag: string) => flag.toUpperCase().replace('≤', '<').replace('≥', '>').replace(/[.\s]/g, '');

const nothingSaid = { means: new Set<FlagMeaning>() };

/** What a flag means: as a person said of this file, else by the table; null where nobody knows, or where the file says otherwise. */
function meaningOfOne(flag: string, { flags }: NumberStyle): readonly FlagMeaning[] | null {
  const key = bareFlag(flag);
  const said = flags && Object.hasOwn(flags, key) ? flags[key]! : undefined;
  if (said !== undefined) return said === 'unclear' ? null : [said];
  return Object.hasOwn(flagMeanings, key) ? flagMeanings[key]! : null;
}

/** What the flags of a row say together, or that one of them is not known. */
function meaningOf(flags: string, style: NumberStyle): { means: ReadonlySet<FlagMeaning> } | { unknown: string } {
  if (flags === '') return nothingSaid;
  const means = new Set<FlagMeaning>();
  const all = meaningOfOne(flags, style) ? [flags] : flags.split(/[\s,;/]+/);
  for (const flag of all) {
    if (flag === '') continue;
    const known = meaningOfOne(flag, style);
    if (!known) return { unknown: flag };
    for (const one of known) means.add(one);
  }
  return { means };
}

/**
 * Reads a result cell with its flag column: `12,9`, `<0.05`, `> 2419`, `ND`, `0.8 J`, `TNTC`, `absent`; a sign or word may stand
 * in the flag column as well. What cell and flag say must agree; a flag that is not known, and a number that the lab does not
 * stand by, are handed back.
 */
export function readValue(
  cell: string,
  qualifier: string,
  style: NumberStyle = unknownStyle,
): ({ ok: true } & CellValue) | ({ ok: false } & Coded) {
  const fail = (code: string, data?: Coded['data']) => ({ ok: false as const, code, ...(data ? { data } : {}) });
  if (cell.length > longestResult || qualifier.length > longestResult) return fail('result-long');
  const isPlain = /^[<>]?\d+([.,]\d+)?$/.test(cell);
  const apart = isPlain ? null : plusMinus.exec(cell.trim());
  const raised = isPlain ? null : power.exec(apart?.[1] ?? cell.trim());
  const text = (raised?.[1] ?? apart?.[1] ?? cell).trim();
  const word = /\d/.test(text) ? undefined : words.find(([pattern]) => pattern.test(text));
  const match = word ? null : /^([<>≤≥]?)\s*([-−+]?[.,]?\d[\d.,\s]*?)\s*([A-Z]{1,3})?$/i.exec(text);

  const flagged = meaningOf(`${qualifier.trim()} ${match?.[3] ?? ''} ${match || word ? '' : text}`.trim(), style);
  // A cell that is neither number nor word may still be a flag: `BDL`, `< LOQ`.
  if ('unknown' in flagged)
    return text === '' ? fail('no-result') : match || word ? fail('unknown-flag', { flag: flagged.unknown }) : fail('not-a-result');
  const { means } = flagged;
  if (means.has('rejected')) return fail('rejected', { flag: `${qualifier.trim()} ${match?.[3] ?? ''}`.trim() });
  const sign = match?.[1] ?? '';
  const isBelow = means.has('below') || sign === '<' || sign === '≤' || word?.[1] === 'below';
  const isAbove = means.has('above') || sign === '>' || sign === '≥';
  const isUncountable = means.has('uncountable') || word?.[1] === 'uncountable';
  const otherWord = word && word[1] !== 'below' && word[1] !== 'uncountable' ? word[1] : null;
  const said = [isBelow, isAbove, isUncountable, otherWord !== null].filter(Boolean).length;
  if (said > 1) return fail('contradicts');
  const estimated = means.has('estimated');
  if (otherWord) return { ok: true, form: otherWord, value: null, estimated };
  if (isUncountable) return match ? fail('contradicts') : { ok: true, form: 'uncountable', value: null, estimated };
  if (!match) return isBelow ? { ok: true, form: 'below', value: null, estimated } : fail(text === '' ? 'no-result' : 'not-a-result');

  const number = readIn(match[2]!.trim(), style);
  if (!number.ok) return fail(number.code);
  if (number.value < 0) return fail('negative');
  const by = apart ? readIn(apart[2]!, style) : null;
  if (by && !by.ok) return fail(by.code);
  const times = raised ? 10 ** Number(raised[2]) : 1;
  const inclusive = sign === '≤' || sign === '≥' || /[≤≥]/.test(qualifier);
  const form = isBelow ? 'below' : isAbove ? 'above' : 'value';
  return {
    ok: true,
    form,
    value: number.value * times,
    estimated,
    ...(inclusive && form !== 'value' ? { inclusive } : {}),
    ...(by && apart ? { uncertainty: { value: by.value, isShare: apart[3] === '%' } } : {}),
  };
}
