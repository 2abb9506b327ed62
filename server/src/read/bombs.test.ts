import { deflateSync } from 'node:zlib';
import { afterAll, expect, it } from 'vitest';
import { packed, workbookOf, workbookParts } from '../../test/workbook.ts';
import { FileReader } from './reader.ts';

// The first process of a run compiles what it is made of: on a busy machine a good file has to have the time for it.
const reader = new FileReader({ time: 8000, memory: 256, processes: 2, waiting: 4 });
afterAll(() => reader.stop());

const bottles = new Map([['A-N', { name: 'Nitrate, nitrite', parameters: ['nitrate', 'nitrite'] as const, filledOn: '2026-11-23' }]]);
const rows = [
  ['Sample', 'Analyte', 'Result', 'Unit'],
  ['A-N', 'Nitrate', 3, 'mg/L NO3'],
];
const parts = workbookParts({ Results: rows });
const sheet = 'xl/worksheets/sheet1.xml';
const strings = 'xl/sharedStrings.xml';
const main = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"';
const sheetOf = (cells: string, before = '') => `${before}<worksheet ${main}><sheetData>${cells}</sheetData></worksheet>`;
const named = (count: number) =>
  Array.from({ length: count }, (_, at) => `<sheet name="S${at}" sheetId="${at + 1}" r:id="rId1"/>`).join('');

/** A PDF of these objects, the first its catalogue. */
function pdfOf(objects: readonly (string | Buffer)[]): Buffer {
  const parts = objects.map((object, at) =>
    Buffer.concat([Buffer.from(`${at + 1} 0 obj\n`), Buffer.from(object), Buffer.from('\nendobj\n')]),
  );
  return Buffer.concat([Buffer.from('%PDF-1.4\n'), ...parts, Buffer.from('trailer<</Root 1 0 R>>\n%%EOF')]);
}
/** A page whose content unpacks to so many texts. */
function pdfOfTexts(count: number): Buffer {
  const content = deflateSync(Buffer.from(`BT /F 9 Tf ${'1 0 0 1 9 9 Tm (12.5) Tj '.repeat(count)}ET`));
  return pdfOf([
    '<</Type/Catalog/Pages 2 0 R>>',
    '<</Type/Pages/Kids[3 0 R]/Count 1>>',
    '<</Type/Page/Parent 2 0 R/MediaBox[0 0 595 842]/Contents 4 0 R/Resources<</Font<</F 5 0 R>>>>>>',
    Buffer.concat([Buffer.from(`<</Length ${content.length}/Filter/FlateDecode>>stream\n`), content, Buffer.from('\nendstream')]),
    '<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>',
  ]);
}

const messageHead = 'From: a@b.example\r\nMIME-Version: 1.0\r\n';

const bombs: Record<string, () => Buffer> = {
  'a message of a hundred thousand parts within each other': () =>
    Buffer.from(
      messageHead +
        Array.from({ length: 100_000 }, (_, at) => `Content-Type: multipart/mixed; boundary=b${at}\r\n\r\n--b${at}\r\n`).join(''),
    ),
  'a message with a table drawn in tables, a hundred thousand deep': () =>
    Buffer.from(`${messageHead}Content-Type: text/html\r\n\r\n${'<table><tr><td>'.repeat(100_000)}1`),
  'a PDF of four million texts': () => pdfOfTexts(4_000_000),
  'a PDF whose pages are within themselves': () => pdfOf(['<</Type/Catalog/Pages 2 0 R>>', '<</Type/Pages/Kids[2 0 R 2 0 R]/Count 2>>']),
  'a PDF that says it has a thousand million pages': () =>
    pdfOf(['<</Type/Catalog/Pages 2 0 R>>', '<</Type/Pages/Kids[]/Count 1000000000>>']),
  'a hundred thousand bytes that unpack to a hundred million': () =>
    packed({ ...parts, [strings]: `<sst ${main}>${'<si><t>water</t></si>'.repeat(5_000_000)}</sst>` }),
  'workbooks in a workbook': () =>
    packed({ ...parts, ...Object.fromEntries(Array.from({ length: 600 }, (_, at) => [`xl/worksheets/inner${at}.xlsx`, 'PK'])) }),
  'a million shared strings, each of them asked for': () =>
    packed({
      ...parts,
      [strings]: `<sst ${main}>${'<si><t>x</t></si>'.repeat(1_000_000)}</sst>`,
      [sheet]: sheetOf(`<row r="1">${'<c r="A1" t="s"><v>999999</v></c>'.repeat(500_000)}</row>`),
    }),
  'a million columns': () => packed({ ...parts, [sheet]: sheetOf('<row r="1"><c r="ZZZZZZ1"><v>1</v></c></row>') }),
  'the last cell of the last row': () => packed({ ...parts, [sheet]: sheetOf('<row r="1048576"><c r="XFD1048576"><v>1</v></c></row>') }),
  'three hundred thousand sheets': () =>
    packed({
      ...parts,
      'xl/workbook.xml': parts['xl/workbook.xml']!.replace(/<sheets>.*<\/sheets>/, `<sheets>${named(300_000)}</sheets>`),
    }),
  formulas: () => packed({ ...parts, [sheet]: sheetOf(`<row r="1">${'<c r="A1"><f>SUM(A1:XFD1048576)</f></c>'.repeat(500_000)}</row>`) }),
  'XML five hundred thousand deep': () => packed({ ...parts, [sheet]: `${'<a>'.repeat(500_000)}${'</a>'.repeat(500_000)}` }),
  'entities that grow': () =>
    packed({
      ...parts,
      [sheet]: sheetOf(
        '<row r="1"><c r="A1" t="inlineStr"><is><t>&lol9;</t></is></c></row>',
        `<!DOCTYPE a [<!ENTITY lol0 "lol">${Array.from({ length: 9 }, (_, at) => `<!ENTITY lol${at + 1} "${`&lol${at};`.repeat(10)}">`).join('')}]>`,
      ),
    }),
  'ten million quotes': () => Buffer.from(`Sample,Analyte,Result,Unit\n${'"'.repeat(10_000_000)}`),
};

it.each(Object.entries(bombs))(
  'reads the others’ files beside %s, and is there for the next',
  async (_, make) => {
    const bomb = make();
    const good = workbookOf({ Results: rows });
    const [answer, beside] = await Promise.all([reader.read(bomb, bottles), reader.read(good, bottles)]);
    // Refused, or read as what little stands in it: never as a result.
    expect('draft' in answer ? answer.draft.results : []).toEqual([]);
    expect(beside).toMatchObject({ draft: { results: [{ value: 3 }] } });
    expect(process.memoryUsage.rss()).toBeLessThan(2 ** 31);
  },
  120_000,
);

it('turns away who comes while too many wait, and reads on', async () => {
  const answers = await Promise.allSettled(Array.from({ length: 9 }, () => reader.read(workbookOf({ Results: rows }), bottles)));
  const refused = answers.filter(({ status }) => status === 'rejected') as PromiseRejectedResult[];
  expect(refused.length).toBeGreaterThan(0);
  expect(refused[0]!.reason).toMatchObject({ status: 503, code: 'busy' });
  expect(await reader.read(workbookOf({ Results: rows }), bottles)).toMatchObject({ draft: { rowCount: 1 } });
}, 120_000);
