import { decodeText } from './decode.ts';
import type { LabResult } from './entries.ts';
import { interpret, type BottlesByLabel, type Unread } from './interpret.ts';
import { proposeMapping, refuseMapping, type Mapping } from './mapping.ts';
import { missingResults } from './missing.ts';
import { parseTable, type LabTable, type Refusal } from './table.ts';
import type { ParameterId } from '../parameters/index.ts';

/** Rows shown beside the choice of columns, and places listed that were not understood. */
export const previewRows = 5;
export const listedUnread = 200;

/** A report as read with a mapping: enough for a person to check it and to write it down. */
export interface ReportDraft {
  encoding: string;
  delimiter: string;
  header: string[];
  rowCount: number;
  preview: string[][];
  mapping: Mapping;
  /** Why the mapping does not do yet; results are empty then. */
  refusal: Refusal | null;
  results: LabResult[];
  /** The first {@link listedUnread} of the places that were not understood, and how many there are. */
  unread: Unread[];
  unreadCount: number;
  /** Where report and book disagree about what was read, listed up to the same number. */
  doubts: Unread[];
  missing: { bottle: string; parameters: ParameterId[] }[];
}

/** A report's table, with how it was written down; or why there is none. */
export type ReportTable = { table: LabTable; encoding: string } | { refusal: Refusal };

/** Reads bytes as delimited text: decode, then split. */
export function textTable(bytes: Uint8Array): ReportTable {
  const { text, encoding } = decodeText(bytes);
  const parsed = parseTable(text);
  return 'refusal' in parsed ? parsed : { ...parsed, encoding };
}

/**
 * Reads a lab's report from its table: propose columns unless a mapping is given, convert. Returns the draft, or the refusal of
 * a file that is no table at all.
 */
export function readReport(from: ReportTable, bottles: BottlesByLabel, given?: Mapping): { draft: ReportDraft } | { refusal: Refusal } {
  if ('refusal' in from) return from;
  const { table, encoding } = from;
  const mapping = given ?? proposeMapping(table);
  const refusal = refuseMapping(table, mapping);
  const { results, unread, doubts } = refusal ? { results: [], unread: [], doubts: [] } : interpret(table, mapping, bottles);
  return {
    draft: {
      encoding,
      delimiter: table.delimiter,
      header: table.header,
      rowCount: table.rows.length,
      preview: table.rows.slice(0, previewRows).map((row) => row.cells),
      mapping,
      refusal,
      results,
      unread: unread.slice(0, listedUnread),
      unreadCount: unread.length,
      doubts: doubts.slice(0, listedUnread),
      missing: refusal ? [] : missingResults(results, bottles),
    },
  };
}
