import type { BottlesByLabel } from './at-lab.ts';
import { readValue } from './cells/value.ts';
import type { Mapping } from './mapping.ts';
import { labelsKnown } from './rows/labels.ts';
import { named, unitCalled } from './cells/names.ts';
import { byHeading, roleCalled } from './shape/heading.ts';
import { holdsFlags, holdsRemarks, layoutOf } from './shape/layout.ts';
import type { LabTable } from './shape/table.ts';
import { roles, type Role } from './tables/headings.ts';

/** Of the columns without a role, the one whose cells most often hold what a result holds, if more than half do. */
function resultByContent(table: LabTable, taken: ReadonlySet<number>): number | undefined {
  const free = table.header.map((_, column) => column).filter((column) => !taken.has(column));
  const sample = table.rows.slice(0, looked);
  const candidates = free.filter(
    (column) => shareOfResults(table, column) > 0.5 && sample.some((row) => /^[<>]/.test(row.cells[column] ?? '')),
  );
  return candidates.length === 1 ? candidates[0] : undefined;
}

const looked = 200;
/** The part of a column's cells that can be results. */
function shareOfResults(table: LabTable, column: number): number {
  const sample = table.rows.slice(0, looked);
  return sample.filter((row) => readValue(row.cells[column] ?? '', '').ok).length / sample.length;
}

/** The other columns than the one of the results that are called so as well, and look like it. */
const secondResults = (table: LabTable, result: number, taken: ReadonlySet<number>): number[] =>
  table.header.flatMap((heading, column) =>
    column !== result && !taken.has(column) && roleCalled(heading) === 'result' && shareOfResults(table, column) > 0.5 ? [column] : [],
  );

const means = {
  parameter: (cell: string) => named(cell) !== null,
  unit: (cell: string) => !/^\d/.test(cell) && unitCalled(cell) !== null,
};

/** The one column without a heading that is known whose cells nearly all name a parameter, or a unit. */
function columnOf(table: LabTable, role: 'parameter' | 'unit', taken: ReadonlySet<number>): number | undefined {
  const found = table.header.flatMap((_, column) => {
    if (taken.has(column)) return [];
    const cells = table.rows.slice(0, looked).flatMap(({ cells: all }) => (all[column] ? [all[column]] : []));
    return cells.length >= 2 && cells.filter(means[role]).length >= cells.length * 0.7 ? [column] : [];
  });
  return found.length === 1 ? found[0] : undefined;
}

/** The column in which most labels of ours stand; of several alike, the one whose heading says so. */
function labelColumn(table: LabTable, bottles: BottlesByLabel, byName: number | undefined): number | undefined {
  if (bottles.size === 0) return byName;
  const sample = table.rows.slice(0, 500);
  const known = labelsKnown(bottles);
  const counts = table.header.map((_, column) => sample.filter((row) => known(row.cells[column] ?? '') !== null).length);
  const most = Math.max(0, ...counts);
  if (most === 0) return byName;
  return byName !== undefined && counts[byName] === most ? byName : counts.indexOf(most);
}

/** The column of the results and, where there is one, the other that is held against it; neither where a person has to say which it is. */
function resultColumns(table: LabTable, columns: Mapping['columns']): Pick<Mapping['columns'], 'result' | 'secondResult'> {
  const taken = new Set(Object.values(columns));
  if (columns.result === undefined) {
    const guess = resultByContent(table, taken);
    return guess === undefined ? {} : { result: guess };
  }
  const all = [columns.result, ...secondResults(table, columns.result, taken)];
  if (all.length === 1) return {};
  // One that has signs and words says more than one of bare numbers, which is held against it.
  const signed = all.filter((column) => table.rows.some(({ cells }) => /^[<>≤≥]|\p{L}{2}/u.test(cells[column] ?? '')));
  const bare = all.filter((column) => !signed.includes(column));
  return signed.length === 1 && bare.length === 1 ? { result: signed[0]!, secondResult: bare[0]! } : { result: undefined };
}

/**
 * Proposes which column is what: by heading first; the sample's by the labels in it; a result column without a known heading only
 * if it is the one column with `<` in it. A reporting or detection limit is never proposed as the result.
 */
export function proposeMapping(table: LabTable, bottles: BottlesByLabel = new Map()): Mapping {
  const columns = byHeading(table.header);
  // A bottle may be called like a column: its label is none.
  const known = labelsKnown(bottles);
  for (const role of roles) if (columns[role] !== undefined && known(table.header[columns[role]] ?? '') !== null) delete columns[role];
  const sample = labelColumn(table, bottles, columns.sample);
  if (sample !== undefined && sample !== columns.sample) {
    for (const role of roles) if (columns[role] === sample) delete columns[role];
    columns.sample = sample;
  }
  for (const role of ['parameter', 'unit'] as const) {
    const found = columns[role] === undefined ? columnOf(table, role, new Set(Object.values(columns))) : undefined;
    if (found !== undefined) columns[role] = found;
  }
  const layout = layoutOf(table, columns, bottles);
  if (layout === 'wide') return { columns: only(columns, wideRoles), layout };
  if (layout === 'transposed') return { columns: only(columns, transposedRoles), layout };
  // A column of remarks is called like one of flags: sentences are no flags.
  if (columns.qualifier !== undefined && holdsRemarks(table, columns.qualifier)) delete columns.qualifier;
  const flags = table.header.flatMap((_, column) =>
    !Object.values(columns).includes(column) && holdsFlags(table, column) ? [column] : [],
  );
  if (columns.qualifier === undefined && flags.length === 1) columns.qualifier = flags[0]!;
  const { result, ...others } = { ...columns, ...resultColumns(table, columns) };
  return { columns: result === undefined ? others : { ...others, result } };
}

/** What columns can say of a whole row of results. */
const wideRoles: readonly Role[] = ['sample', 'collected', 'collectedTime', 'analysed', 'kind', 'method', 'fraction', 'dilution'];
const transposedRoles: readonly Role[] = [
  'parameter',
  'unit',
  'reportingLimit',
  'detectionLimit',
  'limit',
  'method',
  'fraction',
  'dilution',
  'uncertainty',
];
const only = (columns: Mapping['columns'], kept: readonly Role[]): Mapping['columns'] =>
  Object.fromEntries(Object.entries(columns).filter(([role]) => kept.includes(role as Role)));
