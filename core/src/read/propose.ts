import type { BottlesByLabel } from './at-lab.ts';
import { readValue } from './cells/value.ts';
import type { Mapping } from './mapping.ts';
import { byHeading } from './shape/heading.ts';
import { layoutOf } from './shape/layout.ts';
import type { LabTable } from './shape/table.ts';
import { roles, type Role } from './tables/headings.ts';

/** Of the columns without a role, the one whose cells most often hold what a result holds, if more than half do. */
function resultByContent(table: LabTable, taken: ReadonlySet<number>): number | undefined {
  const sample = table.rows.slice(0, 200);
  const share = (column: number) => sample.filter((row) => readValue(row.cells[column] ?? '', '').ok).length / sample.length;
  const free = table.header.map((_, column) => column).filter((column) => !taken.has(column));
  const candidates = free.filter((column) => share(column) > 0.5 && sample.some((row) => /^[<>]/.test(row.cells[column] ?? '')));
  return candidates.length === 1 ? candidates[0] : undefined;
}

/** The column in which most labels of ours stand; of several alike, the one whose heading says so. */
function labelColumn(table: LabTable, bottles: BottlesByLabel, byName: number | undefined): number | undefined {
  if (bottles.size === 0) return byName;
  const sample = table.rows.slice(0, 500);
  const counts = table.header.map((_, column) => sample.filter((row) => bottles.has(row.cells[column] ?? '')).length);
  const most = Math.max(0, ...counts);
  if (most === 0) return byName;
  return byName !== undefined && counts[byName] === most ? byName : counts.indexOf(most);
}

/**
 * Proposes which column is what: by heading first; the sample's by the labels in it; a result column without a known heading only
 * if it is the one column with `<` in it. A reporting or detection limit is never proposed as the result.
 */
export function proposeMapping(table: LabTable, bottles: BottlesByLabel = new Map()): Mapping {
  const columns = byHeading(table.header);
  const sample = labelColumn(table, bottles, columns.sample);
  if (sample !== undefined && sample !== columns.sample) {
    for (const role of roles) if (columns[role] === sample) delete columns[role];
    columns.sample = sample;
  }
  const layout = layoutOf(table, columns, bottles);
  if (layout === 'wide') return { columns: only(columns, wideRoles), layout };
  if (layout === 'transposed') return { columns: only(columns, transposedRoles), layout };
  if (columns.result === undefined) {
    const guess = resultByContent(table, new Set(Object.values(columns)));
    if (guess !== undefined) columns.result = guess;
  }
  return { columns };
}

/** What columns can say of a whole row of results. */
const wideRoles: readonly Role[] = ['sample', 'collected', 'collectedTime', 'analysed', 'kind', 'method'];
const transposedRoles: readonly Role[] = ['parameter', 'unit', 'reportingLimit', 'detectionLimit', 'limit', 'method'];
const only = (columns: Mapping['columns'], kept: readonly Role[]): Mapping['columns'] =>
  Object.fromEntries(Object.entries(columns).filter(([role]) => kept.includes(role as Role)));
