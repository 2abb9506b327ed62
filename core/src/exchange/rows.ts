import Papa from 'papaparse';
import { pointColumns } from './tables/columns.ts';

/** A row of a file, by the heads of its columns, with its place: the line of a table, the number of a feature. */
export interface FileRow {
  line: number;
  cells: Readonly<Record<string, string>>;
}

/** A file as it was taken in; or why it cannot be. */
export interface ReadFile {
  rows: FileRow[];
  /** Columns that nobody here knows. */
  unknown: string[];
  fault: 'empty' | 'no-code' | 'not-json' | 'no-features' | 'column-twice' | null;
}

const failed = (fault: ReadFile['fault']): ReadFile => ({ rows: [], unknown: [], fault });

/** Heads are compared without case, blanks and marks. */
const plain = (head: string) => head.toLowerCase().replace(/[^a-z0-9]/g, '');
const byHead = new Map(pointColumns.map(({ name }) => [plain(name), name]));

function named(heads: readonly string[]): { names: (string | null)[]; unknown: string[]; fault: ReadFile['fault'] } {
  const names = heads.map((head) => byHead.get(plain(head)) ?? null);
  const known = names.filter((name) => name !== null);
  const unknown = heads.filter((head, index) => names[index] === null && head.trim() !== '');
  const fault = !known.includes('code') ? 'no-code' : new Set(known).size !== known.length ? 'column-twice' : null;
  return { names, unknown, fault };
}

/** A text that was made harmless for a table program is itself again. */
const itself = (cell: string) => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell).trim();

/** Reads a table: a comma, semicolon or tab between the cells, names of columns in the first line. */
export function readCsv(text: string): ReadFile {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [heads, ...lines] = data;
  if (!heads || lines.length === 0) return failed('empty');
  const { names, unknown, fault } = named(heads);
  if (fault) return failed(fault);
  const rows = lines.map((line, index): FileRow => ({
    line: index + 2,
    cells: Object.fromEntries(line.flatMap((cell, place) => (names[place] ? [[names[place], itself(cell)]] : []))),
  }));
  return { rows, unknown, fault: null };
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value.trim() : typeof value === 'number' ? String(value) : '');

/** Reads a collection of features (RFC 7946): positions from their geometry, the rest from their properties. */
export function readGeoJson(text: string): ReadFile {
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
  const { names, unknown, fault } = named(heads);
  if (fault) return failed(fault);
  const rows = features.map((feature, index): FileRow => {
    const { geometry, properties } = feature ?? {};
    const cells = Object.fromEntries(
      heads.flatMap((head, place) => (names[place] && properties?.[head] !== undefined ? [[names[place], textOf(properties[head])]] : [])),
    );
    const [longitude, latitude] = geometry?.type === 'Point' ? (geometry.coordinates ?? []) : [];
    return {
      line: index + 1,
      cells: { ...cells, ...(latitude === undefined ? {} : { latitude: textOf(latitude), longitude: textOf(longitude) }) },
    };
  });
  return { rows, unknown, fault: null };
}

/** Reads a file by what is in it, whatever it is called. */
export const readPoints = (text: string): ReadFile => (/^\uFEFF?\s*[{[]/.test(text) ? readGeoJson(text) : readCsv(text));
