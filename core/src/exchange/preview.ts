import type { z } from 'zod';
import type { Coded, Finding } from '../findings/index.ts';
import { centreOf, Point, pointKind, pointKindIds, questionFrom, type PointKind, type Position } from '../registers/index.ts';
import { convert, fromBase, readStyled, styleShown, toBase, type NumberStyle, type UnitId } from '../units/index.ts';
import { at, withAt } from './paths.ts';
import type { FileRow, ReadFile } from './rows.ts';
import { pointColumns, type PointColumn } from './tables/columns.ts';
import { cellOf, none } from './write.ts';

/** What is wrong with a cell, by its column. */
export interface CellFault extends Coded {
  column: string;
}

/** What a row would do to the register. Nothing is written of one with a fault, nor of one that is asked about and not confirmed. */
export interface PreviewRow {
  line: number;
  code: string;
  state: 'new' | 'changed' | 'same' | 'fault';
  /** The point as it would be; null where there is a fault. */
  point: Point | null;
  changes: { column: string; before: string; after: string }[];
  faults: CellFault[];
  /** What is odd: somebody has to say that it is so. */
  asked: readonly Finding[];
}

/** How the numbers of a file are written, as far as one of them shows it. */
const styleOf = (rows: readonly FileRow[]): NumberStyle =>
  styleShown(rows.flatMap(({ cells }) => pointColumns.flatMap(({ name, is }) => (is === 'number' && cells[name] ? [cells[name]] : []))));

/** How a file is read, and what is asked about a point as it would be. */
interface Reading {
  style: NumberStyle;
  units: ReadFile['units'];
  question: (point: Point) => readonly Finding[];
}

/** A number of a cell in base units; or what is wrong with it. */
function numberIn(cell: string, unit: UnitId | undefined, style: NumberStyle): number | Coded {
  const reading = readStyled(cell, style);
  if (!reading.ok) return { code: reading.code === 'two-ways' ? 'which-mark' : 'no-number' };
  // 52 mm are 0.052 m, and not what binary makes of the product.
  return unit ? Number(toBase(reading.value, unit).toPrecision(12)) : reading.value;
}

function valueIn(cell: string, column: PointColumn, { style, units }: Reading): { value: unknown } | Coded {
  if (cell === none && column.path === 'tap.residualMinimum') return { value: null };
  if (column.is === 'list')
    return {
      value: [
        ...new Set(
          cell
            .split(';')
            .map((one) => one.trim())
            .filter((one) => one !== ''),
        ),
      ],
    };
  if (column.is !== 'number') return { value: cell };
  const number = numberIn(cell, units[column.name] ?? column.unit, style);
  return typeof number === 'number' ? { value: number } : number;
}

/** The parts of a point that only its own type has. */
const bare = (kind: PointKind, id: string): object => {
  const { type } = pointKind(kind);
  return { id, type, kind, access: '', ...(type === 'well' ? { well: { measuringPoints: [] } } : { tap: {} }) };
};

const columnAt = (path: string) =>
  pointColumns.find((column) => column.path === path) ??
  pointColumns.find((column) => path.startsWith(`${column.path}.`) || column.path.startsWith(`${path}.`));

const wordAt = (draft: object, path: readonly PropertyKey[]): string => String(at(draft, path.map(String).join('.')) ?? '').slice(0, 60);

/** How many of one unit are one of another, where a number of a file is easily in the other one. */
const slips: readonly { unit: UnitId; other: UnitId; code: string }[] = [
  { unit: 'm', other: 'ft', code: 'likely-feet' },
  { unit: 'mm', other: 'in', code: 'likely-inches' },
];
/** So near, as a part of it, a number in another unit comes to the one that is registered. */
const near = 0.02;

/** Numbers that are those of the register in another unit. */
function unitSlips(known: Point, point: Point): Finding[] {
  return pointColumns.flatMap((column): Finding[] => {
    const slip = slips.find(({ unit }) => unit === column.unit);
    const [before, after] = [at(known, column.path), at(point, column.path)];
    if (!slip || typeof before !== 'number' || typeof after !== 'number' || before === after || after === 0) return [];
    const as = convert(fromBase(after, slip.unit), slip.other, slip.unit);
    const was = fromBase(before, slip.unit);
    if (Math.abs(as - was) > near * Math.abs(was)) return [];
    return [
      { code: slip.code, severity: 'question', field: column.path, data: { column: column.name, was, is: fromBase(after, slip.unit) } },
    ];
  });
}

/** The point of a row: what was known or nothing, with what its cells say; or what is wrong with them. */
function drafted({
  cells,
  known,
  type,
  from,
  reading,
}: {
  cells: FileRow['cells'];
  known: Point | undefined;
  type: Point['type'];
  from: object;
  reading: Reading;
}): { draft: object } | { faults: CellFault[] } {
  let draft = from;
  const faults: CellFault[] = [];
  for (const column of pointColumns) {
    const cell = cells[column.name] ?? '';
    // An empty cell says nothing: what the register has stays.
    if (cell === '') continue;
    if (column.of && column.of !== type) {
      faults.push({ column: column.name, code: 'not-of-type', data: { type } });
      continue;
    }
    const read = valueIn(cell, column, reading);
    if ('code' in read) faults.push({ column: column.name, ...read });
    // What reads the same as the register says is the same: no digit is lost on the way round.
    else if (!known || reading.units[column.name] !== undefined || cellOf(known, column) !== cell)
      draft = withAt(draft, column.path, read.value);
  }
  return faults.length > 0 ? { faults } : { draft };
}

/** What the register's schema refuses, at the columns it concerns. */
const refused = (draft: object, { issues }: z.ZodError): CellFault[] =>
  issues.map((issue): CellFault => {
    const { path, message } = issue;
    const column = columnAt(path.join('.'))?.name ?? path.join('.');
    // A word that is none comes with those that are.
    if (issue.code === 'invalid_value')
      return { column, code: 'unknown-word', data: { word: wordAt(draft, path), allowed: issue.values.map(String).join(', ') } };
    return { column, code: 'refused', data: { message: message.startsWith('Invalid') ? '' : message } };
  });

/** What a row is: by the kind that it says, else as the register knows it. */
function typeOf(kind: string | undefined, known: Point | undefined): { type: Point['type'] } | CellFault {
  if (!kind) return known ? { type: known.type } : { column: 'kind', code: 'no-kind' };
  if (!(pointKindIds as readonly string[]).includes(kind))
    return { column: 'kind', code: 'unknown-word', data: { word: kind, allowed: pointKindIds.join(', ') } };
  const { type } = pointKind(kind as PointKind);
  return known && known.type !== type ? { column: 'kind', code: 'other-type', data: { type: known.type } } : { type };
}

/** Whether a point has a position that it did not have before. */
const isMoved = (known: Point | undefined, { position }: Point): boolean =>
  position !== undefined &&
  (!known?.position || known.position.latitude !== position.latitude || known.position.longitude !== position.longitude);

function previewRow(
  { line, cells, shape }: FileRow,
  known: Point | undefined,
  centre: Position | null,
  reading: Reading,
  id: string,
): PreviewRow {
  const code = cells['code'] ?? '';
  const row = { line, code, changes: [], asked: [], faults: [] as CellFault[], point: null };
  const fault = (faults: CellFault[]): PreviewRow => ({ ...row, state: 'fault', faults });
  if (shape !== undefined) return fault([{ column: 'geometry', code: 'not-a-point', data: { shape } }]);
  const kind = cells['kind'];
  const ofKind = typeOf(kind, known);
  if ('code' in ofKind) return fault([ofKind]);
  const { type } = ofKind;
  const told = drafted({ cells, known, type, from: known ?? bare(kind as PointKind, id), reading });
  if ('faults' in told) return fault(told.faults);
  const parsed = Point.safeParse(told.draft);
  if (!parsed.success) return fault(refused(told.draft, parsed.error));
  const point = parsed.data;
  if (point.disinfection === 'none' && point.type === 'tap' && point.tap.residualMinimum !== null)
    return fault([{ column: 'disinfection', code: 'disinfection-contradicts', data: { least: point.tap.residualMinimum } }]);
  const changes = pointColumns.flatMap((column) => {
    const [before, after] = [known ? cellOf(known, column) : '', cellOf(point, column)];
    return before === after ? [] : [{ column: column.name, before, after }];
  });
  const isBuiltAnew = changes.some(({ column }) => pointColumns.some(({ name, of }) => name === column && of === 'well'));
  const asked = [
    ...(isMoved(known, point) ? questionFrom(point.position!, centre) : []),
    ...(isBuiltAnew ? reading.question(point) : []),
    ...(known ? unitSlips(known, point) : []),
  ];
  return { ...row, state: !known ? 'new' : changes.length === 0 ? 'same' : 'changed', point, changes, asked };
}

/**
 * What a file would do to the register, row by row. Rows are told apart by their code; an empty cell leaves what is registered as it
 * is.
 * @param ids one for each row, for those that are new
 * @param question what the form of a point asks about it as well
 */
export function previewPoints(
  { rows, units }: Pick<ReadFile, 'rows' | 'units'>,
  registered: readonly Point[],
  ids: readonly string[],
  question: Reading['question'] = () => [],
): PreviewRow[] {
  const byCode = new Map(registered.map((point) => [point.code, point]));
  const style = styleOf(rows);
  const own = registered.flatMap(({ position }) => position ?? []);
  const inFile = rows.flatMap(({ cells }): Position[] => {
    const [latitude, longitude] = ['latitude', 'longitude'].map((name) => readStyled(cells[name] ?? '', style));
    return latitude?.ok && longitude?.ok ? [{ latitude: latitude.value, longitude: longitude.value }] : [];
  });
  const centre = centreOf(own.length > 0 ? own : inFile);
  const times = new Map<string, number>();
  for (const { cells } of rows) times.set(cells['code'] ?? '', (times.get(cells['code'] ?? '') ?? 0) + 1);
  return rows.map((row, index) => {
    const code = row.cells['code'] ?? '';
    const fault = (what: string): PreviewRow => ({
      line: row.line,
      code,
      state: 'fault',
      point: null,
      changes: [],
      asked: [],
      faults: [{ column: 'code', code: what }],
    });
    if (code === '') return fault('no-code');
    if (times.get(code)! > 1) return fault('code-twice');
    return previewRow(row, byCode.get(code), centre, { style, units, question }, ids[index]!);
  });
}

/** Whether a row is written down: it changes something, has no fault, and what is odd about it was confirmed. */
export const isWritable = ({ state, asked }: PreviewRow, isConfirmed: boolean): boolean =>
  (state === 'new' || state === 'changed') && (asked.length === 0 || isConfirmed);
