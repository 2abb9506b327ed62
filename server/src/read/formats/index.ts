import type { ReportFormatId, ReportTable } from '@fonte/core/read';
import { delimited } from './delimited.ts';
import type { ReportFormat } from './format.ts';
import { mail } from './mail.ts';
import { pdf } from './pdf.ts';
import { picture } from './picture.ts';
import { records } from './records.ts';
import { workbook } from './workbook.ts';

/** The formats that are read; the last one takes whatever no other does, and says what is wrong with it. */
const alone = { workbook, pdf, picture, records, delimited } satisfies Partial<Record<ReportFormatId, ReportFormat>>;

const tableBy = async (formats: Partial<Record<ReportFormatId, ReportFormat>>, bytes: Uint8Array): Promise<ReportTable> =>
  Object.values(formats)
    .find((format) => format.accepts(bytes))!
    .table(bytes);

const formats: Record<ReportFormatId, ReportFormat> = { mail: mail((bytes) => tableBy(alone, bytes)), ...alone };

/** The table in a file, by the first format that knows how it begins. */
export const tableIn = (bytes: Uint8Array): Promise<ReportTable> => tableBy(formats, bytes);
