import { tableOfRows } from '../shape/table.ts';
import { boundariesOf, columnOf, isTabular, reachingOver } from './columns.ts';
import { headersOf, type Header } from './header.ts';
import { linesOf, type Line, type PlacedText } from './lines.ts';
import type { FilePart, ReportTable } from '../shape/sheets.ts';
import { lineOfItsOwn, looseRow, rowsOf, type Columns, type PlacedRow } from './rows.ts';

export type { PlacedText } from './lines.ts';

/** The texts of a page. */
export type PlacedPage = readonly PlacedText[];

/** Lines of a page that belong together: below headings, or none. */
interface Stretch {
  page: number;
  lines: readonly Line[];
}

/** A table with its headings, on the page where they stand and on those it goes on to. */
interface Going {
  header: Header;
  stretches: Stretch[];
}

function columnsOf({ header, stretches }: Going): Columns {
  const { cells } = header;
  const boundaries = boundariesOf(
    stretches.flatMap(({ lines }) => lines),
    cells,
  );
  const headings = Array.from({ length: boundaries.length + 1 }, (_, column) =>
    cells.flatMap((cell) => (columnOf(cell, boundaries) === column ? [cell.text] : [])).join(' '),
  );
  return { boundaries, headings };
}

/** Whether the lines of a further page without headings go on with a table: every heading keeps its column, and no line reaches over one. */
function isContinuedBy(table: Going, stretch: Stretch): boolean {
  const { boundaries, headings } = columnsOf({ ...table, stretches: [...table.stretches, stretch] });
  const headed = (all: readonly string[]) => all.filter((heading) => heading !== '').length;
  const isOther = stretch.lines.some((line) => isTabular(line) && reachingOver(line.chunks, boundaries) > 0);
  return !isOther && headed(headings) === headed(columnsOf(table).headings);
}

/** What pages hold, in order: lines of their own, and tables that may go on over several. */
function stretchesOf(pages: readonly PlacedPage[]): (Stretch | Going)[] {
  const found: (Stretch | Going)[] = [];
  pages.forEach((texts, index) => {
    const page = index + 1;
    const lines = linesOf(texts);
    if (lines.length === 0) return;
    const headers = headersOf(lines);
    const above = { page, lines: lines.slice(0, headers[0]?.at ?? lines.length) };
    const last = found.at(-1);
    if (headers.length === 0 && last && 'header' in last && isContinuedBy(last, above)) last.stretches.push(above);
    else if (above.lines.length > 0) found.push(above);
    headers.forEach((header, at) => {
      const below = lines.slice(header.at + header.lines, headers[at + 1]?.at ?? lines.length);
      found.push({ header, stretches: [{ page, lines: below }] });
    });
  });
  return found;
}

/** The rows of a stretch with their pages. */
function rowsIn(part: Stretch | Going, isBelow: boolean): { page: number; rows: PlacedRow[] }[] {
  if (!('header' in part)) return [{ page: part.page, rows: part.lines.map(isBelow ? lineOfItsOwn : looseRow) }];
  const columns = columnsOf(part);
  return part.stretches.map(({ page, lines }, index) => ({
    page,
    rows: [...(index === 0 ? [{ y: part.header.cells[0]!.y, cells: [...columns.headings] }] : []), ...rowsOf(lines, columns)],
  }));
}

/** The rows that text by its place on pages holds, with their pages, counted from 1. */
export function placedRows(pages: readonly PlacedPage[]): (PlacedRow & { page: number })[] {
  let isBelow = false;
  return stretchesOf(pages).flatMap((part) => {
    const found = rowsIn(part, isBelow);
    isBelow ||= 'header' in part;
    return found.flatMap(({ page, rows }) => rows.map((row) => ({ ...row, page })));
  });
}

/**
 * The table that text by its place on pages holds: columns by the gaps that run down under a row of headings, texts that were wrapped whole, and
 * everything else as lines of its own, as above a table of a file.
 */
export function tableOfPages(pages: readonly PlacedPage[], encoding: string): ReportTable {
  const rows = placedRows(pages);
  const parts: FilePart[] = [];
  rows.forEach(({ page }, index) => {
    if (parts.at(-1)?.name !== `Page ${page}`) parts.push({ name: `Page ${page}`, from: index + 1 });
  });
  const parsed = tableOfRows(rows.map(({ cells }) => cells));
  return 'refusal' in parsed ? parsed : { table: parsed.table, encoding, parts: pages.length > 1 ? parts : [] };
}
