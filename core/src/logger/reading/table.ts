import Papa from 'papaparse';

/** More rows than any logger keeps in one file: the file is something else. */
export const mostRows = 3_000_000;
const delimiters = [';', '\t', ',', '|'];
/** Lines above the readings in which a logger may tell about itself. */
const preambleLines = 200;
const binaryMarks = ['%PDF', 'PK\u0003', '\u00d0\u00cf'];

/** Why a file cannot be read, and the line, counted from 1. */
export interface LoggerRefusal {
  code: 'empty' | 'not-text' | 'no-readings' | 'columns-differ' | 'too-many-rows';
  line: number;
}

/** How a file is laid out: what parts its cells, the names above its columns, and the line (from 0) where its readings begin. */
export interface LoggerLayout {
  delimiter: string;
  header: string[];
  begins: number;
  /** The first rows as they stand. */
  sample: string[][];
}

const stamp = /^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}(?=\D|$)/;
const number = /^[-+−]?\d[\d.,]*(e[-+]?\d+)?$/i;

/** A row of readings has a date and, in another cell, a number. */
const isReading = (cells: readonly string[]) =>
  cells.some((cell) => stamp.test(cell)) && cells.some((cell) => number.test(cell) && !stamp.test(cell));

const split = (line: string, delimiter: string) => Papa.parse<string[]>(line, { delimiter }).data[0]?.map((cell) => cell.trim()) ?? [];

/** Finds the readings in a text: the first three rows in a line that have as many cells, a date and a number. */
export function layoutOf(text: string): { layout: LoggerLayout } | { refusal: LoggerRefusal } {
  if (text.trim() === '') return { refusal: { code: 'empty', line: 1 } };
  if (text.includes('\u0000') || binaryMarks.some((mark) => text.startsWith(mark))) return { refusal: { code: 'not-text', line: 1 } };
  const head = linesOf(text, preambleLines + 40);
  for (const delimiter of delimiters) {
    const rows = head.map((line) => split(line, delimiter));
    for (let at = 0; at < Math.min(rows.length, preambleLines); at++) {
      const width = rows[at]!.length;
      const three = rows.slice(at, at + 3).filter((row) => row.length > 1 || row[0] !== '');
      if (width < 2 || !three.every((row) => row.length === width && isReading(row))) continue;
      const above = rows
        .slice(0, at)
        .reverse()
        .find((row) => row.some((cell) => cell !== ''));
      // With commas between cells and in the numbers as well, every number is cut in two.
      if (delimiter === ',' && above && above.length >= 2 && above.length < width && !isReading(above))
        return { refusal: { code: 'columns-differ', line: at + 1 } };
      const named = above && above.length >= 2 && !isReading(above) ? above : [];
      const header = Array.from({ length: width }, (_, place) => named[place] || `Column ${place + 1}`);
      return { layout: { delimiter, header, begins: at, sample: rows.slice(at, at + 40).filter(isReading) } };
    }
  }
  return { refusal: { code: 'no-readings', line: 1 } };
}

/** The first lines of a text, whatever ends them. */
function linesOf(text: string, most: number): string[] {
  const lines: string[] = [];
  const ends = /\r\n|\n|\r/g;
  let from = 0;
  while (lines.length < most) {
    const end = ends.exec(text);
    lines.push(text.slice(from, end?.index ?? text.length));
    if (!end) break;
    from = ends.lastIndex;
  }
  return lines;
}

/** Goes through the rows of readings one by one; none is kept. The line is counted from 1. */
export function eachRow(
  text: string,
  { delimiter, begins }: LoggerLayout,
  take: (cells: string[], line: number) => void,
): LoggerRefusal | null {
  let line = begins;
  let refusal: LoggerRefusal | null = null;
  Papa.parse<string[]>(text, {
    delimiter,
    skipFirstNLines: begins,
    step: ({ data }, parser) => {
      line += 1;
      if (data.length === 1 && data[0]!.trim() === '') return;
      if (line - begins > mostRows) {
        refusal = { code: 'too-many-rows', line };
        parser.abort();
        return;
      }
      take(data, line);
    },
  });
  return refusal;
}
