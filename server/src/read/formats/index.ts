import type { ReportTable } from '@fonte/core/read';
import { delimited } from './delimited.ts';
import { workbook } from './workbook.ts';

/** A way in which labs write reports down: how its files begin, and how they become a table. */
export interface ReportFormat {
  /** Endings of its file names, for the choice of a file. */
  endings: readonly string[];
  accepts: (bytes: Uint8Array) => boolean;
  table: (bytes: Uint8Array) => ReportTable | Promise<ReportTable>;
}

/** The formats that are read; the last one takes whatever no other does, and says what is wrong with it. */
const formats: readonly ReportFormat[] = [workbook, delimited];

/** The table in a file, by the first format that knows how it begins. */
export async function tableIn(bytes: Uint8Array): Promise<ReportTable> {
  return formats.find((format) => format.accepts(bytes))!.table(bytes);
}
