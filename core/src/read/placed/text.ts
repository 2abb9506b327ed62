import type { ReportTable } from '../shape/sheets.ts';
import { tableOfLines } from '../shape/table.ts';
import { placedRows, type PlacedPage } from './index.ts';

/** A letter of a typewriter is so wide, and its lines stand so far apart, in parts of its size. */
const [letter, step] = [0.6, 1.2];
const tab = 8;

/** A line with its tabs as the blanks that they stand for. */
function untabbed(line: string): string {
  return line
    .split('\t')
    .reduce((text, next) => `${text}${' '.repeat(text === '' && next === line ? 0 : tab - (text.length % tab))}${next}`);
}

/** Lines of text as texts at places: each letter as wide as the others, form feeds between pages. */
const pageOf = (text: string): PlacedPage =>
  text.split(/\r\n|\r|\n|\f/).flatMap((line, index) => {
    const shown = untabbed(line);
    const words = shown.trim();
    const x = shown.length - shown.trimStart().length;
    return words === '' ? [] : [{ text: words, x: x * letter, right: (x + words.length) * letter, y: index * step, size: 1 }];
  });

/**
 * The table in text whose columns are made by blanks, as of a print file or of what was copied: by its places, as of a page. Lines are counted as
 * in the text.
 */
export function tableOfText(text: string, encoding: string): ReportTable {
  const rows = placedRows([pageOf(text)]).map(({ y, cells }) => ({ line: Math.round(y / step) + 1, cells }));
  const parsed = tableOfLines(rows);
  return 'refusal' in parsed ? parsed : { ...parsed, encoding };
}
