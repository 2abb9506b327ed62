import type { Data } from '../findings/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { convert, unit, type UnitId } from '../units/index.ts';
import type { LabResult } from './entries.ts';
import { possibleDays } from './dates.ts';
import type { Mapping, Role } from './mapping.ts';
import { expression, parameterCalled, unitCalled, unitIn } from './names.ts';
import type { LabTable, TableRow, Unread } from './table.ts';
import { numberStyle, readValue, type NumberStyle } from './value.ts';

export interface Interpretation {
  results: LabResult[];
  unread: Unread[];
  /** Where the report and the book disagree about a result that was read, such as the day of collection. */
  doubts: Unread[];
}

/** A bottle that results may belong to: its kind, what can be told from it, and the day it was filled (`YYYY-MM-DD`). */
export interface BottleAtLab {
  name: string;
  parameters: readonly ParameterId[];
  filledOn: string;
}
export type BottlesByLabel = ReadonlyMap<string, BottleAtLab>;

/** What is asked about a whole file, by the code of the rows that do not say it themselves: the answer is part of the mapping. */
export const fileQuestions = {
  'nitrogen-as': { key: 'nitrogenAs' },
  'thousand-or-decimal': { key: 'decimals' },
} as const satisfies Record<string, { key: keyof Mapping }>;
export type FileQuestion = keyof typeof fileQuestions;

interface Reader {
  cell: (role: Role) => string;
  fail: (role: Role, code: string, data?: Data) => Unread;
}

function reader(row: TableRow, mapping: Mapping): Reader {
  const at = (role: Role) => mapping.columns[role];
  const cell = (role: Role) => {
    const column = at(role);
    return column === undefined ? '' : (row.cells[column] ?? '');
  };
  return {
    cell,
    fail: (role, code, data) => ({
      code,
      ...(data ? { data } : {}),
      line: row.line,
      column: (at(role) ?? 0) + 1,
      cell: cell(role).slice(0, 80),
    }),
  };
}

const noUnitNeeded: ReadonlySet<UnitId> = new Set(['pH']);

/** A function of texts that a file repeats from row to row, worked out once for each. */
function once<R>(work: (text: string) => R): (text: string) => R {
  const known = new Map<string, R>();
  return (text) => {
    let result = known.get(text);
    if (result === undefined) known.set(text, (result = work(text)));
    return result;
  };
}

/** What the words of a file mean; its reporting limits, unlike its results, are few. */
function fileWords(style: NumberStyle) {
  return {
    parameter: once(parameterCalled),
    unit: once(unitCalled),
    unitIn: once(unitIn),
    days: once(possibleDays),
    limit: once((text) => readValue(text, '', style)),
  };
}

function interpretRow(
  row: TableRow,
  mapping: Mapping,
  bottles: BottlesByLabel,
  style: NumberStyle,
  words: ReturnType<typeof fileWords>,
): LabResult | Unread {
  const { cell, fail } = reader(row, mapping);
  if (row.cells.length < 2) return fail('sample', 'few-cells');
  const bottle = cell('sample');
  const kept = bottles.get(bottle);
  if (!kept) return fail('sample', bottle === '' ? 'no-label' : 'unknown-label');
  const name = cell('parameter');
  const id = words.parameter(name);
  if (!id) return fail('parameter', 'unknown-parameter');
  if (!kept.parameters.includes(id)) return fail('parameter', 'other-bottle', { bottle: kept.name.toLowerCase() });

  const value = readValue(cell('result'), cell('qualifier'), style);
  if (!value.ok) return fail('result', value.code, value.data);
  const own = parameter(id).unit;
  const written = cell('unit');
  const named = words.unitIn(name);
  const called = written === '' ? (named ?? (noUnitNeeded.has(own) ? { unit: own, as: null } : null)) : words.unit(written);
  if (named && called && named.unit !== called.unit) return fail('unit', 'unit-contradicts');
  const wordOnly = value.value === null && cell('reportingLimit') === '';
  if (!called && !wordOnly) return fail('unit', written === '' ? 'no-unit' : 'unknown-unit');
  const from = called?.unit ?? own;
  if (unit(from).dimension !== unit(own).dimension) return fail('unit', 'wrong-unit', { unit: from, parameter: id });
  const as = expression(id, name, called?.as ?? null) ?? mapping.nitrogenAs;
  if (as === 'contradicts') return fail('unit', 'basis-contradicts');
  if (!as) return fail('unit', 'nitrogen-as' satisfies FileQuestion);
  const factor = as === 'N' ? (parameter(id).expressedAs?.['N'] ?? 1) : 1;
  const inOwn = (number: number) => convert(number, from, own) * factor;

  const limit = words.limit(cell('reportingLimit'));
  const reportingLimit = limit.ok && limit.value !== null ? inOwn(limit.value) : null;
  const number = value.value === null ? null : inOwn(value.value);
  const [least, most] = parameter(id).possible;
  if (number !== null && (number < least || number > most)) return fail('result', 'cannot-be', { parameter: id, value: number });
  return {
    line: row.line,
    bottle,
    parameter: id,
    form: value.form,
    value: number,
    ...(value.inclusive ? { inclusive: true } : {}),
    estimated: value.estimated,
    reportingLimit,
    ...(cell('method') === '' ? {} : { method: cell('method').slice(0, 200) }),
    written: { result: cell('result').slice(0, 200), unit: written.slice(0, 80), reportingLimit: cell('reportingLimit').slice(0, 80) },
  };
}

/** Whether the day of collection in a row is another than the book's; an empty cell says nothing. */
function doubtDate(row: TableRow, mapping: Mapping, filledOn: string, words: ReturnType<typeof fileWords>): Unread | null {
  const { cell, fail } = reader(row, mapping);
  const written = cell('collected');
  if (written === '' || words.days(written).includes(filledOn)) return null;
  return fail('collected', 'other-day', { day: filledOn });
}

/** How the numbers of a file are written: as a person said, else as its numbers show. */
function styleOf({ rows }: LabTable, { columns, decimals }: Mapping): NumberStyle {
  if (decimals) return { decimals, isSaid: true };
  const numbers = (['result', 'reportingLimit', 'detectionLimit'] as const).flatMap((role) => columns[role] ?? []);
  const cells = function* () {
    for (const { cells: row } of rows) for (const column of numbers) yield row[column] ?? '';
  };
  return numberStyle(cells());
}

/**
 * Reads every row of a table with a mapping that was not refused. What is not understood is handed back with its
 * place, never guessed. A second result for one bottle and parameter is not understood either.
 */
export function interpret(table: LabTable, mapping: Mapping, bottles: BottlesByLabel): Interpretation {
  const style = styleOf(table, mapping);
  const words = fileWords(style);
  const results: LabResult[] = [];
  const unread: Unread[] = [];
  const doubts: Unread[] = [];
  const linesOf = new Map<string, Partial<Record<ParameterId, number>>>();
  for (const row of table.rows) {
    const read = interpretRow(row, mapping, bottles, style, words);
    if ('code' in read) {
      unread.push(read);
      continue;
    }
    let lines = linesOf.get(read.bottle);
    if (!lines) linesOf.set(read.bottle, (lines = {}));
    const before = lines[read.parameter];
    if (before !== undefined) {
      unread.push(reader(row, mapping).fail('parameter', 'reported-twice', { line: before }));
      continue;
    }
    lines[read.parameter] = row.line;
    results.push(read);
    const doubt = doubtDate(row, mapping, bottles.get(read.bottle)!.filledOn, words);
    if (doubt) doubts.push(doubt);
  }
  return { results, unread, doubts };
}
