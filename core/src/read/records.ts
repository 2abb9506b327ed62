import { z } from 'zod';
import { decodeText } from './shape/decode.ts';
import type { ReportTable } from './shape/sheets.ts';
import { tableBounds, tableOfLines, type TableRow } from './shape/table.ts';

const text = (about: string, most = 200) => z.string().max(most).describe(about);
const number = (about: string) => z.union([z.number(), z.string().max(80)]).describe(about);

/**
 * One result of a lab, as a system writes it for another: a line of JSON Lines, a member of a JSON array, or a row of CSV whose columns are
 * called so. Published as a JSON Schema in `docs/lab-result.schema.json`. What a lab has beside it is not read, and does no harm.
 * @example {"sample":"261123A-MW3-N","parameter":"Nitrate as NO3","result":"<0.5","unit":"mg/L"}
 */
export const LabLine = z.object({
  sample: text('The label of the bottle'),
  parameter: text('What was measured, with what it is expressed as: Nitrate as NO3'),
  result: number('A number, with < or > before it where it is a bound, or a word such as absent'),
  unit: text('The unit of the result: mg/L', 80).optional(),
  qualifier: text('A flag of the lab', 80).optional(),
  reportingLimit: number('In the unit of the result').optional(),
  detectionLimit: number('In the unit of the result').optional(),
  uncertainty: number('Expanded, in the unit of the result').optional(),
  fraction: z.enum(['total', 'dissolved']).describe('Of a metal').optional(),
  method: text('The method').optional(),
  collected: text('The day of sampling: 2026-11-23', 40).optional(),
  analysed: text('The day of analysis: 2026-11-24', 40).optional(),
  sampleKind: text('The kind of sample, where it is the lab’s own quality control', 80).optional(),
});
export type LabLine = z.infer<typeof LabLine>;

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value);

/** A record of a file, and the line on which it stands; of an array its place in it, counted from 1. */
interface Found {
  line: number;
  record: Plain;
}

function parsed(json: string): unknown {
  try {
    return JSON.parse(json) as unknown;
  } catch {
    return undefined;
  }
}

/** The objects of a JSON array, of JSON Lines, or of what stands under `value` in an answer; null where a text is none of them. */
function recordsIn(all: string): Found[] | null {
  const whole = parsed(all);
  const many = isPlain(whole) && Array.isArray(whole['value']) ? (whole['value'] as unknown[]) : Array.isArray(whole) ? whole : null;
  if (many) return many.every(isPlain) ? many.map((record, index) => ({ line: index + 1, record })) : null;
  const lines = all.split(/\r\n|\r|\n/).flatMap((line, index) => (line.trim() === '' ? [] : [{ line: index + 1, record: parsed(line) }]));
  return lines.every((one): one is Found => isPlain(one.record)) && lines.length > 0 ? lines : null;
}

const at = (record: unknown, ...path: string[]): unknown => path.reduce<unknown>((of, key) => (isPlain(of) ? of[key] : undefined), record);

/**
 * An observation of the OGC SensorThings API, Part 1 (OGC 18-088; from memory), with what it belongs to expanded into it: the property that was
 * observed, the unit of its stream, and the feature that was sampled.
 */
function ofObservation(record: Plain): Plain {
  const stream = record['Datastream'];
  return {
    sample: at(record, 'FeatureOfInterest', 'name') ?? at(stream, 'Thing', 'name'),
    parameter: at(stream, 'ObservedProperty', 'name'),
    result: record['result'],
    unit: at(stream, 'unitOfMeasurement', 'symbol'),
    collected: typeof record['phenomenonTime'] === 'string' ? record['phenomenonTime'].slice(0, 10) : undefined,
  };
}

/** A value as the text of a cell; null for one that has parts: what it says nobody here knows. */
const cellOf = (value: unknown): string | null =>
  value === undefined || value === null ? '' : typeof value === 'string' ? value : typeof value === 'object' ? null : String(value);

/** The table of records: a column for each name. Null where a text holds none. */
export function tableOfRecords(bytes: Uint8Array): ReportTable | null {
  const { text: all, encoding } = decodeText(bytes);
  const found = /^\s*[[{]/.test(all) ? recordsIn(all) : null;
  if (!found) return null;
  const records = found.map(({ line, record }) => ({ line, record: isPlain(record['Datastream']) ? ofObservation(record) : record }));
  const names = [...new Set(records.flatMap(({ record }) => Object.keys(record)))];
  // What has parts of its own is no cell, and its column none.
  const flat = names.filter((name) => records.every(({ record }) => cellOf(record[name]) !== null));
  if (flat.length > tableBounds.columns)
    return { refusal: { code: 'too-many-columns', line: 1, column: 1, data: { most: tableBounds.columns } } };
  const rows: TableRow[] = [
    { line: 1, cells: flat },
    ...records.map(({ line, record }) => ({ line, cells: flat.map((name) => cellOf(record[name])!) })),
  ];
  const table = tableOfLines(rows);
  if ('refusal' in table) return table;
  // A number of JSON has a point before its decimals; a text is read as any other.
  const isOfNumbers = records.every(({ record }) =>
    Object.values(record).every((value) => typeof value !== 'string' || !/^\s*[<>]?\s*\d+[.,]\d{3}\s*$/.test(value)),
  );
  return { table: isOfNumbers ? { ...table.table, hasNumbers: true } : table.table, encoding };
}
