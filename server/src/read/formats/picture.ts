import type { ReportFormat } from './format.ts';

/** How pictures begin: JPEG, PNG, GIF, TIFF of either order, and those of phones (HEIC), whose mark stands behind a length. */
const begins = ['\u00ff\u00d8\u00ff', '\u0089PNG', 'GIF8', 'II*\u0000', 'MM\u0000*'];
const phones = /^.{4}ftyp(?:heic|heix|mif1|avif)/s;

/** A picture of a report: it is kept, and a person reads it. */
export const picture: ReportFormat = {
  accepts: (bytes) => {
    const head = String.fromCharCode(...bytes.subarray(0, 16));
    return begins.some((mark) => head.startsWith(mark)) || phones.test(head);
  },
  table: () => ({ refusal: { code: 'picture', line: 0, column: 0 } }),
};
