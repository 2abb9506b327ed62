import { writeFileSync } from 'node:fs';
import puppeteer from 'puppeteer-core';

/*
 * Prints the files beside this one, by two programs that know nothing of the reader: `npx tsx server/test/pdf/make.ts [one name]`. What stands in them is
 * typed here; what must be read of them is typed in the test.
 */
const page = (inner: string, css = '') =>
  `<style>body{font:9pt Helvetica,Arial,sans-serif} table{border-collapse:collapse} td,th{padding:2px 6px;text-align:left} ${css}</style>${inner}`;
const table = (header: readonly string[], rows: readonly (readonly string[])[]) =>
  `<table><thead><tr>${header.map((cell) => `<th>${cell}</th>`).join('')}</tr></thead>${rows
    .map((cells) => `<tr>${cells.map((cell) => `<td>${cell}</td>`).join('')}</tr>`)
    .join('')}</table>`;

const names = ['Nitrate as NO3', 'Sulfate', 'Chloride', 'Sodium', 'Potassium'];
const wrapped = table(
  ['Parameter', 'Result', 'Unit', 'Reporting limit', 'Method'],
  [
    ['Nitrate as NO3', '12.5', 'mg/L', '0.5', 'ISO 10304-1'],
    ['Conductivity at 25 °C', '780', 'µS/cm', '1', 'ISO 7888'],
    ['Alkalinity, total, as CaCO<sub>3</sub>', '210', 'mg/L', '5', 'SM 2320 B, revised edition of the method'],
    ['Sulfate', '1.2 × 10<sup>2</sup>', 'mg/L', '1', 'ISO 10304-1'],
  ],
);
const side = `<table>
  <tr><th>Parameter</th><th>Result</th><th>Unit</th><th style="width:30px"></th><th>Parameter</th><th>Result</th><th>Unit</th></tr>
  <tr><td>Nitrate as NO3</td><td>12.5</td><td>mg/L</td><td></td><td>Lead</td><td>2.5</td><td>µg/L</td></tr>
  <tr><td>Sulfate</td><td>42</td><td>mg/L</td><td></td><td>Copper</td><td>14</td><td>µg/L</td></tr></table>`;
const upright = (text: string) => `<th style="writing-mode:vertical-rl;transform:rotate(180deg);height:130px;width:40px">${text}</th>`;
const html: Record<string, string> = {
  wrapped: page(
    `<h2>Report of analysis 4711</h2><p>Sample ID: A-G</p><p>Collected: 2026-11-23</p>${wrapped}<p>&lt; means below the reporting limit.</p>`,
    'table{width:380px} td,th{vertical-align:bottom}',
  ),
  upright: page(
    `<table><tr><th>Sample</th>${['Nitrate as NO3 mg/L', 'Chloride mg/L', 'Conductivity 25 °C µS/cm'].map(upright).join('')}</tr>
      <tr><td>A-G</td><td>12.5</td><td>&lt;5</td><td>780</td></tr><tr><td>B-G</td><td>13.5</td><td>31</td><td>781</td></tr></table>`,
  ),
  side: page(`<p>Sample ID: A-G</p>${side}`),
  pages: page(
    table(
      ['Sample', 'Parameter', 'Result', 'Unit'],
      Array.from({ length: 120 }, (_, at) => [at % 2 ? 'A-G' : 'B-G', names[at % 5]!, String((at % 10) + 1), 'mg/L']),
    ),
    'td{padding:6px}',
  ),
  sideways: page(
    `${table(
      ['Sample', 'Parameter', 'Result', 'Unit'],
      [
        ['A-G', 'Nitrate as NO3', '12.5', 'mg/L'],
        ['A-G', 'Chloride', '&lt;5', 'mg/L'],
        ['B-G', 'Conductivity at 25 °C', '781', 'µS/cm'],
      ],
    )}<div style="position:fixed;left:200px;top:300px;transform:rotate(-40deg);font-size:50pt">PRELIMINARY</div>`,
    'html{writing-mode:vertical-rl} td,th{padding:6px 2px}',
  ),
  picture: page(
    '<img src="data:image/svg+xml;utf8,<svg xmlns=%22http://www.w3.org/2000/svg%22 width=%2290%22 height=%2290%22><circle r=%2240%22 cx=%2245%22 cy=%2245%22/></svg>">',
  ),
};

const browser = await puppeteer.launch({ executablePath: '/usr/lib/chromium/chromium-headless-shell', args: ['--no-sandbox'] });
const tab = await browser.newPage();
const [only] = process.argv.slice(2);
const isAsked = (name: string) => only === undefined || name === only;
for (const [name, content] of Object.entries(html)) {
  if (!isAsked(name)) continue;
  await tab.setContent(content);
  await tab.pdf({ path: new URL(`./${name}.pdf`, import.meta.url).pathname, format: 'A4', landscape: name === 'side' });
}
await browser.close();

const [{ default: pdfMake }, { default: fonts }] = await Promise.all([
  import('pdfmake/build/pdfmake.js'),
  import('pdfmake/build/vfs_fonts.js'),
]);
const ruled = {
  content: [
    { text: 'Boletim de análise 4712', fontSize: 14 },
    'Código da amostra: A-G',
    {
      layout: 'lightHorizontalLines',
      table: {
        headerRows: 1,
        widths: ['*', 'auto', 'auto', 'auto'],
        body: [
          ['Parâmetro', 'Resultado', 'Unidade', 'Limite de quantificação'],
          ['Nitratos (NO3)', '12,5', 'mg/L', '0,5'],
          ['Sulfatos', '< 5', 'mg/L', '5'],
          ['Condutividade a 25 °C', '780', 'µS/cm', ''],
        ],
      },
    },
  ],
};
const write = (name: string, more: object) =>
  new Promise<void>((resolve) => {
    pdfMake.createPdf({ ...ruled, ...more } as never, undefined, undefined, fonts as never).getBuffer((made: Uint8Array) => {
      writeFileSync(new URL(`./${name}.pdf`, import.meta.url), made);
      resolve();
    });
  });
if (isAsked('ruled')) await write('ruled', {});
if (isAsked('locked')) await write('locked', { userPassword: 'goats' });
