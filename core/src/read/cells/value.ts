import type { Coded } from '../../findings/index.ts';
import { readNumber, readStyled, unknownStyle, type NumberStyle } from '../../units/index.ts';
import { ambiguousFlags, flagMeanings, type FlagMeaning } from '../tables/flags.ts';

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
const inVolume = String.raw`(?: (?:in|em|en|dans|per|je|\/))? ?(?:100|250) ?ml`;

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
    /^(absent|ausente|negative|negativo|a|aus[êe]ncia|ausencia|absence|negativ|nachweisfrei|nicht nachgewiesen|abwesend|not found|none found|nicht gefunden|n[ãa]o encontrado|no encontrado)( (in|em|en|dans|per|\/))?( ?100( ?ml)?)?$/i,
    'absent',
  ],
];

/** The longest cell that can hold a result: a longer one is prose, and is not searched for a number. */
export const longestResult = 60;

/** How the cells of a file are written. */
export interface CellStyle extends NumberStyle {
  /** Which of the lab's limits a flag for “not detected” speaks of in this file, by {@link bareFlag}. */
  bounds?: Readonly<Record<string, 'reported' | 'seen'>>;
  /** A number with the other mark than most has it before its decimals: a person said so. */
  takesOther?: boolean;
  /** What flags mean in this file, by {@link bareFlag}; `unclear` where its own legend says something else than the table. */
  flags?: Readonly<Record<string, FlagMeaning | 'unclear'>>;
}

const notRead: Partial<Record<string, string>> = { 'two-ways': 'thousand-or-decimal', 'other-decimal': 'other-decimal' };

/** The number that stands in a text, or why there is none that everybody would read alike. */
function readIn(text: string, style: CellStyle): { ok: true; value: number } | { ok: false; code: string } {
  const styled = readStyled(text, style);
  const number = !styled.ok && styled.code === 'other-decimal' && style.takesOther ? readNumber(text) : styled;
  return number.ok ? number : { ok: false, code: notRead[number.code] ?? 'not-a-result' };
}

/** Words that stand for a sign before a number. */
const signWords: readonly [RegExp, '<' | '>'][] = [
  [
    /^(?:less than|below|under|inf(?:erior|[ée]rieure?)?\.? (?:a|à|que)|menor (?:que|a|de)|menos de|abaixo de|moins de|kleiner (?:als )?|unter|weniger als)\s*(?=\d)/i,
    '<',
  ],
  [
    /^(?:greater than|more than|above|over|sup(?:erior|[ée]rieure?)?\.? (?:a|à|que)|maior (?:que|do que)|mayor (?:que|a|de)|m[áa]s de|mais de|acima de|plus de|gr[öo](?:ß|ss)er (?:als )?|[üu]ber|mehr als)\s*(?=\d)/i,
    '>',
  ],
];

/** A sign in the place of words for it, and a power of ten without raised digits. */
function plainly(cell: string): string {
  // Most cells are a number.
  if (/^[<>]?\d*[.,]?\d+$/.test(cell)) return cell;
  const raised = cell.replace(
    /([x×*·]\s*10)\s*([⁺⁻]?[⁰¹²³⁴-⁹]+)/u,
    (_, ten: string, power: string) => `${ten}^${power.normalize('NFKC').replace('−', '-')}`,
  );
  for (const [pattern, sign] of signWords) if (pattern.test(raised)) return raised.replace(pattern, sign);
  return raised;
}

/** A mark of a footnote behind a number: `2,3*`, `0,005 (1)`, `31,0¹`, `12,3 a)`. */
const marked = /^(.*\d)\s?(\*{1,3}|\(\d{1,2}\)|\(?[a-z]\)|[†‡§#]|[¹²³⁴⁵⁶⁷⁸⁹])$/;

/** A power of ten behind a number: `1.2E+03`, `1,2 × 10^3`. Without a sign, E may be a flag. */
const power = /^(.*\d)\s*(?:e(?=[+-])|[x×*·]\s*10\s*\^?\s*(?=[+-]?\d))([+-]?\d{1,2})$/i;
const plusMinus = /^(.*\d)\s*(?:±|\+\/-|\+-)\s*([\d.,]+)\s*(%?)$/;

export const bareFlag = (flag: string) => flag.toUpperCase().replace('≤', '<').replace('≥', '>').replace(/[.\s]/g, '');

const nothingSaid = { means: new Set<FlagMeaning>() };

/** What a flag means: as a person said of this file, else by the table; null where nobody knows, or where the file says otherwise. */
function meaningOfOne(flag: string, { flags }: CellStyle): readonly FlagMeaning[] | null {
  const key = bareFlag(flag);
  const said = flags && Object.hasOwn(flags, key) ? flags[key]! : undefined;
  if (said !== undefined) return said === 'unclear' ? null : [said];
  if (ambiguousFlags.has(key)) return null;
  return Object.hasOwn(flagMeanings, key) ? flagMeanings[key]! : null;
}

/** Flags of a letter each that stand together, `JH`; null where one of them is not known. */
function meaningOfLetters(flag: string, style: CellStyle): readonly FlagMeaning[] | null {
  const letters = /^[A-Z]{2,3}$/.test(flag) ? [...flag].map((letter) => meaningOfOne(letter, style)) : [null];
  return letters.includes(null) ? null : letters.flatMap((one) => one!);
}

/** What the flags of a row say together, or that one of them is not known. */
function meaningOf(flags: string, style: CellStyle): { means: ReadonlySet<FlagMeaning> } | { unknown: string } {
  if (flags === '') return nothingSaid;
  const means = new Set<FlagMeaning>();
  const all = meaningOfOne(flags, style) ? [flags] : flags.split(/[\s,;/]+/);
  for (const flag of all) {
    if (flag === '') continue;
    const known = meaningOfOne(flag, style) ?? meaningOfLetters(flag, style);
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
  style: CellStyle = unknownStyle,
): ({ ok: true } & CellValue) | ({ ok: false } & Coded) {
  const fail = (code: string, data?: Coded['data']) => ({ ok: false as const, code, ...(data ? { data } : {}) });
  if (cell.length > longestResult || qualifier.length > longestResult) return fail('result-long');
  const isPlain = /^[<>]?\d+([.,]\d+)?$/.test(cell);
  const said = isPlain ? cell : plainly(cell.trim());
  const note = isPlain ? null : marked.exec(said);
  const whole = note?.[1] ?? said;
  const apart = isPlain ? null : plusMinus.exec(whole);
  const raised = isPlain ? null : power.exec(apart?.[1] ?? whole);
  const text = (raised?.[1] ?? apart?.[1] ?? whole).trim();
  const word = /\d/.test(text.replace(germVolume, '')) ? undefined : words.find(([pattern]) => pattern.test(text));
  const match = word ? null : /^([<>≤≥]?)\s*([-−+]?[.,]?\d[\d.,\s]*?)\s*([A-Z]{1,3})?$/i.exec(text);

  const flagged = meaningOf(`${qualifier.trim()} ${match?.[3] ?? ''} ${note?.[2] ?? ''} ${match || word ? '' : text}`.trim(), style);
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
  if ([isBelow, isAbove, isUncountable, otherWord !== null].filter(Boolean).length > 1) return fail('contradicts');
  const estimated = means.has('estimated') || means.has('late');
  if (otherWord) return { ok: true, form: otherWord, value: null, estimated };
  if (isUncountable) return match ? fail('contradicts') : { ok: true, form: 'uncountable', value: null, estimated };
  if (!match) return isBelow ? { ok: true, form: 'below', value: null, estimated } : fail(text === '' ? 'no-result' : 'not-a-result');

  const number = readIn(match[2]!.trim(), style);
  if (!number.ok) return fail(number.code);
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
    ...(means.has('late') ? { isLate: true as const } : {}),
    ...(inclusive && form !== 'value' ? { inclusive } : {}),
    ...(by && apart ? { uncertainty: { value: by.value, isShare: apart[3] === '%' } } : {}),
  };
}
