import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tableOfPages, type PlacedPage, type PlacedText } from './index.ts';

/** Widths of letters as in most typefaces: about half of their height, a blank a quarter. */
const widthOf = (text: string, size: number) =>
  [...text].reduce((sum, sign) => sum + (sign === ' ' ? 0.27 : /[il.,:;'|]/.test(sign) ? 0.28 : 0.55), 0) * size;

/** A text in lines that are no wider than a column; a word that is wider stands alone. */
function wrap(text: string, width: number, size: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && widthOf(`${last} ${word}`, size) <= width) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

interface Look {
  size: number;
  /** Blank beside and over the text of a cell. */
  beside: number;
  over: number;
  /** Where a cell's text stands in a row of several lines. */
  stands: 'top' | 'middle' | 'bottom';
  /** Columns whose numbers end under each other. */
  right: readonly boolean[];
  /** The widest that a column becomes, in letters. */
  widest: number;
  rowsToPage: number;
  repeats: boolean;
}

/** Sets a table on pages, as a program that writes reports does. */
function typeset(header: readonly string[], rows: readonly string[][], above: readonly string[], look: Look): PlacedPage[] {
  const { size, beside, over, stands, right, widest, rowsToPage, repeats } = look;
  const most = widest * size * 0.55;
  const word = (text: string) => Math.max(...text.split(' ').map((one) => widthOf(one, size)));
  const widths = header.map((heading, column) => {
    const all = [heading, ...rows.map((row) => row[column]!)];
    return Math.max(Math.min(most, Math.max(...all.map((text) => widthOf(text, size)))), ...all.map(word)) + 0.01;
  });
  const lefts = widths.map((_, column) => 40 + widths.slice(0, column).reduce((sum, width) => sum + width + 2 * beside, 0));
  const leading = size * 1.15;
  const pages: PlacedPage[] = [];
  const chunks: string[][][] = [];
  for (let at = 0; at < rows.length; at += rowsToPage) chunks.push(rows.slice(at, at + rowsToPage));
  chunks.forEach((part, page) => {
    const texts: PlacedText[] = [];
    let y = 60;
    const put = (text: string, x: number) => {
      if (text !== '') texts.push({ text, x, right: x + widthOf(text, size), y, size });
    };
    if (page === 0) for (const line of above) put(line, ((y += leading * 1.6), 40));
    const set = (cells: readonly string[]) => {
      const wrapped = cells.map((cell, column) => wrap(cell, widths[column]!, size));
      const height = Math.max(...wrapped.map((lines) => lines.length));
      const top = y + over + leading;
      wrapped.forEach((lines, column) => {
        const free = height - lines.length;
        const from = stands === 'top' ? 0 : stands === 'bottom' ? free : free / 2;
        lines.forEach((text, line) => {
          y = top + (from + line) * leading;
          put(text, right[column] ? lefts[column]! + widths[column]! - widthOf(text, size) : lefts[column]!);
        });
      });
      y = top + (height - 1) * leading + over;
    };
    y += leading * 2;
    if (page === 0 || repeats) set(header);
    part.forEach(set);
    pages.push(texts);
  });
  return pages;
}

const names = [
  'Nitrate as NO3',
  'Total dissolved solids',
  'Alkalinity, total, as CaCO3',
  'Iron, dissolved',
  'Lead',
  'Conductivity at 25 °C',
  'Sulfate',
  'Total organic carbon',
];
const values = ['12.5', '<0.02', '780', '0', '1,020', '>2419.6', 'not detected', '3.1 J'];
const units = ['mg/L', 'µg/L', 'µS/cm', 'CFU/100 mL', ''];
const methods = ['ISO 10304-1', 'SM 2540 C', 'in-house method of the laboratory', ''];
const header = ['Sample ID', 'Parameter', 'Result', 'Unit', 'Reporting limit', 'Method'];
const row = fc.record({
  sample: fc.constantFrom('261123A-WL1-N', '261123A-WL2-M'),
  name: fc.constantFrom(...names),
  value: fc.constantFrom(...values),
  unit: fc.constantFrom(...units),
  limit: fc.constantFrom('0.5', '10', ''),
  method: fc.constantFrom(...methods),
});
const look: fc.Arbitrary<Look> = fc.record({
  size: fc.constantFrom(6, 8, 10.5),
  beside: fc.constantFrom(2.5, 4, 9),
  over: fc.constantFrom(1.5, 3, 6),
  stands: fc.constantFrom('top', 'middle', 'bottom'),
  right: fc.tuple(...header.map((_, column) => (column < 2 ? fc.constant(false) : fc.boolean()))),
  widest: fc.constantFrom(12, 20, 40),
  rowsToPage: fc.constantFrom(6, 15),
  repeats: fc.boolean(),
});

const readBack = (...pages: readonly PlacedPage[]) => {
  const read = tableOfPages(pages, 'pdf');
  if (!('table' in read)) throw new Error(JSON.stringify(read));
  return read;
};
const cellsOf = (...pages: readonly PlacedPage[]) => readBack(...pages).table.rows.map(({ cells }) => cells);

describe('a table by the places of its texts', () => {
  it('comes back cell by cell, however it is set: wrapped, aligned, over pages', () => {
    let [right, all] = [0, 0];
    fc.assert(
      fc.property(fc.array(row, { minLength: 3, maxLength: 25 }), look, (rows, how) => {
        const set = rows.map(({ sample, name, value, unit, limit, method }) => [sample, name, value, unit, limit, method]);
        const read = cellsOf(...typeset(header, set, ['Report of analysis', 'Nothing of it may be copied in parts only.'], how));
        const expected = set.map((cells) => cells.join('|'));
        const found = read.map((cells) => cells.join('|'));
        all += expected.length;
        right += expected.filter((one) => found.includes(one)).length;
        // Whatever else becomes of a row, no number stands beside another sample or name than its own.
        const known = new Set(set.map(([sample, name, value]) => `${sample}|${name}|${value}`));
        for (const [sample, name, value] of read)
          if (names.includes(name ?? '') && values.includes(value ?? '')) expect(known).toContain(`${sample}|${name}|${value}`);
      }),
      { seed: 20261202, numRuns: 300 },
    );
    expect(right / all).toBeGreaterThan(0.99);
  });

  const at = (text: string, x: number, y: number, size = 8): PlacedText => ({ text, x, right: x + widthOf(text, size), y, size });
  const line = (y: number, ...texts: [string, number][]) => texts.map(([text, x]) => at(text, x, y));
  const page = (...texts: PlacedText[][]): PlacedPage => texts.flat();
  const head = (y: number) => line(y, ['Sample', 40], ['Parameter', 120], ['Result', 240], ['Unit', 300]);

  it('has raised figures raised, lowered ones plain, and a word that was cut whole', () => {
    const texts = [
      ...head(100),
      ...line(120, ['W1-G', 40], ['Trihalo-', 120], ['3', 240], ['µg/L', 300]),
      ...line(129, ['methanes', 120]),
      ...line(150, ['W1-G', 40], ['Alkalinity as CaCO', 120], ['1.2 × 10', 240], ['mg/L', 300]),
      at('3', 120 + widthOf('Alkalinity as CaCO', 8), 152, 5),
      at('2', 240 + widthOf('1.2 × 10', 8), 146, 5),
      ...line(172, ['W1-G', 40], ['Sulfate', 120], ['42', 240], ['mg/L', 300]),
    ];
    expect(cellsOf(page(texts))).toEqual([
      ['W1-G', 'Trihalomethanes', '3', 'µg/L'],
      ['W1-G', 'Alkalinity as CaCO3', '1.2 × 10²', 'mg/L'],
      ['W1-G', 'Sulfate', '42', 'mg/L'],
    ]);
  });

  it('keeps a heading of rows and a remark out of the rows', () => {
    const { table } = readBack(
      page(
        line(80, ['Sample ID: W1-G', 40]),
        head(100),
        line(115, ['Metals', 40]),
        line(130, ['W1-G', 40], ['Iron', 120], ['0.2', 240], ['mg/L', 300]),
        line(145, ['W1-G', 40], ['Lead', 120], ['1.0', 240], ['µg/L', 300]),
        line(170, ['The laboratory answers for what it received, and for nothing of how it was taken.', 40]),
      ),
    );
    expect(table.rows.map(({ cells }) => cells.length > 1 && cells[1])).toEqual([false, 'Iron', 'Lead', false]);
  });

  it('reads no page by the columns of another table', () => {
    const second = page(
      line(60, ['Temperature of the box on arrival', 40], ['4.1', 200], ['°C', 330]),
      line(80, ['Seal', 40], ['whole and numbered 1, 2 and 3', 110], ['3', 400]),
    );
    const first = page(head(100), line(120, ['W1-G', 40], ['Iron', 120], ['0.2', 240], ['mg/L', 300]));
    const rows = cellsOf(first, second);
    expect(rows.map((cells) => cells[2]).filter((cell) => cell === '4.1' || cell === '3')).toEqual([]);
  });
});
