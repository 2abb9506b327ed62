import type { BottlesByLabel } from '@fonte/core/read';
import { openBrowser } from '../../e2e/browser.ts';
import { FileReader, usualLimits } from '../../server/src/read/reader.ts';
import { inTurn, median, record } from './measure.ts';

const [pages, rowsOfPage] = [40, 25];
/** Heaps (MB) that are tried, the smallest first. */
const heaps = [48, 64, 96, 128, 192, 256, 384];

/** A report of so many pages as Chromium prints it, and its rows as a file with marks. */
async function printed(): Promise<{ pdf: Buffer; csv: Buffer; bottles: BottlesByLabel; results: number }> {
  const header = ['Sample ID', 'Parameter', 'Result', 'Unit', 'Reporting limit', 'Method'];
  const labels = Array.from({ length: (pages * rowsOfPage) / 2 }, (_, at) => `261123A-P${at}-N`);
  const rows = labels.flatMap((label, at) => [
    [label, 'Sulfate', `${(at % 90) + 1}.5`, 'mg/L', '1', 'ISO 10304-1'],
    [label, 'Chloride', `${(at % 70) + 2}`, 'mg/L', '1', 'ISO 10304-1'],
  ]);
  const row = (cells: readonly string[], as: 'td' | 'th') => `<tr>${cells.map((cell) => `<${as}>${cell}</${as}>`).join('')}</tr>`;
  const page = (from: number) =>
    `<table style="width:100%;page-break-after:always;font:9pt Helvetica"><thead>${row(header, 'th')}</thead>${rows
      .slice(from, from + rowsOfPage)
      .map((cells) => row(cells, 'td'))
      .join('')}</table>`;
  const browser = await openBrowser();
  const sheet = await browser.newPage();
  await sheet.setContent(Array.from({ length: pages }, (_, at) => page(at * rowsOfPage)).join(''));
  const pdf = Buffer.from(await sheet.pdf({ format: 'A4' }));
  await browser.close();
  const bottles: BottlesByLabel = new Map(
    labels.map((label) => [label, { name: 'Ions', parameters: ['sulfate', 'chloride'] as const, filledOn: '2026-11-23', visit: label }]),
  );
  return { pdf, csv: Buffer.from([header, ...rows].map((cells) => cells.join(';')).join('\n')), bottles, results: rows.length };
}

/** How long a printed report takes beside the same rows as CSV, each in a process of its own, and how little memory it needs. */
export async function printedReport(): Promise<void> {
  const { pdf, csv, bottles, results } = await printed();
  const readWithin = async (memory: number, bytes: Buffer) => {
    const reader = new FileReader({ ...usualLimits, memory });
    const read = await reader.read(bytes, bottles);
    await reader.stop();
    return 'draft' in read && read.draft.results.length === results;
  };
  const whole = async (bytes: Buffer) => {
    if (!(await readWithin(usualLimits.memory, bytes))) throw new Error('The report was not read whole.');
  };
  const { a, b } = await inTurn(
    5,
    () => whole(pdf),
    () => whole(csv),
  );
  const what = `a PDF of ${pages} pages, ${results} rows`;
  record(`read ${what}, in a process of its own, median of 5`, median(a), 'ms', 6000);
  record(`${what} against its rows as CSV`, median(a) / median(b), '×');
  let enough = Infinity;
  for (const memory of heaps) if (enough === Infinity && (await readWithin(memory, pdf))) enough = memory;
  record(`heap in which ${what} is read`, enough, 'MB', 384);
}
