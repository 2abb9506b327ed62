import { statusWords } from '../tables/quality.ts';
import { ambiguousFlags, flagMeanings, legendMeanings, legendWords, type FlagMeaning } from '../tables/flags.ts';
import type { LabTable, TableRow } from './table.ts';
import { bareFlag, type CellStyle } from '../cells/value.ts';

/** What says what a flag means: `J = estimated value`, `ND: not detected`. */
const definition = /^["'(]?\s*([<>]?[A-Za-z*.]{1,5})["')]?\s*(?:=|:|–|—|\s-\s)\s*(\S.{2,200})$/;
/** A mark of a footnote and its text: `* subcontracted`, `(1) filtered late`, `¹ repeated`, `a) outside the scope`. */
const footnote = /^(\*{1,3}|\(\d{1,2}\)|\(?[a-z]\)|[†‡§#]|[¹²³⁴⁵⁶⁷⁸⁹])\s*[:=]?\s*(\p{L}.{2,200})$/u;

/** The parts of a line of a legend: several flags may stand in one, parted by semicolons or full stops. */
const partsOf = (text: string): string[] => text.split(/\s*;\s*|\.\s+(?=[A-Z*]{1,4}\s*=)/).map((part) => part.trim());

/** What a file says of its flags and footnotes, by {@link bareFlag}. */
export function legendOf(lines: readonly TableRow[]): Map<string, string> {
  const found = new Map<string, string>();
  for (const { cells } of lines) {
    const texts = cells.filter((cell) => cell !== '');
    const [first, second] = texts;
    // A legend may hold the mark that parts columns: then it stands in several of them, none of which is a number.
    const line = texts.some((text) => /^[<>]?\s*\d/.test(text)) ? '' : texts.join('; ');
    for (const part of texts.length === 1 || /^\W?[A-Z*]{1,4}\W*\s?=/.test(line) || footnote.test(first ?? '') ? partsOf(line) : []) {
      const match = definition.exec(part) ?? footnote.exec(part);
      if (match) found.set(bareFlag(match[1]!), match[2]!);
    }
    if (texts.length === 2 && /^[<>]?[A-Za-z*.]{1,5}\s*[=:]?$/.test(first!)) found.set(bareFlag(first!.replace(/[=:]\s*$/, '')), second!);
  }
  return found;
}

/** What a legend makes of a flag; null where its words say nothing that is known. */
const meantBy = (text: string): FlagMeaning | null => legendMeanings.find(([pattern]) => pattern.test(text))?.[1] ?? null;

const isFootnote = (flag: string) => /^(\*+|\(\d+\)|\(?[A-Z]\)|[†‡§#]|[¹²³⁴⁵⁶⁷⁸⁹])$/.test(flag);

/**
 * What flags mean in a file: as a person said; as its legend says; a flag whose legend speaks of something else than the table is unclear, and
 * so is one that labs mean in several ways and that has no legend. A footnote that speaks of nothing else leaves the number as it is.
 */
export function flagsOf(legend: ReadonlyMap<string, string>, said: CellStyle['flags'] = {}): NonNullable<CellStyle['flags']> {
  const told = [...legend].flatMap(([flag, text]): [string, FlagMeaning | 'unclear'][] => {
    const meant = meantBy(text);
    if (ambiguousFlags.has(flag) || isFootnote(flag)) return [[flag, meant ?? (isFootnote(flag) ? 'nothing' : 'unclear')]];
    const known = Object.hasOwn(flagMeanings, flag) ? flagMeanings[flag]! : null;
    return known && !known.every((meaning) => legendWords[meaning].test(text)) ? [[flag, 'unclear']] : [];
  });
  return { ...Object.fromEntries(told), ...said };
}

/** Which of the lab's limits a flag for “not detected” speaks of, where the legend says it. */
export function boundsSaid(legend: ReadonlyMap<string, string>): NonNullable<CellStyle['bounds']> {
  return Object.fromEntries(
    [...legend].flatMap(([flag, text]): [string, 'reported' | 'seen'][] => {
      const isReported = /\b(?:RL|LOR|LOQ|PQL|LQ|BG|MRL)\b|report|quantif|quantita|cuantif|bestimm/i.test(text);
      const isSeen = /\b(?:MDL|LOD|LD|NG)\b|detection limit|limite? de detec|limite de d[ée]tec|nachweisgr/i.test(text);
      return meantBy(text) !== 'below' || isReported === isSeen ? [] : [[flag, isReported ? 'reported' : 'seen']];
    }),
  );
}

/** Whether a report calls itself preliminary, amended or final, in the lines around its table. */
export function statusOf({ preamble }: Pick<LabTable, 'preamble'>): 'preliminary' | 'amended' | 'final' | null {
  const text = preamble.map(({ cells }) => cells.join(' ').slice(0, 400)).join('\n');
  return statusWords.find(([pattern]) => pattern.test(text))?.[1] ?? null;
}
