/** What a file dialog offers for each format in which a report may come: endings, and media types for phones that go by them. */
export const reportFileTypes = {
  delimited: ['.csv', '.txt', '.tsv', 'text/csv', 'text/plain'],
  workbook: ['.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'],
  pdf: ['.pdf', 'application/pdf'],
  picture: ['.jpg', '.jpeg', '.png', 'image/jpeg', 'image/png'],
  records: ['.json', '.jsonl', '.ndjson', 'application/json'],
  mail: ['.eml', 'message/rfc822'],
} as const satisfies Record<string, readonly string[]>;
export type ReportFormatId = keyof typeof reportFileTypes;
