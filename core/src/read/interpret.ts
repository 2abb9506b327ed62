import { parameter, type ParameterId } from '../parameters/index.ts';
import type { BottlesByLabel } from './at-lab.ts';
import type { LabResult } from './entries.ts';
import { labelsKnown, visitsByCode, whoseSamples } from './labels.ts';
import { partMayBe, partsOfWholes } from './tables/parts.ts';
import { toLong, type Long } from './shape/layout.ts';
import { boundsSaid, flagsOf, legendOf } from './shape/legend.ts';
import { refuseMapping, type Mapping } from './mapping.ts';
import { proposeMapping } from './propose.ts';
import { doubtCollected } from './collected.ts';
import { byFilling, fileWords, reader, type RowContext } from './context.ts';
import { apartCodes, readRow } from './row.ts';
import { isUnusual, stepOfDigits } from './unusual.ts';
import type { LabTable, TableRow, Unread } from './shape/table.ts';
import { named, unitCalled, unitInHeading } from './cells/names.ts';
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
function styleOf(parts: readonly Long[], { preamble, hasNumbers }: LabTable, { decimals, flags, confirmed }: Mapping): CellStyle {
  const cells = function* () {
    for (const { table, mapping } of parts) {
      const numbers = (['result', 'reportingLimit', 'detectionLimit', 'uncertainty'] as const).flatMap(
        (role) => mapping.columns[role] ?? [],
      );
      for (const { cells: row } of table.rows) for (const column of numbers) yield row[column] ?? '';
    }
  };
  const rows = parts.flatMap(({ table }) => table.rows);
  const short = rows.filter(({ cells: row }) => row.filter((cell) => cell !== '').length <= 2);
  const legend = legendOf([...preamble, ...short]);
  const said = flagsOf(legend, flags);
  const shown = styleShown(cells());
  // Numbers that came as numbers have one reading; where a text among them has a comma, nobody can tell which are which.
  const own = hasNumbers && shown.decimals === 'unknown' ? { ...shown, decimals: 'point' as const } : shown;
  const takesOther = confirmed?.['other-decimal'] === 'printed';
  return {
    ...(decimals ? { decimals, isSaid: true } : own),
    flags: said,
    bounds: boundsSaid(legend),
    ...(takesOther ? { takesOther } : {}),
  };
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

/** What a file says once that ppt is, for the rows that do not. */
function pptSaid({ rows }: LabTable, { columns }: Mapping): RowContext['pptIs'] {
  const { unit: column } = columns;
  if (column === undefined) return null;
  const said = new Set(
    rows.flatMap(({ cells }) => (/^\s*ppt\b.*\S/i.test(cells[column] ?? '') ? (unitCalled(cells[column]!)?.unit ?? []) : [])),
  );
  return said.size === 1 ? [...said][0]! : null;
}

const isApart = ({ code }: Unread) => (apartCodes as readonly string[]).includes(code);

/** One thing that was measured: a parameter in a bottle, by its fraction. */
const keyOf = ({ bottle, parameter: id, fraction }: LabResult) => `${bottle} ${id}${fraction ? ` ${fraction}` : ''}`;

interface Read {
  row: TableRow;
  result: LabResult;
  /** The columns of the table that it stands in. */
  mapping: Mapping;
}

const stepOf = ({ value, written }: LabResult) => stepOfDigits(written.result, value);

/** Whether two results of one thing that are given in other words, as 2.26 mg/L N and 10.0 mg/L NO₃, are one by the digits that they have. */
function agree(a: Read, b: Read): boolean {
  const [one, other] = [a.result, b.result];
  const unitOf = ({ row, result, mapping }: Read) => reader(row, mapping).cell('unit').toLowerCase() || result.written.unit.toLowerCase();
  const apart = Math.log10(stepOf(one) / stepOf(other));
  // In one and the same unit and form a number is another number, however near it lies.
  if (unitOf(a) === unitOf(b) && Math.abs(apart - Math.round(apart)) < 1e-6) return false;
  if (one.form !== other.form || one.value === null || other.value === null || one.estimated !== other.estimated) return false;
  return Math.abs(one.value - other.value) <= ((stepOf(one) + stepOf(other)) / 2) * (1 + 1e-6);
}

/** Of results that agree the one with the most digits; of bounds the one that says the least. */
const finest = (all: readonly Read[]): Read =>
  [...all].sort((a, b) =>
    a.result.form === 'value' ? stepOf(a.result) - stepOf(b.result) : (b.result.value ?? 0) - (a.result.value ?? 0),
  )[0]!;

/** Of several results for one thing: the one that was chosen; the first where all are alike; else none. */
function oneOf(several: readonly Read[], { mapping }: { mapping: Mapping }): { kept: Read | null; apart: Unread[]; unread: Unread[] } {
  const [first, ...others] = several as [Read, ...Read[]];
  const as = (code: string, reads: readonly Read[], lines = '') =>
    reads.map(({ row, mapping: own }) => reader(row, own).fail('result', code, { key: keyOf(first.result), lines }));
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
  if (several.every((a) => several.every((b) => said(a) === said(b) || agree(a, b)))) {
    const kept = finest(several);
    return {
      kept,
      unread: [],
      apart: as(
        'same-again',
        several.filter((one) => one !== kept),
      ),
    };
  }
  return { kept: null, apart: [], unread: as('two-results', several, several.map(({ row }) => row.line).join(', ')) };
}

/** Whether a row itself says a fraction: a bottle's own is known without it. */
function saysFraction(row: TableRow, mapping: Mapping): boolean {
  const { cell } = reader(row, mapping);
  return cell('fraction') !== '' || (named(cell('parameter'))?.fraction ?? null) !== null;
}

/** Results of metals that do not say whether they are total or dissolved, in a file in which others do: asked about, or as it was said. */
function withFractions(reads: Read[], mapping: Mapping): { reads: Read[]; unread: Unread[] } {
  // Of chromium (VI) “total” beside it is the other thing that is told apart.
  const isOpen = ({ result: { parameter: id, fraction } }: Read) =>
    parameter(id).isBound === true && id !== 'chromium6' && fraction === undefined;
  if (!reads.some(({ result, row, mapping: own }) => result.fraction && saysFraction(row, own))) return { reads, unread: [] };
  const { fraction } = mapping;
  if (fraction) return { reads: reads.map((one) => (isOpen(one) ? { ...one, result: { ...one.result, fraction } } : one)), unread: [] };
  return {
    reads: reads.filter((one) => !isOpen(one)),
    unread: reads.filter(isOpen).map(({ row, mapping: own }) => reader(row, own).fail('parameter', 'fraction')),
  };
}

/** A table of a file as it is read, as it stands there, and with the columns that it has there. */
interface Part extends Long {
  given: LabTable;
  own: Mapping;
}

/** Pairs of results of one bottle's point that cannot both be: of which there is more of the part than of the whole. */
function partsOverWholes(reads: readonly Read[], bottles: BottlesByLabel): Set<Read> {
  const found = new Set<Read>();
  const byPoint = new Map<string, Read[]>();
  for (const one of reads) {
    const { visit } = bottles.get(one.result.bottle)!;
    const key = visit ?? one.result.bottle;
    byPoint.set(key, [...(byPoint.get(key) ?? []), one]);
  }
  for (const all of byPoint.values()) {
    if (all.length < 2) continue;
    const of = (id: ParameterId) => all.filter(({ result }) => result.parameter === id && result.form === 'value');
    const put = (parts: readonly Read[], wholes: readonly Read[]) => {
      for (const part of parts)
        for (const whole of wholes) if (part.result.value! > whole.result.value! * partMayBe) found.add(part).add(whole);
    };
    for (const { part, whole } of partsOfWholes) put(of(part), of(whole));
    for (const id of new Set(all.map(({ result }) => result.parameter))) {
      if (!parameter(id).isBound) continue;
      const ofFraction = (fraction: LabResult['fraction']) => of(id).filter(({ result }) => result.fraction === fraction);
      put(ofFraction('dissolved'), ofFraction('total'));
    }
  }
  return found;
}

/** The tables of a file as they are read, one result to a row: the first by what was said of it, those below it by their own headings. */
function partsOf(given: LabTable, said: Mapping, bottles: BottlesByLabel): { parts: Part[]; unread: Unread[] } {
  const unread: Unread[] = [];
  const { columns: _columns, layout: _layout, ...answers } = said;
  const tables: [LabTable, Mapping][] = [[given, said]];
  for (const block of given.more ?? []) {
    const { more: _more, ...rest } = given;
    const table: LabTable = { ...rest, ...block, strange: [], preamble: [] };
    const mapping = { ...answers, ...proposeMapping(table, bottles) };
    if (refuseMapping(table, mapping)) unread.push(...block.rows.map((row) => reader(row, said).fail('sample', 'other-header')));
    else tables.push([table, mapping]);
  }
  return { parts: tables.map(([table, mapping]) => ({ given: table, own: mapping, ...toLong(table, mapping, bottles) })), unread };
}

/** Whose the rows of a table are besides by their labels: the client with most of ours, and numbers of the lab that two samples have. */
function whoseRows({ rows }: LabTable, mapping: Mapping, bottles: BottlesByLabel): Pick<RowContext, 'client' | 'twiceNumbered'> {
  const { client, labNumber, sample } = mapping.columns;
  const known = labelsKnown(bottles);
  const ours = new Map<string, number>();
  const samples = new Map<string, Set<string>>();
  for (const { cells } of rows) {
    const name = sample === undefined ? '' : (cells[sample] ?? '');
    const of = client === undefined ? '' : (cells[client] ?? '');
    if (of !== '') ours.set(of, (ours.get(of) ?? 0) + (known(name)?.is === 'ours' ? 1 : 0));
    const number = labNumber === undefined ? '' : (cells[labNumber] ?? '');
    if (number !== '' && name !== '') samples.set(number, (samples.get(number) ?? new Set()).add(name));
  }
  const [most] = [...ours].sort((a, b) => b[1] - a[1])[0] ?? [null];
  return {
    client: ours.size > 1 ? most : null,
    twiceNumbered: new Set([...samples].flatMap(([number, names]) => (names.size > 1 ? [number] : []))),
  };
}

/** The rows of one table, each as a result or as what it is instead. */
function readPart(
  part: Part,
  { style, whose, filledAt, bottles }: Pick<RowContext, 'style' | 'whose' | 'filledAt' | 'bottles'>,
): { found: Read[]; unread: Unread[]; apart: Unread[]; context: RowContext } {
  const { table, mapping, given, own } = part;
  const context: RowContext = {
    mapping,
    bottles,
    style,
    words: fileWords(style),
    whose,
    filledAt,
    headed: headedUnits(given, own),
    pptIs: pptSaid(table, mapping),
    visits: visitsByCode(bottles),
    ...whoseRows(table, mapping, bottles),
  };
  const found: Read[] = [];
  const [unread, apart]: [Unread[], Unread[]] = [[], []];
  for (const row of table.rows) {
    const result = readRow(row, context);
    if (!('code' in result)) found.push({ row, result, mapping });
    else (isApart(result) ? apart : unread).push(result);
  }
  return { found, unread, apart, context };
}

/**
 * Reads every row of a table with a mapping that was not refused. What is not understood is handed back with its place, never
 * guessed; what is no result of this round is set apart. Of two results for one thing that differ, none is taken.
 */
export function interpret(given: LabTable, said: Mapping, bottles: BottlesByLabel): Interpretation {
  const { parts, unread: unplaced } = partsOf(given, said, bottles);
  const style = styleOf(parts, given, said);
  const names = function* () {
    for (const { table, mapping } of parts) {
      const { sample } = mapping.columns;
      if (sample !== undefined) for (const row of table.rows) yield row.cells[sample] ?? '';
    }
  };
  const shared = { style, bottles, whose: whoseSamples(bottles, said.labels ?? {}, names()), filledAt: byFilling(bottles) };
  const strange = given.strange.map((row) => reader(row, said).fail('sample', 'other-header'));
  const unread: Unread[] = [...unplaced, ...strange, ...parts.flatMap((part) => part.unread)];
  const apart: Unread[] = [];
  const found: Read[] = [];
  const contexts = new Map<Mapping, RowContext>();
  for (const part of parts) {
    const one = readPart(part, shared);
    contexts.set(part.mapping, one.context);
    found.push(...one.found);
    unread.push(...one.unread);
    apart.push(...one.apart);
  }
  const { reads, unread: openFractions } = withFractions(found, said);
  unread.push(...openFractions);
  const byKey = new Map<string, Read | Read[]>();
  for (const one of reads) {
    const key = keyOf(one.result);
    const before = byKey.get(key);
    byKey.set(key, before === undefined ? one : [before, one].flat());
  }
  const results: LabResult[] = [];
  const doubts: Unread[] = [];
  const kept: Read[] = [];
  for (const one of byKey.values()) {
    const settled = Array.isArray(one) ? oneOf(one, { mapping: said }) : { kept: one, apart: [], unread: [] };
    apart.push(...settled.apart);
    unread.push(...settled.unread);
    if (settled.kept) kept.push(settled.kept);
  }
  const over = said.confirmed?.['part-over-whole'] === 'printed' ? new Set() : partsOverWholes(kept, bottles);
  for (const one of kept) {
    const { row, result, mapping } = one;
    if (over.has(one)) {
      const isOut = said.confirmed?.['part-over-whole'] === 'out';
      (isOut ? apart : unread).push(reader(row, mapping).fail('result', isOut ? 'left-out' : 'part-over-whole'));
      continue;
    }
    const unusual = isUnusual(result);
    results.push(unusual ? { ...result, unusual } : result);
    if (unusual) doubts.push(reader(row, mapping).fail('result', 'unusual', { parameter: result.parameter }));
    const doubt = doubtCollected(row, contexts.get(mapping)!, result.bottle);
    if (doubt) doubts.push(doubt);
  }
  const byLine = (a: Unread, b: Unread) => a.line - b.line;
  return { results, unread: unread.sort(byLine), doubts, apart: apart.sort(byLine) };
}
