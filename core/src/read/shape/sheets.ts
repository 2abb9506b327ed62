import { z } from 'zod';
import { fold } from '../cells/fold.ts';
import type { Block, LabTable, Refusal } from './table.ts';

/** A part of a file that has lines of its own, a sheet or a page: its name, and at which line of the whole file it begins, counted from 1. */
export const FilePart = z.object({ name: z.string(), from: z.number().int() });
export type FilePart = z.infer<typeof FilePart>;

/** A table on a sheet of its own. */
export interface Sheet {
  name: string;
  table: LabTable;
}

interface OfSheets {
  sheets: readonly Sheet[];
  encoding: string;
  parts: readonly FilePart[];
}

/** A report's table, or those on its sheets, with how it was written down and the parts it has; or why there is none. */
export type ReportTable = { table: LabTable; encoding: string; parts?: readonly FilePart[] } | OfSheets | { refusal: Refusal };

/** Whether which of several tables are meant is to be said. */
export const isOfSheets = (from: ReportTable): from is OfSheets => 'sheets' in from;

/** A line of a file as a person finds it: in its part, counted there. */
export function lineIn(parts: readonly FilePart[], line: number): { part: string | null; line: number } {
  const part = parts.findLast(({ from }) => from <= line);
  return part ? { part: part.name, line: line - part.from + 1 } : { part: null, line };
}

/** A line of a file in words: `Line 12`, or `Results, line 3`. */
export function sayLine(parts: readonly FilePart[], line: number): string {
  const at = lineIn(parts, line);
  return at.part === null ? `Line ${at.line}` : `${at.part}, line ${at.line}`;
}

/** A table with its lines counted on from so many before it, and the last of them. */
export function shiftedTable(table: LabTable, by: number): { table: LabTable; last: number } {
  let last = 0;
  const shifted = <T extends { line: number }>(rows: readonly T[]): T[] =>
    rows.map((row) => {
      last = Math.max(last, row.line + by);
      return { ...row, line: row.line + by };
    });
  const block = <T extends Block>(one: T): T => ({ ...one, headerLine: one.headerLine + by, rows: shifted(one.rows) });
  const { preamble, strange, more } = table;
  const moved = { ...block(table), preamble: shifted(preamble), strange: shifted(strange), ...(more ? { more: more.map(block) } : {}) };
  return { table: moved, last };
}

const blocksOf = ({ header, headerLine, rows, more = [] }: LabTable): Block[] => [{ header, headerLine, rows }, ...more];
const nameOf = ({ header }: Block) => header.map(fold).join('|');

/**
 * The tables of the sheets that were chosen as those of one file, those under the same headings as one. Null where none was chosen, or one that
 * the file does not have.
 */
export function ofSheets(sheets: readonly Sheet[], chosen: readonly string[] = []): LabTable | null {
  const tables = sheets.filter(({ name }) => chosen.includes(name)).map(({ table }) => table);
  if (tables.length === 0 || tables.length < new Set(chosen).size) return null;
  const blocks = new Map<string, Block>();
  for (const block of tables.flatMap(blocksOf)) {
    const same = blocks.get(nameOf(block));
    blocks.set(nameOf(block), same ? { ...same, rows: [...same.rows, ...block.rows] } : block);
  }
  const [first, ...more] = blocks.values();
  return {
    ...tables[0]!,
    ...first!,
    preamble: tables.flatMap(({ preamble }) => preamble),
    strange: tables.flatMap(({ strange }) => strange),
    more,
  };
}
