import Papa from 'papaparse';
import { z } from 'zod';
import type { Data } from '../../findings/index.ts';
import { fold } from '../cells/fold.ts';
import { roleCalled, roleWhole } from './heading.ts';
import type { Block, TableRow } from './block.ts';
import { headsIn, namesSample, withHeads, type Heads } from './heads.ts';
import { sideBySide } from './side-by-side.ts';
import { named } from '../cells/names.ts';

export type { Block, TableRow } from './block.ts';

export interface LabTable {
  delimiter: string;
  header: string[];
  headerLine: number;
  rows: TableRow[];
  /** What stands above the header. */
  preamble: TableRow[];
  /** Rows of results above the header, which no header tells. */
  strange: TableRow[];
  /** Further tables below it, each under a header of its own. */
  more?: readonly Block[];
  /** The file itself knows its numbers: they came as such, and were written down here with a point. */
  hasNumbers?: true;
}

/** What the words of a code need. */
const CodeData = z
  .record(z.string(), z.union([z.string(), z.number()]))
  .readonly()
  .optional();

/** Why a file or a place in it cannot be read: a code, with line and column counted from 1; both are 0 where nothing in it has a place. */
export const Refusal = z.object({ code: z.string(), data: CodeData, line: z.number(), column: z.number() });
export type Refusal = z.infer<typeof Refusal>;

/** A row, or a cell of it, that was not understood: why, as a code, with line and column counted from 1. */
export const Unread = z.object({ code: z.string(), data: CodeData, line: z.number(), column: z.number(), cell: z.string() });
export type Unread = z.infer<typeof Unread>;

const delimiters = [';', ',', '\t', '|'];
/** Rows above the header that a lab may put there: its name, an address, dates, a legend, blank lines. */
const preambleRows = 80;

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

/** A cell that says that nothing was measured. */
export const notAnalysed =
  /^([-–—]+|n[./]?\s?a\.?|n\.?\s?t\.?|not (tested|analy[sz]ed|requested|measured)|n[ãa]o (analisado|pedido|solicitado)|no (analizado|solicitado)|non (analys[ée]|mesur[ée]|demand[ée])|nicht (untersucht|gemessen|beauftragt)|pending|pendente|pendiente|en cours|ausstehend|em curso)$/i;

const isNumber = (cell: string) => /^[<>≤≥]?\s*\d+([.,]\d+)?$/.test(cell);

/** How much a row looks like column names: the roles and parameters that its cells name, each once. */
export function headerScore(cells: readonly string[]): number {
  if (cells.some(isNumber)) return 0;
  const seen = new Set<string>();
  for (const cell of cells) {
    if (cell === '') continue;
    const role = roleCalled(cell);
    const name = role ?? named(cell)?.parameter;
    if (name) seen.add(name);
  }
  return seen.size;
}

/** Two columns are a table where one says what was measured and the other the result. */
function isPair({ cells }: TableRow): boolean {
  const called = cells.flatMap((cell) => (cell === '' ? [] : [roleWhole(cell)]));
  return called.length === 2 && called.includes('parameter') && called.includes('result');
}

/** A row that names so many roles and parameters is a header, whatever stands below it. */
const surelyHeader = 3;

/**
 * The header is the first row that names three roles or parameters; where none does, the one that names two; where none does
 * either, the first that is as wide as the table. Rows above it are the lab's preamble.
 */
function findHeader(rows: readonly TableRow[]): number {
  const head = rows.slice(0, preambleRows);
  const scores = head.map((row) => (filled(row) >= 3 || isPair(row) ? headerScore(row.cells) : 0));
  const sure = scores.findIndex((score) => score >= surelyHeader);
  if (sure >= 0) return sure;
  if (scores.includes(2)) return scores.indexOf(2);
  const width = Math.max(...head.map(filled));
  return head.findIndex((row) => filled(row) >= Math.max(3, Math.ceil(width * 0.8)) && !row.cells.some(isNumber));
}

/** A row that may be another header: what names columns begins with a word and has no numbers of its own. */
const mayBeHeader = ({ cells }: TableRow) => !/\d/.test(cells.find((cell) => cell !== '') ?? '') && !cells.some(isNumber);

/** Whether a table has a result to a row: of one that has samples side by side, a line with a name and a value is a row. */
const hasResults = ({ header }: Block) => header.some((heading) => roleCalled(heading) === 'result');

/** The rows below a header, which may be repeated, and the tables below other headers; `heads` is what is said above them all. */
function below(header: TableRow, all: readonly TableRow[], above: Heads | null): Block[] {
  const namesOf = (row: TableRow) => row.cells.map(fold).join('|').replace(/\|+$/, '');
  const first: Block = { header: header.cells, headerLine: header.line, rows: [] };
  const blocks = new Map([[namesOf(header), first]]);
  let now = first;
  // Asked of a header once, and not of each row below it.
  let takesHeads = hasResults(first);
  let isBreak = false;
  let heads = above;
  let isSaidBefore = false;
  for (const row of all) {
    if (isBlank(row)) {
      isBreak = true;
      continue;
    }
    const isFirst = row.cells[0] === header.cells[0] && namesOf(row) === namesOf(header);
    if (isFirst || (mayBeHeader(row) && headerScore(row.cells) >= 3)) {
      now = blocks.get(namesOf(row)) ?? { header: row.cells, headerLine: row.line, rows: [] };
      blocks.set(namesOf(row), now);
      takesHeads = hasResults(now);
      isBreak = true;
      continue;
    }
    const said = takesHeads ? headsIn(row.cells) : null;
    if (said && (isSaidBefore || namesSample(said))) {
      // What begins to be said of other rows ends what was said of those above.
      heads = isSaidBefore && heads ? new Map([...heads, ...said]) : said;
      isSaidBefore = true;
      isBreak = true;
      continue;
    }
    isSaidBefore = false;
    now.rows.push({ ...row, ...(isBreak ? { isAfterBreak: true } : {}), ...(heads ? { heads } : {}) });
    isBreak = false;
  }
  return [...blocks.values()].flatMap(sideBySide).map((block) => (hasResults(block) ? withHeads(block) : block));
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
  const found = tableIn(all, parsed.meta.delimiter);
  if ('table' in found || found.refusal.code !== 'no-columns') return found;
  // Decimal commas may look like columns: whichever mark makes a header of some line is the one.
  for (const delimiter of delimiters) {
    const other = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: false });
    const again = other.errors.some((error) => error.type === 'Quotes') ? found : tableIn(withLines(other.data), delimiter);
    if ('table' in again) return again;
  }
  return found;
}

/**
 * The table that rows of cells hold, from a format that has rows and cells of its own; each row is a line. `hasNumbers` where its
 * numbers are no texts; `from` is the line of the file that the first row is, counted from 1.
 */
export function tableOfRows(rows: readonly string[][], hasNumbers = false, from = 1): { table: LabTable } | { refusal: Refusal } {
  const found = tableOfLines(rows.map((cells, index) => ({ line: from + index, cells })));
  return 'table' in found && hasNumbers ? { table: { ...found.table, hasNumbers } } : found;
}

/** The table that rows of cells hold, each with the line of its file on which it stands. */
export function tableOfLines(rows: readonly TableRow[]): { table: LabTable } | { refusal: Refusal } {
  const all = rows.map((row): TableRow => ({ ...row, cells: row.cells.map((cell) => cell.trim()) }));
  return all.every(isBlank) ? refusal('empty') : tableIn(all, '');
}

/** Finds the header among rows, and what stands below it. */
function tableIn(all: readonly TableRow[], delimiter: string): { table: LabTable } | { refusal: Refusal } {
  const large = tooLarge(all);
  if (large) return large;
  const at = findHeader(all);
  const header = all[at];
  if (!header) return refusal('no-columns', all[0]!.line);
  const above = all.slice(0, at).filter((row) => !isBlank(row));
  const heads = above.reduce<Heads | null>((said, { cells }) => {
    const more = headsIn(cells);
    return more ? new Map([...(said ?? []), ...more]) : said;
  }, null);
  const [first, ...others] = below(header, all.slice(at + 1), heads);
  if (!first || first.rows.length === 0) return refusal('no-rows', header.line);
  const more = others.filter(({ rows }) => rows.length > 0);
  // What looks like a row of results and stands above the names of the columns is nobody's to drop.
  const isResult = (row: TableRow) => filled(row) >= 3 && row.cells.some(isNumber);
  const preamble = above.filter((row) => !isResult(row));
  const strange = above.filter(isResult);
  const table = { ...first, delimiter, preamble, strange };
  return { table: more.length > 0 ? { ...table, more } : table };
}
