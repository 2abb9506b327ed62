import { fold } from '../cells/fold.ts';
import { roleWhole } from './heading.ts';
import type { Block, TableRow } from './block.ts';

/**
 * Where tables begin that stand side by side under one row of headings: a heading of the same role comes again, and each stretch up to the next
 * has both a parameter and a result. Columns before the first belong to all of them.
 */
function beginnings(header: readonly string[]): number[] {
  const called = header.map(roleWhole);
  for (const [first, role] of called.entries()) {
    if (role === null) continue;
    const starts = called.flatMap((one, column) => (one === role && column >= first ? [column] : []));
    const isWhole = (start: number, index: number) => {
      const group = called.slice(start, starts[index + 1] ?? header.length);
      return group.includes('parameter') && group.includes('result');
    };
    if (starts.length >= 2 && starts.every(isWhole)) return starts;
  }
  return [];
}

/** The tables of a block, each under its own headings: one, or those that stand side by side. */
export function sideBySide(block: Block): Block[] {
  const starts = beginnings(block.header);
  if (starts.length === 0) return [block];
  const shared = Array.from({ length: starts[0]! }, (_, column) => column);
  const blocks = new Map<string, Block>();
  for (const [index, start] of starts.entries()) {
    const end = starts[index + 1] ?? block.header.length;
    const own = Array.from({ length: end - start }, (_, at) => start + at);
    // What parts two tables is a column of neither.
    while (own.length > 0 && block.header[own.at(-1)!] === '' && block.rows.every(({ cells }) => (cells[own.at(-1)!] ?? '') === ''))
      own.pop();
    const columns = [...shared, ...own];
    const header = columns.map((column) => block.header[column]!);
    const rows = block.rows.flatMap((row): TableRow[] => {
      if (own.every((column) => (row.cells[column] ?? '') === '')) return [];
      const cells = columns.map((column) => row.cells[column] ?? '');
      return [{ ...row, cells, places: columns.map((column) => row.places?.[column] ?? column) }];
    });
    const name = header.map(fold).join('|');
    const same = blocks.get(name);
    if (same) same.rows.push(...rows);
    else blocks.set(name, { header, headerLine: block.headerLine, rows });
  }
  return [...blocks.values()].filter(({ rows }) => rows.length > 0);
}
