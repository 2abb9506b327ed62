import Papa from 'papaparse';
import { decodeText } from '@fonte/core/read';
import puppeteer from 'puppeteer-core';
import { pdf } from '../../src/read/formats/pdf.ts';
import { readOf, score } from './score.ts';
import { bytesOf, trueFiles } from './truth.ts';

/*
 * Prints the strangers' text files as tables on pages in three looks and reads them back: `npx tsx server/test/strangers/printed.ts [word of a
 * file's name]`. What is missed here and read from the text itself is a matter of the pages. Lines are counted otherwise on a page, so that a row
 * which is known by its line only shows as wrong or silent.
 */
const looks: Record<string, string> = {
  plain: 'td{padding:2px 6px;vertical-align:top}',
  ruled: 'td{padding:1px 3px;vertical-align:middle;border:1px solid #999}',
  wide: 'td{padding:4px 12px;vertical-align:bottom} td:nth-child(n+3){text-align:right}',
};
const text = (cell: string) => cell.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('\n', '<br>');
const filled = (row: readonly string[]) => row.filter((cell) => cell.trim() !== '');

/** Rows as tables, what stands between them as lines. */
function pageOf(rows: readonly string[][], width: number): string {
  let html = '';
  let isOpen = false;
  let isBelow = false;
  for (const row of rows) {
    const isRow: boolean = filled(row).length >= Math.min(3, width) || (isBelow && row.length >= width && filled(row).length >= 2);
    if (isRow !== isOpen) html += isRow ? '<table>' : '</table>';
    html += isRow ? `<tr>${row.map((cell) => `<td>${text(cell)}</td>`).join('')}</tr>` : `<p>${text(filled(row).join('   '))}&nbsp;</p>`;
    isOpen = isRow;
    isBelow ||= isRow;
  }
  return html;
}

const [word = ''] = process.argv.slice(2);
const browser = await puppeteer.launch({ executablePath: '/usr/lib/chromium/chromium-headless-shell', args: ['--no-sandbox'] });
const page = await browser.newPage();
const files = trueFiles.filter(({ file }) => file.endsWith('.csv') && file.includes(word) && !/en-2[3-8]/.test(file));
for (const [look, css] of Object.entries(looks)) {
  const all = { right: 0, asText: 0, of: 0, wrong: 0, silent: 0, questions: 0 };
  for (const truth of files) {
    const { data } = Papa.parse<string[]>(decodeText(bytesOf(truth.file)).text, { delimitersToGuess: [';', ',', '\t', '|'] });
    const width = Math.max(...data.map((row) => filled(row).length));
    await page.setContent(
      `<style>body{font:8pt Helvetica,Arial} p{margin:2px} table{border-collapse:collapse;width:100%}${css}</style>${pageOf(data, width)}`,
    );
    const table = await pdf.table(await page.pdf({ format: 'A4', landscape: width > 7 }));
    const [read, asText] = await Promise.all([readOf(truth.file, undefined, table), readOf(truth.file)]);
    const draftOf = (one: typeof read) => ('draft' in one ? one.draft : null);
    const scored = (one: typeof read) => score(truth, draftOf(one)?.results ?? [], draftOf(one));
    const [printed, written] = [scored(read), scored(asText)];
    all.right += printed.right;
    all.asText += written.right;
    all.of += printed.of;
    all.wrong += printed.wrong.length;
    all.silent += printed.silent.length;
    all.questions += printed.questions;
    if (printed.right < written.right || printed.wrong.length > 0 || word !== '')
      console.log(
        `${look} ${truth.file}: ${printed.right}/${printed.of}, as text ${written.right}`,
        printed.wrong,
        printed.missed.slice(0, 3),
      );
  }
  console.log(look, all);
}
await browser.close();
