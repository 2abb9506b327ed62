import { statusWords } from '../tables/quality.ts';
import { flagMeanings, legendWords } from '../tables/flags.ts';
import type { LabTable, TableRow } from './table.ts';
import { bareFlag, type CellStyle } from '../cells/value.ts';

/** A line that says what a flag means: `J = estimated value`, `ND: not detected`. */
const definition = /^["'(]?\s*([<>]?[A-Za-z*.]{1,5})["')]?\s*(?:=|:|–|—|\s-\s)\s*(\S.{2,200})$/;

/** What a file says of its flags, by {@link bareFlag}. */
export function legendOf(lines: readonly TableRow[]): Map<string, string> {
  const found = new Map<string, string>();
  for (const { cells } of lines) {
    const texts = cells.filter((cell) => cell !== '');
    const [first, second] = texts;
    const match = texts.length === 1 ? definition.exec(first!) : null;
    if (match) found.set(bareFlag(match[1]!), match[2]!);
    else if (texts.length === 2 && /^[<>]?[A-Za-z*.]{1,5}\s*[=:]?$/.test(first!))
      found.set(bareFlag(first!.replace(/[=:]\s*$/, '')), second!);
  }
  return found;
}

/** What flags mean in a file: as a person said; a flag whose legend speaks of something else than the table is unclear. */
export function flagsOf(legend: ReadonlyMap<string, string>, said: CellStyle['flags'] = {}): NonNullable<CellStyle['flags']> {
  const doubted = [...legend].flatMap(([flag, text]) => {
    const known = Object.hasOwn(flagMeanings, flag) ? flagMeanings[flag]! : null;
    return known && !known.every((meaning) => legendWords[meaning].test(text)) ? [[flag, 'unclear'] as const] : [];
  });
  return { ...Object.fromEntries(doubted), ...said };
}

/** Whether a report calls itself preliminary, amended or final, in the lines around its table. */
export function statusOf({ preamble }: Pick<LabTable, 'preamble'>): 'preliminary' | 'amended' | 'final' | null {
  const text = preamble.map(({ cells }) => cells.join(' ').slice(0, 400)).join('\n');
  return statusWords.find(([pattern]) => pattern.test(text))?.[1] ?? null;
}
