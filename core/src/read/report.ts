import { decodeText } from './decode.ts';
import type { LabResult } from './entries.ts';
import { interpret, type BottlesByLabel, type Unread } from './interpret.ts';
import { proposeMapping, refuseMapping, type Mapping } from './mapping.ts';
import { missingResults } from './missing.ts';
import { parseTable, type Refusal } from './table.ts';
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

/**
 * Reads the bytes of a lab's report: decode, split, propose columns unless a mapping is given, convert. Returns the
 * draft, or a refusal when the file is no table at all.
 */
export function readReport(bytes: Uint8Array, bottles: BottlesByLabel, given?: Mapping): { draft: ReportDraft } | { refusal: Refusal } {
  const { text, encoding } = decodeText(bytes);
  const parsed = parseTable(text);
  if ('refusal' in parsed) return parsed;
  const { table } = parsed;
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
