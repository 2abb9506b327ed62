import { named } from '../cells/names.ts';
import type { Line } from './lines.ts';

/* Which lines of a table belong to one row: by the gaps between them, else by their words. */

export const isFilled = (cell: string): boolean => cell !== '';

/** A line of a table: its cells, and whether a row has its number there. */
export interface TableLine {
  line: Line;
  cells: string[];
  isAnchor: boolean;
}

/** Which column says what was measured and which has the results; -1 for none. */
export interface Kinds {
  names: number;
  results: number;
}

/** A text that goes on in the next line, without the hyphen of a word that was cut. */
export function withRest(first: string, rest: string): string {
  if (first === '' || rest === '') return first + rest;
  if (/\p{L}-$/u.test(first) && /^\p{Ll}/u.test(rest)) return `${first.slice(0, -1)}${rest}`;
  return /[-(/]$/.test(first) ? first + rest : `${first} ${rest}`;
}

/** Whether a text is the rest of the one above it, and no text of its own: a name that was cut, its bracket, what it is expressed as. */
function isRest(above: string, below: string): boolean {
  if (above === '' || below === '') return false;
  if (/^[\p{Ll}(),\]°]/u.test(below) || /[-,(/]$|\b(?:as|als|en|como|of|de|total|dissolved|and|und|et|e|y|at|bei|à|a)$/iu.test(above))
    return true;
  return named(below) === null && named(withRest(above, below)) !== null;
}

/** Whether two lines have each a result and a name of its own: then they are two rows, however close they stand. */
export function areTwoRows(above: TableLine, below: TableLine, { names, results }: Kinds): boolean {
  const of = ({ cells }: TableLine, column: number) => cells[Math.max(0, column)] ?? '';
  const [first, second] = [of(above, names), of(below, names)];
  const haveResults = results < 0 || [above, below].every((line) => isFilled(of(line, results)));
  return haveResults && isFilled(first) && isFilled(second) && !isRest(first, second);
}

/** A gap between lines of one row is smaller than that between rows by so much at least. */
const clearly = 0.94;
/** Lines that overlap are no rows of their own. */
const overlapping = 0.95;
/** Lines that may be one text are no further apart than this part of the size of letters. */
const wrapped = 1.5;

/** The usual gap between rows: of each two, the largest gap between their lines; of these the middle one. Infinite where there is one row. */
export function rowGap(lines: readonly TableLine[]): number {
  const gaps: number[] = [];
  let [largest, isAfterRow] = [0, false];
  lines.forEach(({ line, isAnchor }, at) => {
    largest = Math.max(largest, line.y - (lines[at - 1]?.line.y ?? line.y));
    if (!isAnchor) return;
    if (isAfterRow) gaps.push(largest);
    [largest, isAfterRow] = [0, true];
  });
  return gaps.sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? Infinity;
}

/** The lines between two rows: so many of them belong to the row above, so many to the one below; the others are lines of their own. */
interface Shares {
  up: number;
  down: number;
}

/** Whether lines stand clearly closer than rows usually do. */
export const isNear = (gap: number, usual: number, size: number): boolean => gap < Math.min(usual * clearly, size * wrapped);

/**
 * By the gaps alone; null where they say nothing.
 * @param gaps from the row above to the first line, between the lines, and to the row below; infinite where there is none
 * @param usual the usual gap between rows
 */
export function sharesByGaps(gaps: readonly number[], usual: number, size: number): Shares | null {
  const near = gaps.map((gap) => isNear(gap, usual, size));
  if (!near.includes(true)) return null;
  const largest = gaps.indexOf(Math.max(...gaps));
  const ofAbove = near.findIndex((one, index) => index >= largest || !one);
  const ofBelow = gaps.length - 1 - near.findLastIndex((one, index) => index <= largest || !one);
  return { up: ofAbove, down: ofBelow };
}

const isClose = (above: TableLine, below: TableLine) => below.line.y - above.line.y <= Math.max(below.line.size, above.line.size) * wrapped;

/** How many lines from one on go on with the row above them by their words. `names` is the column of what was measured, or the first. */
function goingOn(lines: readonly TableLine[], from: number, to: number, names: number): number {
  let above = lines[from - 1]?.cells ?? [];
  for (let at = from; at < to; at += 1) {
    const before = lines[at - 1];
    const { cells } = lines[at]!;
    // Whose a row is and what was measured are looked at closely: the rest of a method is whatever stands there.
    const isRestOf = (cell: string, index: number) =>
      cell === '' || (isFilled(above[index] ?? '') && (index > Math.max(names, 0) || isRest(above[index]!, cell)));
    if (!before || !isClose(before, lines[at]!) || !cells.every(isRestOf)) return at - from;
    above = above.map((cell, index) => withRest(cell, cells[index] ?? ''));
  }
  return to - from;
}

/** Whether a line is a name alone that goes on in the row below it. */
function beginsNext(line: TableLine, below: TableLine | undefined, names: number): boolean {
  const [begin, name] = [line.cells[names] ?? '', below?.cells[names] ?? ''];
  if (!below || !isClose(line, below) || begin === '' || name === '' || line.cells.filter(isFilled).length > 1) return false;
  return /^\p{Ll}/u.test(name) || (named(name) === null && named(withRest(begin, name)) !== null);
}

/** By their texts, where lines stand as close within rows as between them: what is clearly the rest of a text above, or begins one below. */
export function sharesByTexts(lines: readonly TableLine[], from: number, to: number, names: number): Shares {
  const column = Math.max(names, 0);
  const up = goingOn(lines, from, to, column);
  return { up, down: up < to - from && beginsNext(lines[to - 1]!, lines[to], column) ? 1 : 0 };
}

/** A result that goes on in the next line. */
const goesOnBelow = /[×x·*<>≤≥±=~(-]$/;

/**
 * Whether a line has a result and nothing that says of what, and stands in no row: part of the result of the row above or below. Taken with it, it
 * is whole or no number at all; left alone, it would leave half a number in the row.
 */
function isHalf(lines: readonly TableLine[], at: number, { names, results }: Kinds): boolean {
  const { line, cells } = lines[at]!;
  if (results < 0 || !isFilled(cells[results] ?? '') || isFilled(cells[Math.max(names, 0)] ?? '') || isFilled(cells[0] ?? '')) return false;
  const isOver = (other: TableLine | undefined) =>
    other && Math.abs(other.line.y - line.y) < Math.max(line.size, other.line.size) * overlapping;
  return !isOver(lines[at - 1]) && !isOver(lines[at + 1]);
}

/** Lines with the halves of results joined to the row that they are of. */
export function withoutHalves(lines: readonly TableLine[], kinds: Kinds): TableLine[] {
  const whole: TableLine[] = [];
  let half: TableLine | null = null;
  lines.forEach((line, at) => {
    const above = whole.at(-1);
    if (half) {
      whole.push(
        isClose(half, line) ? { ...line, cells: line.cells.map((cell, column) => withRest(half!.cells[column] ?? '', cell)) } : line,
      );
      half = null;
    } else if (!isHalf(lines, at, kinds)) whole.push(line);
    else if (goesOnBelow.test(line.cells[kinds.results]!) && at + 1 < lines.length) half = line;
    else if (above && isClose(above, line))
      whole[whole.length - 1] = { ...above, cells: above.cells.map((cell, column) => withRest(cell, line.cells[column] ?? '')) };
    else whole.push(line);
  });
  return whole;
}
