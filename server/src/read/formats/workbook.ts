import { tableOfRows, type ReportTable } from '@fonte/core/read';
import readWorkbook from 'read-excel-file/node';
import type { ReportFormat } from './format.ts';
import { looksOf, type Looks } from './looks.ts';
import { shownNumber, shownText, withNote } from './shown.ts';
import { unpacksWithin } from './unpack.ts';

const zip = [0x50, 0x4b, 0x03, 0x04];

const noWorkbook: ReportTable = {
  refusal: { code: 'no-workbook', line: 0, column: 0 },
};

const tooMuch: ReportTable = {
  refusal: { code: 'too-much', line: 0, column: 0 },
};

/** A cell as its text: a number as it is shown, a date as `2026-11-23`. */
function textOf(cell: unknown, looks: Looks | undefined): string {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date)
    return cell
      .toISOString()
      .slice(0, cell.getUTCHours() + cell.getUTCMinutes() === 0 ? 10 : 16)
      .replace('T', ' ');
  const text = typeof cell === 'number' ? shownNumber(cell, looks?.format ?? null) : String(cell);
  // A label that is crossed out or hidden with its row stays what it is: its numbers say so.
  const isNumber = typeof cell === 'number' || /^\s*[<>≤≥]?\s*[\d.,]+\s*$/.test(text);
  return isNumber ? withNote(shownText(text, looks), looks) : text;
}

const texts = (data: readonly (readonly unknown[])[]): string[] =>
  data.flatMap((row) => row.flatMap((cell) => (typeof cell === 'string' ? [cell.trim()] : [])));

/**
 * The texts of a sheet, its numbers with the mark before decimals that its texts have: a number of a sheet has none of its own, and is shown
 * with the one of whoever looks.
 */
function asItsTexts(rows: string[][], data: readonly (readonly unknown[])[]): string[][] {
  const decimal = (mark: string) => new RegExp(`^[<>≤≥]?\\s*\\d[\\d ]*\\${mark}(?:\\d{1,2}|\\d{4,}|0\\d*)$`);
  const written = texts(data);
  if (!written.some((text) => decimal(',').test(text)) || written.some((text) => decimal('.').test(text))) return rows;
  return rows.map((row, line) => row.map((text, column) => (typeof data[line]?.[column] === 'number' ? text.replace('.', ',') : text)));
}

interface ParsedSheet {
  name: string;
  lines: number;
  /** Parses it as lines of the file from this one on. */
  parse: (from: number) => ReturnType<typeof tableOfRows>;
}

/** A workbook whose lines are counted over all its sheets: which of them are read is asked about. */
function severalSheets(all: readonly ParsedSheet[]): ReportTable {
  let from = 1;
  const parts = all.map(({ name, lines }) => {
    const part = { name, from };
    from += lines;
    return part;
  });
  const sheets = all.flatMap(({ name, parse }, index) => {
    const parsed = parse(parts[index]!.from);
    return 'table' in parsed ? [{ name, table: parsed.table }] : [];
  });
  return { sheets, encoding: 'xlsx', parts };
}

/** An Excel workbook (.xlsx). Which of several sheets that hold tables are meant is not guessed. */
export const workbook: ReportFormat = {
  accepts: (bytes) => zip.every((byte, index) => bytes[index] === byte),
  table: async (bytes) => {
    try {
      if (!unpacksWithin(bytes)) return tooMuch;
      const looks = looksOf(bytes);
      const sheets = (await readWorkbook(Buffer.from(bytes))).map(({ sheet, data }) => {
        const look = looks.get(sheet);
        const rows = data.map((row, line) => row.map((cell, column) => textOf(cell, look?.at(line, column))));
        // A text that may be a thousand or a decimal is asked about; a number of the sheet is one already.
        const hasNumbers = !texts(data).some((text) => /^[<>]?\s*\d{1,3}[.,]\d{3}$/.test(text));
        const parse = (from: number) => tableOfRows(asItsTexts(rows, data), hasNumbers, from);
        return { name: look?.isHidden ? `${sheet} (hidden)` : sheet, lines: rows.length, parse, parsed: parse(1) };
      });
      const [first, ...others] = sheets.filter(({ parsed }) => 'table' in parsed);
      if (first && 'table' in first.parsed && others.length === 0) return { table: first.parsed.table, encoding: 'xlsx' };
      if (first) return severalSheets(sheets);
      const refused = sheets[0]?.parsed;
      return refused && 'refusal' in refused ? refused : noWorkbook;
    } catch {
      return noWorkbook;
    }
  },
};
