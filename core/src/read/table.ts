import Papa from 'papaparse';
import { z } from 'zod';
import type { Data } from '../findings/index.ts';

/** A row of a lab's table with the line of the file it starts on, counted from 1. */
export interface TableRow {
  line: number;
  cells: string[];
}

export interface LabTable {
  delimiter: string;
  header: string[];
  headerLine: number;
  rows: TableRow[];
}

/** What the words of a code need. */
const CodeData = z
  .record(z.string(), z.union([z.string(), z.number()]))
  .readonly()
  .optional();

/** Why a file or a place in it cannot be read: a code, with line and column counted from 1 where there is one. */
export const Refusal = z.object({ code: z.string(), data: CodeData, line: z.number(), column: z.number() });
export type Refusal = z.infer<typeof Refusal>;

/** A row, or a cell of it, that was not understood: why, as a code, with line and column counted from 1. */
export const Unread = z.object({ code: z.string(), data: CodeData, line: z.number(), column: z.number(), cell: z.string() });
export type Unread = z.infer<typeof Unread>;

const delimiters = [';', ',', '\t', '|'];
/** Rows above the header that a lab may put there: its name, a date, a blank line. */
const preambleRows = 20;

/** More rows, columns or letters in a cell than a report of a lab has: the file is something else. */
export const tableBounds = { rows: 250_000, columns: 500, cell: 10_000 } as const;

/** How PDF, ZIP and old office files begin. */
const binaryMarks = ['%PDF', 'PK\u0003', '\u00d0\u00cf'];

const refusal = (code: string, line = 1, column = 1, data?: Data): { refusal: Refusal } => ({
  refusal: { code, line, column, ...(data ? { data } : {}) },
});

/** The first place at which a table is larger than any report. */
function tooLarge(rows: readonly TableRow[]): { refusal: Refusal } | null {
  if (rows.length > tableBounds.rows) return refusal('too-many-rows', rows[tableBounds.rows]!.line, 1, { most: tableBounds.rows });
  for (const { line, cells } of rows) {
    if (cells.length > tableBounds.columns)
      return refusal('too-many-columns', line, tableBounds.columns + 1, { most: tableBounds.columns });
    const long = cells.findIndex((cell) => cell.length > tableBounds.cell);
    if (long >= 0) return refusal('cell-too-long', line, long + 1, { most: tableBounds.cell });
  }
  return null;
}

function countBreaks(cells: readonly string[]): number {
  let breaks = 0;
  for (const cell of cells) if (/[\r\n]/.test(cell)) breaks += cell.match(/\r\n|\r|\n/g)!.length;
  return breaks;
}

function withLines(data: readonly string[][]): TableRow[] {
  let line = 1;
  const rows: TableRow[] = [];
  for (const cells of data) {
    rows.push({ line, cells: cells.map((cell) => cell.trim()) });
    line += 1 + countBreaks(cells);
  }
  return rows;
}

const isBlank = (row: TableRow) => row.cells.every((cell) => cell === '');
const filled = (row: TableRow) => row.cells.filter((cell) => cell !== '').length;

/** The header is the first row that is as wide as the table: narrower rows above it are the lab's preamble. */
function findHeader(rows: readonly TableRow[]): number {
  const head = rows.slice(0, preambleRows);
  const width = Math.max(...head.map(filled));
  return head.findIndex(
    (row) => filled(row) >= Math.max(3, Math.ceil(width * 0.8)) && !row.cells.some((cell) => /^[<>]?\s*\d+([.,]\d+)?$/.test(cell)),
  );
}

/**
 * Reads a lab's delimited text: any of `;`, `,`, tab or `|`, any line end, quoted line breaks, rows above the header.
 * Returns the table, or a refusal that names the place.
 */
export function parseTable(text: string): { table: LabTable } | { refusal: Refusal } {
  if (text.trim() === '') return refusal('empty');
  const nul = text.indexOf('\u0000');
  if (nul >= 0 || binaryMarks.some((mark) => text.startsWith(mark))) {
    const before = text.slice(0, Math.max(0, nul)).split('\n');
    return refusal('not-text', before.length, before.at(-1)!.length + 1);
  }
  if (/^\s*[<{[]/.test(text) && /^\s*(<[!?a-z]|[{[]\s*["{[])/i.test(text)) {
    return refusal('not-a-table');
  }
  const parsed = Papa.parse<string[]>(text, { delimitersToGuess: delimiters, skipEmptyLines: false });
  const all = withLines(parsed.data);
  const quotes = parsed.errors.find((error) => error.type === 'Quotes');
  if (quotes) {
    return refusal('quotes', all[quotes.row ?? 0]?.line ?? 1);
  }
  return tableIn(all, parsed.meta.delimiter);
}

/** The table that rows of cells hold, from a format that has rows and cells of its own; each row is a line. */
export function tableOfRows(rows: readonly string[][]): { table: LabTable } | { refusal: Refusal } {
  const all = rows.map((cells, index): TableRow => ({ line: index + 1, cells: cells.map((cell) => cell.trim()) }));
  return all.some((row) => !isBlank(row)) ? tableIn(all, '') : refusal('empty');
}

/** Finds the header among rows, and what stands below it. */
function tableIn(all: readonly TableRow[], delimiter: string): { table: LabTable } | { refusal: Refusal } {
  const large = tooLarge(all);
  if (large) return large;
  const at = findHeader(all);
  const header = all[at];
  if (!header) return refusal('no-columns', all[0]!.line);
  const rows = all.slice(at + 1).filter((row) => !isBlank(row));
  if (rows.length === 0) return refusal('no-rows', header.line);
  return { table: { delimiter, header: header.cells, headerLine: header.line, rows } };
}
