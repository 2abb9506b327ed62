import type { ReportTable } from '@fonte/core/read';

/** A way in which labs write reports down: how its files begin, and how they become a table. */
export interface ReportFormat {
  accepts: (bytes: Uint8Array) => boolean;
  table: (bytes: Uint8Array) => ReportTable | Promise<ReportTable>;
}
