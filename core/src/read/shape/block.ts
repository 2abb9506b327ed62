import type { Heads } from './heads.ts';

/** A row of a lab's table with the line of the file it starts on, counted from 1. */
export interface TableRow {
  line: number;
  cells: string[];
  /** Which column of the file each cell stands in, counted from 0; its own place where this is left out. */
  places?: readonly number[];
  /** A blank line or a repeated header stands above it. */
  isAfterBreak?: true;
  /** What lines above it say of it. */
  heads?: Heads;
}

/** A table under a header of its own. */
export interface Block {
  header: string[];
  headerLine: number;
  rows: TableRow[];
}
