import { readValue } from '../cells/value.ts';
import { roleCalled } from '../shape/heading.ts';
import { headsIn } from '../shape/heads.ts';
import { cellsOf, reachingOver, type Boundaries } from './columns.ts';
import type { Line } from './lines.ts';
import {
  areTwoRows,
  isFilled,
  isNear,
  rowGap,
  sharesByGaps,
  sharesByTexts,
  withoutHalves,
  withRest,
  type Kinds,
  type TableLine,
} from './wrapped.ts';

/** The columns of a table that goes on, over pages too. */
export interface Columns {
  boundaries: Boundaries;
  headings: readonly string[];
}

/** A row, and where its first line stands on its page. */
export interface PlacedRow {
  y: number;
  cells: string[];
}

const textsOf = (line: Line): string[] => line.chunks.map((chunk) => chunk.text);

/** A line above a table: its texts as they stand. */
export const looseRow = (line: Line): PlacedRow => ({ y: line.y, cells: textsOf(line) });

/** A line below headings that is none of their rows: nothing of it may be taken for a cell of them. */
export function lineOfItsOwn(line: Line): PlacedRow {
  const cells = textsOf(line);
  return { y: line.y, cells: headsIn(cells) ? cells : [cells.join('; ')] };
}

/** A line with so many of the cells that rows have is a row, also without a result. */
const mostly = 0.7;

/** Lines of one row as one, from above. */
function together(lines: readonly TableLine[]): PlacedRow {
  const cells = lines
    .slice(1)
    .reduce((all, { cells: more }) => all.map((cell, column) => withRest(cell, more[column] ?? '')), lines[0]!.cells);
  const rest = cells.filter(isFilled);
  // What stays alone is a heading of rows, or a remark.
  return { y: lines[0]!.line.y, cells: rest.length === 1 ? rest : cells };
}

/** Rows of lines that follow each other in a table. */
function rowsAmong(all: readonly TableLine[], kinds: Kinds): PlacedRow[] {
  const lines = withoutHalves(all, kinds);
  const usual = rowGap(lines);
  const groups: TableLine[][] = [];
  const gapAt = (index: number) => {
    const [above, below] = [lines[index - 1], lines[index]];
    return above && below ? below.line.y - above.line.y : Infinity;
  };
  const isSameRow = (first: number, last: number) =>
    first >= 0 && lines.slice(first + 1, last + 1).every(({ line }, index) => isNear(gapAt(first + 1 + index), usual, line.size));
  let current: TableLine[] = [];
  let before = -1;
  let at = 0;
  while (at < lines.length) {
    if (lines[at]!.isAnchor) {
      // Two lines of units, or a result in two lines: nothing between them stands as far apart as rows.
      if (isSameRow(before, at) && !areTwoRows(lines[before]!, lines[at]!, kinds)) groups.at(-1)!.push(...lines.slice(before + 1, at + 1));
      else groups.push([...current, lines[at]!]);
      current = [];
      before = at;
      at += 1;
      continue;
    }
    const from = at;
    while (at < lines.length && !lines[at]!.isAnchor) at += 1;
    if (at < lines.length && isSameRow(before, at)) continue;
    const gaps = Array.from({ length: at - from + 1 }, (_, index) => gapAt(from + index));
    const { up, down } = sharesByGaps(gaps, usual, lines[from]!.line.size) ?? sharesByTexts(lines, from, at, kinds.names);
    if (up > 0) groups.at(-1)?.push(...lines.slice(from, from + up));
    // What belongs to no row may be a row of units whose texts are wrapped.
    for (let index = from + up; index < at - down; index += 1) {
      const isFirst = index === from + up;
      if (!isFirst && isNear(gapAt(index), usual, lines[index]!.line.size)) groups.at(-1)!.push(lines[index]!);
      else groups.push([lines[index]!]);
    }
    current = lines.slice(Math.max(from + up, at - down), at);
  }
  if (current.length > 0) groups.push(current);
  return groups.map(together);
}

/**
 * The rows of a table by its columns. A row has one line with its result, or with most of its cells; lines beside it are the rest of its texts
 * where they stand closer to it than rows do to each other, or where their words say so. Lines of something else stand as they are.
 */
export function rowsOf(lines: readonly Line[], { boundaries, headings }: Columns): PlacedRow[] {
  const names = headings.findIndex((heading) => roleCalled(heading) === 'parameter');
  const results = headings.findIndex((heading) => roleCalled(heading) === 'result');
  const all = lines.map((line) => {
    const isProse = line.chunks.length <= 2 && reachingOver(line.chunks, boundaries) > 0;
    return {
      line,
      cells: isProse || headsIn(textsOf(line)) ? null : cellsOf(line.chunks, boundaries).map((cell) => cell?.text ?? ''),
    };
  });
  const most = Math.max(0, ...all.map(({ cells }) => cells?.filter(isFilled).length ?? 0));
  const isNumber = (cell: string) => /^[<>]?\s*\d/.test(cell) && readValue(cell, '').ok;
  // A year beside a sample is no result of it.
  const mayHoldResults = headings.map((heading, column) => column > 0 && roleCalled(heading) === null);
  const hasResult = (cells: readonly string[]) =>
    results >= 0 ? isFilled(cells[results] ?? '') : cells.some((cell, column) => mayHoldResults[column] && isNumber(cell));
  const isFull = (cells: readonly string[]) => cells.filter(isFilled).length > Math.max(1, most * mostly);
  const rows: PlacedRow[] = [];
  let part: TableLine[] = [];
  const close = () => {
    rows.push(...rowsAmong(part, { names, results }));
    part = [];
  };
  for (const { line, cells } of all) {
    if (cells) part.push({ line, cells, isAnchor: isFull(cells) || hasResult(cells) });
    else {
      close();
      rows.push(lineOfItsOwn(line));
    }
  }
  close();
  return rows;
}
