import { type BottlesByLabel } from './at-lab.ts';
import { layouts } from './tables/layouts.ts';
import { z } from 'zod';
import { ParameterId } from '../parameters/index.ts';
import { decodeText } from './shape/decode.ts';
import { LabResult } from './entries.ts';
import { interpret } from './interpret.ts';
import { legendOf, statusOf } from './shape/legend.ts';
import { Mapping, recall, refuseMapping, type Remembered } from './mapping.ts';
import { proposeMapping } from './propose.ts';
import { missingResults } from './missing.ts';
import { Question, questionsOf } from './questions.ts';
import { tableOfText } from './placed/text.ts';
import { tableOfStatements } from './shape/statements.ts';
import { FilePart, isOfSheets, ofSheets, type ReportTable } from './shape/sheets.ts';
import { headerScore, parseTable, Refusal, Unread, type LabTable } from './shape/table.ts';

/** Rows shown beside the choice of columns, and places listed that were not understood. */
export const previewRows = 5;
export const listedUnread = 200;

/** A report as read with a mapping: enough for a person to check it and to write it down. */
export const ReportDraft = z.object({
  encoding: z.string(),
  delimiter: z.string(),
  header: z.array(z.string()),
  rowCount: z.number().int(),
  preview: z.array(z.array(z.string())),
  /** The lines above the header, as one text each. */
  preamble: z.array(z.string()),
  mapping: Mapping,
  /** Whether the mapping is how a person read the last report of this lab with the same columns. */
  isRemembered: z.boolean(),
  /** Why the mapping does not do yet; results are empty then. */
  refusal: Refusal.nullable(),
  results: z.array(LabResult),
  /** The first {@link listedUnread} of the places that were not understood, and how many there are. */
  unread: z.array(Unread),
  unreadCount: z.number().int(),
  /** What is to be said of the file, with cells that it hangs on; also where it was said already. */
  questions: z.array(Question),
  /** Rows that were understood and are no results of this round, listed up to the same number, and how many there are. */
  apart: z.array(Unread),
  apartCount: z.number().int(),
  /** How results stand in the table, and what it calls itself. */
  layout: z.enum(layouts),
  status: z.enum(['preliminary', 'amended', 'final']).nullable(),
  /** Where report and book disagree about what was read, listed up to the same number. */
  doubts: z.array(Unread),
  missing: z.array(z.object({ bottle: z.string(), parameters: z.array(ParameterId) })),
  /** The sheets that may be read, where there are several. */
  sheets: z.array(z.string()),
  /** The sheets or pages whose lines are counted on their own; none where the file is one. */
  parts: z.array(FilePart),
});
export type ReportDraft = z.infer<typeof ReportDraft>;

/** Another round to which labels of a report belong, and how many of them. */
export const OtherRound = z.object({ round: z.string(), code: z.string(), name: z.string(), labels: z.number().int() });
export type OtherRound = z.infer<typeof OtherRound>;

/** Headings of a table are so many that are known, at least: else the text is read in another way. */
const leastKnown = 2;

/** Reads bytes as text: cells between marks, else between blanks, else lines that say what was measured. */
export function textTable(bytes: Uint8Array): ReportTable {
  const { text, encoding } = decodeText(bytes);
  const parsed = parseTable(text);
  const isKnown = (from: ReportTable) => 'table' in from && headerScore(from.table.header) >= leastKnown;
  const delimited = 'refusal' in parsed ? parsed : { ...parsed, encoding };
  // A legend may have marks between its words where the table has none.
  const mayBeOther = !('refusal' in parsed) || ['no-columns', 'no-rows', 'quotes'].includes(parsed.refusal.code);
  if (isKnown(delimited) || !mayBeOther) return delimited;
  const aligned = tableOfText(text, encoding);
  if (isKnown(aligned)) return aligned;
  const said = tableOfStatements(text);
  return said ? { table: said, encoding } : delimited;
}

/** So many lines above the header are shown. */
const shownAbove = 12;

const nothing: ReturnType<typeof interpret> = { results: [], unread: [], doubts: [], apart: [] };

/** The bottles that a table itself names, and the table with their names in it. */
export type BottlesOf = (table: LabTable) => { table: LabTable; bottles: BottlesByLabel };

/**
 * Reads a lab's report from its table: recall or propose columns unless a mapping is given, convert. Returns the draft, or the refusal of
 * a file that is no table at all.
 */
export function readReport(
  from: ReportTable,
  known: BottlesByLabel | BottlesOf,
  given?: Mapping,
  remembered: readonly Remembered[] = [],
): { draft: ReportDraft } | { refusal: Refusal } {
  if ('refusal' in from) return from;
  const { encoding, parts = [] } = from;
  const sheets = isOfSheets(from) ? from.sheets : [];
  const tableBy = (mapping: Mapping | null): LabTable | null => (isOfSheets(from) ? ofSheets(from.sheets, mapping?.sheets) : from.table);
  const recalled = given ? null : recall(tableBy, remembered);
  const said = given ?? recalled;
  const read = tableBy(said);
  const whole = read ?? sheets[0]!.table;
  const { table, bottles } = typeof known === 'function' ? known(whole) : { table: whole, bottles: known };
  // Which sheet the columns are of may only just have been said.
  const { columns: _none, ...answers } = said ?? { columns: {} };
  const isProposed = said === null || Object.keys(said.columns).length === 0;
  const mapping = isProposed ? { ...answers, ...(read ? proposeMapping(table, bottles) : { columns: {} }) } : said;
  const refusal = read ? refuseMapping(table, mapping) : { code: 'several-sheets', line: 0, column: 0 };
  const { results, unread, doubts, apart } = refusal ? nothing : interpret(table, mapping, bottles);
  return {
    draft: {
      encoding,
      delimiter: table.delimiter,
      header: table.header,
      rowCount: table.rows.length + (table.more ?? []).reduce((sum, { rows }) => sum + rows.length, 0),
      preview: table.rows.slice(0, previewRows).map((row) => row.cells),
      mapping,
      isRemembered: recalled !== null,
      refusal,
      results,
      unread: unread.slice(0, listedUnread),
      unreadCount: unread.length,
      questions: questionsOf(
        { unread, apart },
        mapping,
        parts,
        legendOf([...table.preamble, ...table.rows, ...(table.more ?? []).flatMap(({ rows }) => rows)]),
        [...bottles].filter(([, { isElsewhere }]) => !isElsewhere).map(([label]) => label),
      ),
      apart: apart.slice(0, listedUnread),
      apartCount: apart.length,
      layout: mapping.layout ?? 'long',
      status: statusOf(table),
      preamble: table.preamble.slice(0, shownAbove).map(({ cells }) =>
        cells
          .filter((cell) => cell !== '')
          .join(' ')
          .slice(0, 200),
      ),
      doubts: doubts.slice(0, listedUnread),
      missing: refusal ? [] : missingResults(results, bottles),
      sheets: sheets.map(({ name }) => name),
      parts: [...parts],
    },
  };
}
