import { tableOfRecords, textTable } from '@fonte/core/read';
import type { ReportFormat } from './format.ts';

/** Records of a lab's system: JSON Lines, a JSON array, or observations by an open standard. What begins so and is none is read as text. */
export const records: ReportFormat = {
  accepts: (bytes) => /^[\s\u00ef\u00bb\u00bf]*[[{]/.test(new TextDecoder('latin1').decode(bytes.subarray(0, 256))),
  table: (bytes) => tableOfRecords(bytes) ?? textTable(bytes),
};
