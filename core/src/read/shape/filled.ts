import type { Mapping } from '../mapping.ts';
import type { LabTable, TableRow } from './table.ts';

/** Marks for “as above”. */
const ditto = /^(["”“″〃]+|[-–]["″”][-–]|idem|id\.?|ditto|do\.|dito|[íi]dem|same|as above|wie oben|dto\.?)$/i;

/**
 * A table of one result to a row in which a label stands once for the rows below it, as in merged cells: with it in each of them. Not past a
 * blank line or a repeated header, and not where another column says that the sample is another one.
 */
export function filledDown(table: LabTable, { columns }: Mapping): LabTable {
  const { sample, parameter, result, qualifier } = columns;
  if (sample === undefined || parameter === undefined) return table;
  // Whose a row is, other columns may say.
  const { labNumber: _labNumber, client: _client, ...of } = columns;
  const mapped = new Set(Object.values(of));
  let above: TableRow | null = null;
  const rows = table.rows.map((row) => {
    const at = (column: number | undefined) => (column === undefined ? '' : (row.cells[column] ?? ''));
    const before = row.isAfterBreak ? null : above;
    const isSame = row.cells.every((cell, column) => mapped.has(column) || cell === '' || cell === before?.cells[column]);
    const hasResult = at(parameter) !== '' && (at(result) !== '' || at(qualifier) !== '');
    let filled = row;
    if (before && hasResult && ((at(sample) === '' && isSame) || ditto.test(at(sample))))
      filled = withCell(filled, sample, before.cells[sample] ?? '');
    if (before && ditto.test(at(parameter))) filled = withCell(filled, parameter, before.cells[parameter] ?? '');
    above = hasResult || at(sample) !== '' ? filled : null;
    return filled;
  });
  return { ...table, rows };
}

const withCell = (row: TableRow, column: number, cell: string): TableRow => ({
  ...row,
  cells: row.cells.map((one, index) => (index === column ? cell : one)),
});
