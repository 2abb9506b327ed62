import { type BottlesByLabel } from '../at-lab.ts';
import { fold } from '../cells/fold.ts';
import { filledDown } from './filled.ts';
import { labelsKnown } from '../rows/labels.ts';
import { roleCalled } from './heading.ts';
import type { Mapping } from '../mapping.ts';
import { isPartsPerT, named, unitCalled } from '../cells/names.ts';
import type { Layout } from '../tables/layouts.ts';
import { headings, roles, type Role } from '../tables/headings.ts';
import { flagMeanings, legendWords } from '../tables/flags.ts';
import { notAnalysed, type LabTable, type TableRow, type Unread } from './table.ts';
import { bareFlag } from '../cells/value.ts';

/** The long table that the others are turned into has a column for every role: nothing that is said of a result is lost on the way. */
const longColumns = Object.fromEntries(roles.map((role, index) => [role, index])) as Record<Role, number>;

/** A table with one result to a row, the mapping that reads it, and what of the other table found no place in it. */
export interface Long {
  table: LabTable;
  mapping: Mapping;
  unread: Unread[];
}

const besideRoles = ['qualifier', 'reportingLimit', 'detectionLimit', 'limit'] as const;
type BesideRole = (typeof besideRoles)[number];

/** What a column beside a result's column says of it, by its heading, with what is left of that: `Iron flag`, `Flag`, `NO3N_RL`. */
function besideSaid(heading: string): { role: BesideRole; stem: string } | null {
  const words = heading.split(/[\s_,;:()[\]/-]+/).filter((word) => word !== '');
  for (const role of besideRoles) if (headings[role].includes(fold(heading))) return { role, stem: '' };
  // The last words alone, whole: a symbol before them may end in their letters.
  for (const count of [3, 2, 1]) {
    if (words.length <= count) continue;
    const last = fold(words.slice(-count).join(''));
    const role = besideRoles.find((one) => headings[one].includes(last));
    if (role) return { role, stem: fold(words.slice(0, -count).join('')) };
  }
  const folded = fold(heading);
  const role = besideRoles.find((one) => headings[one].some((name) => name.length >= 4 && folded.endsWith(name)));
  return role ? { role, stem: '' } : null;
}
const besideRole = (heading: string): BesideRole | null => besideSaid(heading)?.role ?? null;

const isFlag = (cell: string) => /^[<>≤≥]/.test(cell) || Object.hasOwn(flagMeanings, bareFlag(cell));

/** Whether a column holds flags and nothing else. */
export function holdsFlags(table: Pick<LabTable, 'rows'>, column: number): boolean {
  const cells = table.rows.map((one) => one.cells[column] ?? '').filter((cell) => cell !== '');
  return cells.length > 0 && cells.every((cell) => Object.hasOwn(flagMeanings, bareFlag(cell)));
}

/**
 * Whether a column has remarks that say nothing of the numbers: sentences, none of which is a flag or speaks of what flags speak of. Where
 * one does, the column stays one of flags, and each of its texts is asked about.
 */
export function holdsRemarks(table: Pick<LabTable, 'rows'>, column: number): boolean {
  const cells = table.rows.flatMap(({ cells: all }) => (all[column] ? [all[column]] : []));
  const isOfNumbers = (cell: string) =>
    Object.hasOwn(flagMeanings, bareFlag(cell)) ||
    (['below', 'above', 'uncountable', 'estimated', 'rejected'] as const).some((one) => legendWords[one].test(cell));
  return cells.some((cell) => /\p{L}{3,}\s+\p{L}{2,}|\p{L}{8,}/u.test(cell)) && !cells.some(isOfNumbers);
}

type Cells = Partial<Record<Role, string>>;
/** Rows of the long table are many: their cells and places are arrays that are filled, not objects that are spread. */
const cellsOf = (of: Cells): string[] => roles.map((role) => of[role] ?? '');
const placesOf = (place: number, places: Partial<Record<Role, number>>): number[] => roles.map((role) => places[role] ?? place);

const unknownColumn = (table: LabTable, column: number, code = 'unknown-column'): Unread => ({
  code,
  line: table.headerLine,
  column: column + 1,
  cell: (table.header[column] ?? '').slice(0, 80),
});

/** For each column of results, the columns that belong to it. */
interface ResultColumn {
  column: number;
  beside: Partial<Record<Role, number>>;
}

/** The columns that hold results, each with those that follow it and belong to it, and those that nobody knows. */
function resultColumns(table: LabTable, mapping: Mapping, isResult: (heading: string, column: number) => boolean) {
  const taken = new Set(Object.values(mapping.columns));
  const unread: Unread[] = [];
  const free = [...table.header.entries()].filter(([column]) => !taken.has(column));
  const found = free.flatMap(([column, heading]): ResultColumn[] => (isResult(heading, column) ? [{ column, beside: {} }] : []));
  const results = new Set(found.map(({ column }) => column));
  for (const [column, heading] of free) {
    if (results.has(column)) continue;
    const { role, stem } = besideSaid(heading) ?? { role: null, stem: '' };
    // A heading that names the substance belongs to it wherever it stands; one that does not, to the column before it.
    const named = stem.length > 0 ? found.filter((one) => fold(table.header[one.column]!).startsWith(stem)) : [];
    const owner = named.length > 0 ? named[0] : found.findLast((one) => one.column < column);
    if (role && owner && owner.beside[role] === undefined && !(role === 'qualifier' && holdsRemarks(table, column))) {
      owner.beside[role] = column;
      continue;
    }
    const cells = table.rows.map((one) => one.cells[column] ?? '').filter((cell) => cell !== '');
    if (cells.length === 0) continue;
    // Flags that belong to nobody knows what: no number beside them can be trusted.
    unread.push(unknownColumn(table, column, cells.some(isFlag) ? 'flags-of-what' : 'unknown-column'));
  }
  return { found: unread.some(({ code }) => code === 'flags-of-what') ? [] : found, unread };
}

const atRole = (mapping: Mapping, cells: readonly string[], role: Role): string => {
  const column = mapping.columns[role];
  return column === undefined ? '' : (cells[column] ?? '');
};

/** What a row of a wide table says of all its results. */
const ofSample = ['collected', 'collectedTime', 'analysed', 'kind', 'method', 'fraction', 'dilution'] as const;
/** What stands beside a result, in a column of its own or in a row for all samples. */
const ofResult = ['unit', 'reportingLimit', 'detectionLimit', 'limit'] as const;

/** The headings with what a row below them adds: a fraction, a unit, an expression; null where it adds something else. */
function withSecondRow(header: readonly string[], cells: readonly string[], found: readonly ResultColumn[]): string[] | null {
  const said = found.filter(({ column }) => (cells[column] ?? '') !== '');
  const both = (column: number) => `${header[column]} ${cells[column]}`;
  if (said.length === 0 || !said.every(({ column }) => named(both(column)))) return null;
  return header.map((heading, column) => (said.some((one) => one.column === column) ? both(column) : heading));
}

/** A row for each sample, a column for each parameter; rows of units and limits may stand among them. */
function fromWide(table: LabTable, mapping: Mapping, bottles: BottlesByLabel): Omit<Long, 'mapping'> {
  const { found, unread } = resultColumns(table, mapping, (heading) => named(heading) !== null);
  const places = found.map(({ column, beside }) => placesOf(column, { ...mapping.columns, ...beside }));
  const of: Partial<Record<Role, readonly string[]>> = {};
  const rows: TableRow[] = [];
  const known = labelsKnown(bottles);
  /** What is measured, where a second row of headings says more of it. */
  let header: readonly string[] = table.header;
  for (const { line, cells } of table.rows) {
    const sample = atRole(mapping, cells, 'sample');
    if (known(sample) === null) {
      const says = roleCalled(sample);
      const values = found.map(({ column }) => cells[column] ?? '').filter((cell) => cell !== '');
      const role = values.length > 0 && values.every((cell) => unitCalled(cell) !== null || isPartsPerT(cell)) ? 'unit' : says;
      if (
        role === 'unit' ||
        role === 'reportingLimit' ||
        role === 'detectionLimit' ||
        role === 'limit' ||
        role === 'method' ||
        role === 'fraction'
      ) {
        of[role] = cells;
        continue;
      }
      const more = rows.length === 0 && sample === '' ? withSecondRow(table.header, cells, found) : null;
      if (more) {
        header = more;
        continue;
      }
    }
    const same = cellsOf({ sample });
    for (const role of ofSample) same[longColumns[role]] = atRole(mapping, cells, role);
    found.forEach(({ column, beside }, index) => {
      const result = cells[column] ?? '';
      const flag = beside.qualifier === undefined ? '' : (cells[beside.qualifier] ?? '');
      if (flag === '' && (result === '' || notAnalysed.test(result))) return;
      const long = same.slice();
      long[longColumns.parameter] = header[column]!;
      long[longColumns.result] = result;
      long[longColumns.qualifier] = flag;
      for (const role of ofResult)
        long[longColumns[role]] = beside[role] === undefined ? (of[role]?.[column] ?? '') : (cells[beside[role]] ?? '');
      for (const role of ['method', 'fraction'] as const)
        if (long[longColumns[role]] === '') long[longColumns[role]] = of[role]?.[column] ?? '';
      rows.push({ line, cells: long, places: places[index]! });
    });
  }
  return { table: { ...table, rows }, unread };
}

/** A row for each parameter, a column for each sample; rows may say of the samples when they were taken. */
function fromTransposed(table: LabTable, mapping: Mapping, bottles: BottlesByLabel): Omit<Long, 'mapping'> {
  const ofSamples: Partial<Record<Role, readonly string[]>> = {};
  const results: TableRow[] = [];
  for (const one of table.rows) {
    const name = atRole(mapping, one.cells, 'parameter');
    const role = named(name) ? null : roleCalled(name);
    if (
      role === 'sample' ||
      role === 'collected' ||
      role === 'collectedTime' ||
      role === 'analysed' ||
      role === 'kind' ||
      role === 'fraction'
    ) {
      ofSamples[role] ??= one.cells;
    } else results.push(one);
  }
  const body = { ...table, rows: results };
  const labelOf = (column: number) => ofSamples.sample?.[column] ?? table.header[column]!;
  // A column of flags alone is a sample only where it is called by a label of ours: there all may be “not detected”.
  const isOurs = labelsKnown(bottles);
  const isSample = (heading: string, column: number) =>
    heading !== '' && (isOurs(labelOf(column)) !== null || (besideRole(heading) === null && !holdsFlags(body, column)));
  const { found, unread } = resultColumns(body, mapping, isSample);
  const rows = results.flatMap(({ line, cells }) =>
    found.flatMap(({ column, beside }) => {
      const result = cells[column] ?? '';
      const flag = beside.qualifier === undefined ? '' : (cells[beside.qualifier] ?? '');
      if ((result === '' || notAnalysed.test(result)) && flag === '') return [];
      const from = (role: Role) => (beside[role] === undefined ? atRole(mapping, cells, role) : (cells[beside[role]] ?? ''));
      const texts: Cells = {
        sample: labelOf(column),
        parameter: from('parameter'),
        result,
        unit: from('unit'),
        qualifier: flag,
        reportingLimit: from('reportingLimit'),
        detectionLimit: from('detectionLimit'),
        limit: from('limit'),
        method: from('method'),
        fraction: from('fraction') || (ofSamples.fraction?.[column] ?? ''),
        dilution: from('dilution'),
        uncertainty: from('uncertainty'),
        collected: ofSamples.collected?.[column] ?? '',
        collectedTime: ofSamples.collectedTime?.[column] ?? '',
        analysed: ofSamples.analysed?.[column] ?? '',
        kind: ofSamples.kind?.[column] ?? '',
      };
      return [{ line, cells: cellsOf(texts), places: placesOf(column, { ...mapping.columns, ...beside }) }];
    }),
  );
  return { table: { ...table, rows }, unread };
}

/** A table as it is read: one result to a row. */
export function toLong(table: LabTable, mapping: Mapping, bottles: BottlesByLabel): Long {
  const layout = mapping.layout ?? 'long';
  if (layout === 'long') return { table: filledDown(table, mapping), mapping, unread: [] };
  const turned = layout === 'wide' ? fromWide(table, mapping, bottles) : fromTransposed(table, mapping, bottles);
  return { ...turned, mapping: { ...mapping, columns: longColumns } };
}

/** How the results of a table stand, by its header and the labels in it. */
export function layoutOf(table: LabTable, columns: Mapping['columns'], bottles: BottlesByLabel): Layout {
  const free = table.header.filter((_, index) => !Object.values(columns).includes(index));
  if (columns.parameter === undefined) return free.filter((heading) => named(heading) !== null).length >= 2 ? 'wide' : 'long';
  if (columns.result !== undefined) return 'long';
  const known = labelsKnown(bottles);
  const isIn = (cells: readonly string[]) => cells.some((cell) => known(cell) !== null);
  const rowOfLabels = table.rows.find((one) => roleCalled(one.cells[columns.parameter!] ?? '') === 'sample');
  return isIn(free) || (rowOfLabels && isIn(rowOfLabels.cells)) ? 'transposed' : 'long';
}
