import { parameterIds } from '@fonte/core/parameters';
import { readReport, type BottleAtLab, type Mapping, type ReportDraft } from '@fonte/core/read';
import { expect, it } from 'vitest';
import { workbookOf } from '../../../test/workbook.ts';
import { tableIn } from './index.ts';

const bottles = new Map<string, BottleAtLab>(
  ['A-G', 'B-G'].map((label) => [label, { name: 'All', parameters: [...parameterIds], filledOn: '2026-11-23', visit: label }]),
);
const head =
  'Received: from a by b\r\nFrom: Lab <lab@lab.example>\r\nTo: office@water.example\r\nSubject: Results\r\nMIME-Version: 1.0\r\n';

interface Part {
  type: string;
  name?: string;
  body: string | Buffer;
}
const coded = (body: string | Buffer) => Buffer.from(body).toString('base64').replace(/.{76}/g, '$&\r\n');
const messageOf = (...parts: Part[]): Buffer =>
  Buffer.from(
    `${head}Content-Type: multipart/mixed; boundary="b"\r\n\r\n${parts
      .map(
        ({ type, name, body }) =>
          `--b\r\nContent-Type: ${type}${name ? `; name="${name}"\r\nContent-Disposition: attachment; filename="${name}"` : ''}\r\nContent-Transfer-Encoding: base64\r\n\r\n${coded(body)}\r\n`,
      )
      .join('')}--b--\r\n`,
  );
async function readOf(bytes: Uint8Array, mapping?: Mapping): Promise<ReportDraft> {
  const read = readReport(await tableIn(bytes), bottles, mapping);
  if ('refusal' in read) throw new Error(read.refusal.code);
  return read.draft;
}
const shown = ({ results }: ReportDraft) =>
  results.map(({ bottle, parameter, form, value }) => `${bottle} ${parameter} ${form === 'below' ? '<' : ''}${value}`);
const letter = (body: string): Part => ({ type: 'text/plain; charset=utf-8', body });
const csv: Part = { type: 'text/csv', name: 'results.csv', body: 'Sample;Analyte;Result;Unit\nA-G;Chloride;12,5;mg/L\n' };

it('reads the one report that is attached to a message, whatever its letter says', async () => {
  const message = messageOf(letter('Please find the report attached.\r\nNitrate was fine.'), csv, {
    type: 'application/octet-stream',
    name: 'terms.bin',
    body: Buffer.from([0, 1, 2, 3]),
  });
  expect(shown(await readOf(message))).toEqual(['A-G chloride 12.5']);
});

it('reads what the letter itself says, also as it was quoted in an answer', async () => {
  const said = 'Sample: A-G\r\nSulfat: 12.5 mg/L\r\nBlei < 2 µg/L\r\nSample: B-G\r\nChloride 31 mg/L\r\n';
  expect(shown(await readOf(messageOf(letter(said))))).toEqual(['A-G sulfate 12.5', 'A-G lead <2', 'B-G chloride 31']);
  const quoted = said.replace(/^/gm, '> ');
  expect(shown(await readOf(messageOf(letter(`Thank you, I have these:\r\n${quoted}`))))).toEqual([
    'A-G sulfate 12.5',
    'A-G lead <2',
    'B-G chloride 31',
  ]);
});

it('reads a table that is drawn in the message, whose plain words have lost its columns', async () => {
  const rows = [
    ['Sample', 'Analyte', 'Result', 'Unit', 'RL'],
    ['A-G', 'Sulfate', '120', 'mg/L', '1'],
    ['A-G', 'Copper, dissolved', '0.31', 'mg/L', '0.01'],
  ];
  const html = `<p>Dear Rui,<br>here they are.</p><table>${rows.map((row) => `<tr>${row.map((cell) => `<td>${cell}</td>`).join('')}</tr>`).join('')}</table>`;
  const plain = `${rows.flat().join('\r\n')}\r\n`;
  const message = Buffer.from(
    `${head}Content-Type: multipart/alternative; boundary="b"\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\n${plain}--b\r\nContent-Type: text/html\r\n\r\n${html}\r\n--b--\r\n`,
  );
  expect(shown(await readOf(message))).toEqual(['A-G sulfate 120', 'A-G copper 0.31']);
});

it('asks which of several reports are meant, and says a line by its file and sheet', async () => {
  const header = ['Sample', 'Analyte', 'Result', 'Unit'];
  const book = workbookOf({ Metals: [header, ['B-G', 'Lead', 3, 'µg/L']], Old: [header, ['B-G', 'Lead', 9, 'µg/L']] });
  const message = messageOf(letter('Two files.'), csv, { type: 'application/octet-stream', name: 'metals.xlsx', body: book });
  const asked = await readOf(message);
  expect([asked.refusal?.code, asked.sheets]).toEqual(['several-sheets', ['results.csv', 'metals.xlsx, Metals', 'metals.xlsx, Old']]);
  const all = await readOf(message, { columns: {}, sheets: ['results.csv', 'metals.xlsx, Metals'] });
  expect(shown(all)).toEqual(['A-G chloride 12.5', 'B-G lead 3']);
  expect(all.parts).toEqual([
    { name: 'results.csv', from: 1 },
    { name: 'metals.xlsx, Metals', from: 3 },
    { name: 'metals.xlsx, Old', from: 5 },
  ]);
});

it('says so where nothing in a message is a report', async () => {
  await expect(readOf(messageOf(letter('See you on Monday.')))).rejects.toThrow('nothing-in-message');
  const broken: Part = { type: 'application/pdf', name: 'a.pdf', body: '%PDF-1.7 nothing' };
  await expect(readOf(messageOf(broken))).rejects.toThrow('no-pdf');
  await expect(readOf(messageOf(broken, { ...broken, name: 'b.pdf' }))).rejects.toThrow('nothing-in-message');
});

it('leaves a file of a lab alone that begins with a word of a message', async () => {
  expect(shown(await readOf(Buffer.from('Date: 2026-11-30\nFrom: the lab\n\nSample;Analyte;Result;Unit\nA-G;Chloride;3;mg/L\n')))).toEqual([
    'A-G chloride 3',
  ]);
});
