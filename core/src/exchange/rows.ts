import Papa from 'papaparse';
import type { UnitId } from '../units/index.ts';
import { pointColumns } from './tables/columns.ts';

/** A column of ours, as a person says that a column of a file is it; with the unit of its numbers, where they are in another one. */
export interface NamedColumn {
  name: string;
  unit?: UnitId;
}

/** What a person said of the columns of a file that nobody here knows, by their heads as {@link plain} has them. */
export type SaidColumns = Readonly<Record<string, NamedColumn>>;

/** A row of a file, by the heads of its columns, with its place: the line of a table, the number of a feature. */
export interface FileRow {
  line: number;
  cells: Readonly<Record<string, string>>;
  /** What a feature has in place of a point, by its name in RFC 7946. */
  shape?: string;
}

/** A file as it was taken in; or why it cannot be. */
export interface ReadFile {
  rows: FileRow[];
  /** Columns that nobody here knows, and of which nobody said what they are. */
  unknown: string[];
  /** Columns with a name of their own, and what a person said that they are. */
  said: { head: string; column: NamedColumn }[];
  /** The units of numbers that are in others than those of the columns' names. */
  units: Readonly<Record<string, UnitId>>;
  fault: 'empty' | 'no-code' | 'not-json' | 'no-features' | 'column-twice' | null;
}

const failed = (fault: ReadFile['fault'], unknown: string[] = []): ReadFile => ({ rows: [], unknown, said: [], units: {}, fault });

/** A head as it is compared: without case, blanks and marks; letters of any alphabet stay. */
export const plain = (head: string): string => head.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');
const byHead = new Map(pointColumns.map(({ name }) => [plain(name), name]));

interface Heads {
  names: (string | null)[];
  unknown: string[];
  said: ReadFile['said'];
  units: Record<string, UnitId>;
  fault: ReadFile['fault'];
}

function named(heads: readonly string[], said: SaidColumns): Heads {
  const saidOf = (head: string) => (Object.hasOwn(said, plain(head)) ? said[plain(head)]! : null);
  const names = heads.map((head) => byHead.get(plain(head)) ?? saidOf(head)?.name ?? null);
  const known = names.filter((name) => name !== null);
  const unknown = heads.filter((head, index) => names[index] === null && head.trim() !== '');
  const units = Object.fromEntries(
    heads.flatMap((head, index) => {
      const unit = byHead.has(plain(head)) ? undefined : saidOf(head)?.unit;
      return unit && names[index] ? [[names[index], unit]] : [];
    }),
  );
  const fault = !known.includes('code') ? 'no-code' : new Set(known).size !== known.length ? 'column-twice' : null;
  const byPerson = heads.flatMap((head) => {
    const column = byHead.has(plain(head)) ? null : saidOf(head);
    return column ? [{ head, column }] : [];
  });
  return { names, unknown, said: byPerson, units, fault };
}

/** A text that was made harmless for a table program is itself again. */
const itself = (cell: string) => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell).trim();

/** Reads a table: a comma, semicolon or tab between the cells, names of columns in the first line. */
export function readCsv(text: string, said: SaidColumns = {}): ReadFile {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [heads, ...lines] = data;
  if (!heads || lines.length === 0) return failed('empty');
  const { names, unknown, units, said: byPerson, fault } = named(heads, said);
  if (fault) return { ...failed(fault, unknown), said: byPerson };
  const rows = lines.map((line, index): FileRow => ({
    line: index + 2,
    cells: Object.fromEntries(line.flatMap((cell, place) => (names[place] ? [[names[place], itself(cell)]] : []))),
  }));
  return { rows, unknown, said: byPerson, units, fault: null };
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value.trim() : typeof value === 'number' ? String(value) : '');

/** Reads a collection of features (RFC 7946): positions from their geometry, the rest from their properties. */
export function readGeoJson(text: string, said: SaidColumns = {}): ReadFile {
  let json: { features?: unknown };
  try {
    json = JSON.parse(text) as typeof json;
  } catch {
    return failed('not-json');
  }
  if (!Array.isArray(json?.features)) return failed('no-features');
  const features = json.features as {
    geometry?: { type?: string; coordinates?: unknown[] } | null;
    properties?: Record<string, unknown> | null;
  }[];
  if (features.length === 0) return failed('empty');
  const heads = [...new Set(features.flatMap((feature) => Object.keys(feature?.properties ?? {})))];
  const { names, unknown, units, said: byPerson, fault } = named(heads, said);
  if (fault) return { ...failed(fault, unknown), said: byPerson };
  const rows = features.map((feature, index): FileRow => {
    const { geometry, properties } = feature ?? {};
    const cells = Object.fromEntries(
      heads.flatMap((head, place) => (names[place] && properties?.[head] !== undefined ? [[names[place], textOf(properties[head])]] : [])),
    );
    const [longitude, latitude] = geometry?.type === 'Point' ? (geometry.coordinates ?? []) : [];
    return {
      line: index + 1,
      cells: { ...cells, ...(latitude === undefined ? {} : { latitude: textOf(latitude), longitude: textOf(longitude) }) },
      // A line or an area is no place of a point: it is said, not dropped.
      ...(geometry && geometry.type !== 'Point' ? { shape: String(geometry.type).slice(0, 40) } : {}),
    };
  });
  return { rows, unknown, said: byPerson, units, fault: null };
}

/** Reads a file by what is in it, whatever it is called. */
export const readPoints = (text: string, said: SaidColumns = {}): ReadFile =>
  /^\uFEFF?\s*[{[]/.test(text) ? readGeoJson(text, said) : readCsv(text, said);
