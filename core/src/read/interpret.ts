import { parameter } from '../parameters/index.ts';
import type { BottlesByLabel } from './at-lab.ts';
import type { LabResult } from './entries.ts';
import { whoseSamples } from './labels.ts';
import { toLong } from './shape/layout.ts';
import { flagsOf, legendOf } from './shape/legend.ts';
import type { Mapping } from './mapping.ts';
import { doubtCollected } from './collected.ts';
import { byFilling, fileWords, reader, type RowContext } from './context.ts';
import { apartCodes, readRow } from './row.ts';
import type { LabTable, TableRow, Unread } from './shape/table.ts';
import { unitInHeading } from './cells/names.ts';
import type { CellStyle } from './cells/value.ts';
import { styleShown } from '../units/index.ts';

export interface Interpretation {
  results: LabResult[];
  unread: Unread[];
  /** Where the report and the book disagree about a result that was read, or where it is unusual. */
  doubts: Unread[];
  /** Rows that were understood and are no results of this round: the lab's own quality control, other samples, remarks. */
  apart: Unread[];
}

/** How the numbers of a file are written, and what its flags mean: as a person said, else as the file shows. */
function styleOf({ rows, preamble, hasNumbers }: LabTable, { columns, decimals, flags }: Mapping): CellStyle {
  const numbers = (['result', 'reportingLimit', 'detectionLimit', 'uncertainty'] as const).flatMap((role) => columns[role] ?? []);
  const cells = function* () {
    for (const { cells: row } of rows) for (const column of numbers) yield row[column] ?? '';
  };
  const short = rows.filter(({ cells: row }) => row.filter((cell) => cell !== '').length <= 2);
  const said = flagsOf(legendOf([...preamble, ...short]), flags);
  const shown = styleShown(cells());
  // Numbers that came as numbers have one reading; where a text among them has a comma, nobody can tell which are which.
  const own = hasNumbers && shown.decimals === 'unknown' ? { ...shown, decimals: 'point' as const } : shown;
  return { ...(decimals ? { decimals, isSaid: true } : own), flags: said };
}

/** Units that stand in the headings; of a table that was turned only in those that its columns kept. */
function headedUnits({ header }: LabTable, { columns, layout }: Mapping): RowContext['headed'] {
  const roles = layout === 'wide' ? [] : (['result', 'reportingLimit', 'detectionLimit', 'uncertainty'] as const);
  return Object.fromEntries(
    roles.flatMap((role) => {
      const column = columns[role];
      const unit = column === undefined ? null : unitInHeading(header[column] ?? '');
      return unit ? [[role, unit]] : [];
    }),
  );
}

const isApart = ({ code }: Unread) => (apartCodes as readonly string[]).includes(code);

/** One thing that was measured: a parameter in a bottle, by its fraction. */
const keyOf = ({ bottle, parameter: id, fraction }: LabResult) => `${bottle} ${id}${fraction ? ` ${fraction}` : ''}`;

interface Read {
  row: TableRow;
  result: LabResult;
}

/** Of several results for one thing: the one that was chosen; the first where all are alike; else none. */
function oneOf(several: readonly Read[], { mapping }: RowContext): { kept: Read | null; apart: Unread[]; unread: Unread[] } {
  const [first, ...others] = several as [Read, ...Read[]];
  const as = (code: string, reads: readonly Read[], lines = '') =>
    reads.map(({ row }) => reader(row, mapping).fail('result', code, { key: keyOf(first.result), lines }));
  const chosen = several.find(({ row }) => mapping.runs?.[keyOf(first.result)] === String(row.line));
  if (chosen)
    return {
      kept: chosen,
      unread: [],
      apart: as(
        'not-chosen',
        several.filter((one) => one !== chosen),
      ),
    };
  const said = ({ result }: Read) => [result.form, result.value, result.inclusive ?? false, result.estimated, result.reportingLimit].join();
  if (others.every((one) => said(one) === said(first))) return { kept: first, unread: [], apart: as('same-again', others) };
  return { kept: null, apart: [], unread: as('two-results', several, several.map(({ row }) => row.line).join(', ')) };
}

/** Results of metals that do not say whether they are total or dissolved, in a file in which others do: asked about, or as it was said. */
function withFractions(reads: Read[], { mapping }: RowContext): { reads: Read[]; unread: Unread[] } {
  const isOpen = ({ result }: Read) => parameter(result.parameter).isBound === true && result.fraction === undefined;
  if (!reads.some(({ result }) => result.fraction)) return { reads, unread: [] };
  const { fraction } = mapping;
  if (fraction) return { reads: reads.map((one) => (isOpen(one) ? { ...one, result: { ...one.result, fraction } } : one)), unread: [] };
  return {
    reads: reads.filter((one) => !isOpen(one)),
    unread: reads.filter(isOpen).map(({ row }) => reader(row, mapping).fail('parameter', 'fraction')),
  };
}

/** Whether a number that was found, or a limit, is one that labs do not usually have: its unit may be wrong. */
function isUnusual({ parameter: id, value, form, reportingLimit }: LabResult): boolean {
  const usual = parameter(id).usualAtLab;
  if (!usual) return false;
  const [least, most] = usual;
  const isFound = form === 'value' && value !== null && value > 0;
  return (isFound && (value < least || value > most)) || (reportingLimit !== null && reportingLimit > most);
}

/**
 * Reads every row of a table with a mapping that was not refused. What is not understood is handed back with its place, never
 * guessed; what is no result of this round is set apart. Of two results for one thing that differ, none is taken.
 */
export function interpret(given: LabTable, said: Mapping, bottles: BottlesByLabel): Interpretation {
  const { table, mapping, unread: unplaced } = toLong(given, said, bottles);
  const style = styleOf(table, mapping);
  const sample = mapping.columns.sample;
  const names = function* () {
    if (sample !== undefined) for (const row of table.rows) yield row.cells[sample] ?? '';
  };
  const whose = whoseSamples(bottles, mapping.labels ?? {}, names());
  const context: RowContext = {
    mapping,
    bottles,
    style,
    words: fileWords(style),
    whose,
    filledAt: byFilling(bottles),
    headed: headedUnits(given, said),
  };
  const apart: Unread[] = [];
  const strange = table.strange.map((row) => reader(row, mapping).fail('sample', 'other-header'));
  const unread: Unread[] = [...unplaced, ...strange];
  const found: Read[] = [];
  for (const row of table.rows) {
    const result = readRow(row, context);
    if (!('code' in result)) found.push({ row, result });
    else (isApart(result) ? apart : unread).push(result);
  }
  const { reads, unread: openFractions } = withFractions(found, context);
  unread.push(...openFractions);
  const byKey = new Map<string, Read | Read[]>();
  for (const one of reads) {
    const key = keyOf(one.result);
    const before = byKey.get(key);
    byKey.set(key, before === undefined ? one : [before, one].flat());
  }
  const results: LabResult[] = [];
  const doubts: Unread[] = [];
  for (const one of byKey.values()) {
    const settled = Array.isArray(one) ? oneOf(one, context) : { kept: one, apart: [], unread: [] };
    apart.push(...settled.apart);
    unread.push(...settled.unread);
    if (!settled.kept) continue;
    const { row, result } = settled.kept;
    const unusual = isUnusual(result);
    results.push(unusual ? { ...result, unusual } : result);
    if (unusual) doubts.push(reader(row, mapping).fail('result', 'unusual', { parameter: result.parameter }));
    const doubt = doubtCollected(row, context, result.bottle);
    if (doubt) doubts.push(doubt);
  }
  const byLine = (a: Unread, b: Unread) => a.line - b.line;
  return { results, unread: unread.sort(byLine), doubts, apart: apart.sort(byLine) };
}
