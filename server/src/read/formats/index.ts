import type { ReportFormatId, ReportTable } from '@fonte/core/read';
import { delimited } from './delimited.ts';
import type { ReportFormat } from './format.ts';
import { pdf } from './pdf.ts';
import { workbook } from './workbook.ts';

/** The formats that are read; the last one takes whatever no other does, and says what is wrong with it. */
const formats: Record<ReportFormatId, ReportFormat> = { workbook, pdf, delimited };

/** The table in a file, by the first format that knows how it begins. */
export async function tableIn(bytes: Uint8Array): Promise<ReportTable> {
  return Object.values(formats)
    .find((format) => format.accepts(bytes))!
    .table(bytes);
}
