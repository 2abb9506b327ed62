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

/** What a cell of a result is made of, as text. */
export interface CellParts {
  /** All of it without a footnote, a power of ten and what stands behind ±. */
  text: string;
  /** `<`, `>`, `≤`, `≥`, or nothing. */
  sign: string;
  /** The digits of the number with their marks; null where it holds none. */
  number: string | null;
  /** The power of ten that the number is to be taken by. */
  times: number;
  /** A flag of letters behind the number, and the mark of a footnote. */
  flag: string;
  note: string;
  apart: { by: string; isShare: boolean } | null;
}

const plain = /^([<>]?)(\d+(?:[.,]\d+)?)$/;
const numbered = /^([<>≤≥]?)\s*([-−+]?[.,]?\d[\d.,\s]*?)\s*([A-Z]{1,3})?$/i;

/**
 * Takes a cell of a result apart.
 * @example partsOfCell('inf. à 0,5 (1)').number // '0,5'
 */
export function partsOfCell(cell: string): CellParts {
  const simple = plain.exec(cell);
  if (simple) return { text: cell, sign: simple[1]!, number: simple[2]!, times: 1, flag: '', note: '', apart: null };
  const [unmarked, note] = split(marked, plainly(cell.trim()));
  const [exact, by, share] = split(plusMinus, unmarked);
  const [text, raised] = split(power, exact);
  const [, sign = '', number, flag = ''] = numbered.exec(text.trim()) ?? [];
  return {
    text: text.trim(),
    sign,
    number: number === undefined ? null : number.trim(),
    times: raised === '' ? 1 : 10 ** Number(raised),
    flag,
    note,
    apart: by === '' ? null : { by, isShare: share === '%' },
  };
}

/** What a pattern takes off the end of a text, in two parts; the text itself and nothing where it does not fit. */
function split(pattern: RegExp, text: string): [rest: string, first: string, second: string] {
  const [, rest = text, first = '', second = ''] = pattern.exec(text) ?? [];
  return [rest, first, second];
}
