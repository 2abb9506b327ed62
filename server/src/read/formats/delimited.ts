import { textTable } from '@fonte/core/read';
import type { ReportFormat } from './format.ts';

/** Text with `;`, `,`, tabs or `|` between its cells. */
export const delimited: ReportFormat = { accepts: () => true, table: textTable };
