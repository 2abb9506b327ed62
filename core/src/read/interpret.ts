import type { BottlesByLabel } from './at-lab.ts';
import type { LabResult } from './entries.ts';
import { refuseMapping, type Mapping } from './mapping.ts';
import { proposeMapping } from './propose.ts';
import { doubtCollected } from './rows/collected.ts';
import { whatOf } from './rows/confirm.ts';
import { byFilling, fileWords, reader, type RowContext } from './rows/context.ts';
import { labelsKnown, visitsByCode, whoseSamples } from './rows/labels.ts';
import { apartCodes, readRow } from './rows/row.ts';
import { headedUnits, inSeveralUnits, pptSaid, styleOf } from './rows/style.ts';
import { keyOf, oneOf, partsOverWholes, withFractions, type Read } from './rows/together.ts';
import { isUnusual } from './rows/unusual.ts';
import { toLong, type Long } from './shape/layout.ts';
import type { LabTable, Unread } from './shape/table.ts';

export interface Interpretation {
  results: LabResult[];
  unread: Unread[];
  /** Where the report and the book disagree about a result that was read, or where it is unusual. */
  doubts: Unread[];
  /** Rows that were understood and are no results of this round: the lab's own quality control, other samples, remarks. */
  apart: Unread[];
}

const isApart = ({ code }: Unread) => (apartCodes as readonly string[]).includes(code);

/** A table of a file as it is read, as it stands there, and with the columns that it has there. */
interface Part extends Long {
  given: LabTable;
  own: Mapping;
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
  const words = fileWords(style);
  const context: RowContext = {
    mapping,
    bottles,
    style,
    words,
    inSeveralUnits: inSeveralUnits(table, mapping, words),
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
      const from = reader(row, mapping);
      (isOut ? apart : unread).push(from.fail('result', isOut ? 'left-out' : 'part-over-whole', whatOf(from)));
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
