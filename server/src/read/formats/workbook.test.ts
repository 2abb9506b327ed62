import { expect, it } from 'vitest';
import { packed, workbookParts } from '../../../test/workbook.ts';
import { shownNumber } from './shown.ts';
import { workbook } from './workbook.ts';

// Number formats and styles as ECMA-376 part 1 has them: 18.8.30 (numFmt), 18.8.37 (strike), 18.3.1.73 and 18.3.1.13 (hidden).
const styles = `<styleSheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><numFmts count="2"><numFmt numFmtId="164" formatCode="&quot;&lt;&quot;0.0"/><numFmt numFmtId='165' formatCode='[Red]\\&gt;0'/></numFmts><fonts count="2"><font><sz val="11"/></font><font><strike/></font></fonts><cellXfs count="5"><xf numFmtId="0" fontId="0"/><xf numFmtId="164" fontId="0"/><xf numFmtId="165" fontId="0"/><xf numFmtId="0" fontId="1"/><xf numFmtId="2" fontId="0"/></cellXfs></styleSheet>`;

/** The results that a workbook shows whose cells in the third column have these styles; rows and columns from 1 may be hidden. */
async function results(cells: { value: number; style?: number; isHidden?: boolean }[], cols = ''): Promise<string[]> {
  const parts = workbookParts({
    Results: [['Sample', 'Parameter', 'Result', 'Unit'], ...cells.map(({ value }) => ['A-N', 'Fluoride', value, 'mg/L'])],
  });
  const sheet = cells.reduce((xml, { style = 0, isHidden = false }, at) => {
    const row = at + 2;
    const styled = xml.replace(`<c r="C${row}"`, `<c r="C${row}" s="${style}"`);
    return isHidden ? styled.replace(`<row r="${row}"`, `<row r="${row}" hidden="1"`) : styled;
  }, parts['xl/worksheets/sheet1.xml']!);
  const relations = parts['xl/_rels/workbook.xml.rels']!.replace(
    '</Relationships>',
    '<Relationship Id="rId9" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles" Target="styles.xml"/></Relationships>',
  );
  const read = await workbook.table(
    packed({
      ...parts,
      'xl/_rels/workbook.xml.rels': relations,
      'xl/styles.xml': styles,
      'xl/worksheets/sheet1.xml': sheet.replace('<sheetData>', `${cols}<sheetData>`),
    }),
  );
  if (!('table' in read)) throw new Error(JSON.stringify(read));
  return read.table.rows.map((row) => row.cells[2]!);
}

it('reads a number as the sheet shows it: its sign stands in the format of the cell', async () => {
  expect(await results([{ value: 0.1, style: 1 }, { value: 200, style: 2 }, { value: 0.1 }])).toEqual(['<0.1', '>200', '0.1']);
});

it('hands back what the sheet shows otherwise than it stores it', async () => {
  expect(
    await results([
      { value: 0.0012, style: 4 },
      { value: 12.3456, style: 4 },
    ]),
  ).toEqual(['0.0012, shown as 0.00', '12.3456']);
});

it('reads nothing by itself that is struck through or not shown', async () => {
  expect(await results([{ value: 2.2, style: 3 }, { value: 59, isHidden: true }, { value: 4 }])).toEqual([
    'struck through: 2.2',
    'hidden: 59',
    '4',
  ]);
  expect(await results([{ value: 7 }], '<cols><col min="3" max="3" width="9" hidden="1"/></cols>')).toEqual(['hidden: 7']);
});

it.each([
  [0.08, '0%', '8 %'],
  [61, '0" mg/L"', '61 mg/L'],
  [1234.5, '#,##0.0', '1234.5'],
  [5, '0.0;[Red]"<"0.0', '5'],
  [0.05, '_-"< "0.00', '<0.05'],
  [41.4, '0', '41.4, shown as 41'],
  [3, 'General', '3'],
])('shows %f by the format %s as %s', (value, format, shown) => {
  expect(shownNumber(value, format)).toBe(shown);
});
