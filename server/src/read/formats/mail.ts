import { isOfSheets, shiftedTable, textTable, type FilePart, type ReportTable, type Sheet } from '@fonte/core/read';
import type { HtmlToTextOptions } from 'html-to-text';
import type { ReportFormat } from './format.ts';

/** What only the head of a message begins with. */
const first =
  /^(?:From|Received|Return-Path|Delivered-To|Message-ID|MIME-Version|Content-Type|DKIM-Signature|X-[\w-]+|Authentication-Results|ARC-[\w-]+|Date|Subject|To):\s/i;
const sender = /^From:\s/im;
const standard = /^(?:MIME-Version|Message-ID):\s/im;
/** Where heads end at the latest. */
const headSize = 64 << 10;

/** A part of a message that may be a report: its name, and the table in it. */
interface Found {
  name: string;
  from: ReportTable;
}

/** Tables of a message as a typewriter would set them. */
const asTyped = {
  wordwrap: false,
  selectors: [
    { selector: 'table', format: 'dataTable', options: { uppercaseHeaderCells: false, maxColumnWidth: 200 } },
    { selector: 'a', options: { ignoreHref: true } },
    { selector: 'img', format: 'skip' },
    ...['h1', 'h2', 'h3', 'h4', 'h5', 'h6'].map((selector) => ({ selector, options: { uppercase: false } })),
  ],
} satisfies HtmlToTextOptions;

/** The lines of an answer without the marks of what is quoted in it. */
const unquoted = (text: string) => text.replace(/^(?:> ?)+/gm, '');

async function foundIn(bytes: Uint8Array, tableOf: (bytes: Uint8Array) => Promise<ReportTable>): Promise<Found[]> {
  // Fetched for a message only: whoever reads another file does not wait for them.
  const [{ default: PostalMime }, { convert }] = await Promise.all([import('postal-mime'), import('html-to-text')]);
  const { text, html, attachments } = await PostalMime.parse(new Uint8Array(bytes));
  const asTable = (words: string) => textTable(new TextEncoder().encode(unquoted(words)));
  const found: Found[] = [];
  for (const { filename, content, related } of attachments)
    // A picture in the text is a logo.
    if (!related) found.push({ name: filename ?? 'Attachment', from: await tableOf(new Uint8Array(content as ArrayBuffer)) });
  const plain = text ? asTable(text) : null;
  // Tables of the message's own lose their columns in its plain words.
  const drawn = html ? asTable(convert(html, asTyped)) : null;
  const message = [drawn, plain].find((one) => one && !('refusal' in one)) ?? null;
  return message ? [...found, { name: 'Message', from: message }] : found;
}

/** The tables of all parts as sheets, their lines counted over all of them. */
function severalParts(all: readonly Found[]): ReportTable {
  const sheets: Sheet[] = [];
  const parts: FilePart[] = [];
  let before = 0;
  for (const { name, from } of all) {
    if ('refusal' in from) continue;
    const called = (part: string) => (part === '' ? name : `${name}, ${part}`);
    const within = from.parts && from.parts.length > 0 ? from.parts : [{ name: '', from: 1 }];
    parts.push(...within.map((part) => ({ name: called(part.name), from: part.from + before })));
    const shifted = (isOfSheets(from) ? from.sheets : [{ name: '', table: from.table }]).map((sheet) => ({
      name: called(sheet.name),
      ...shiftedTable(sheet.table, before),
    }));
    sheets.push(...shifted.map(({ name: sheet, table }) => ({ name: sheet, table })));
    before = Math.max(before, ...shifted.map(({ last }) => last));
  }
  return { sheets, encoding: 'mail', parts };
}

/** A message with reports attached to it or in its text. Which of several are meant is not guessed. */
export const mail = (tableOf: (bytes: Uint8Array) => Promise<ReportTable>): ReportFormat => ({
  accepts: (bytes) => {
    const head = new TextDecoder('latin1').decode(bytes.subarray(0, headSize));
    return first.test(head) && sender.test(head) && standard.test(head);
  },
  table: async (bytes) => {
    let found: Found[];
    try {
      found = await foundIn(bytes, tableOf);
    } catch {
      // Parts within each other without end, heads without end: no message that anybody sent.
      return { refusal: { code: 'no-message', line: 0, column: 0 } };
    }
    const tables = found.filter(({ from }) => !('refusal' in from));
    if (tables.length === 1) return tables[0]!.from;
    if (tables.length > 1) return severalParts(tables);
    const [only, ...others] = found;
    return only && others.length === 0 ? only.from : { refusal: { code: 'nothing-in-message', line: 0, column: 0 } };
  },
});
