import { strToU8, zipSync } from 'fflate';

const head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const packages = 'http://schemas.openxmlformats.org/package/2006';
const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** The parts of an Excel workbook (ECMA-376) with sheets of texts and numbers, by their paths. */
export function workbookParts(sheets: Record<string, (string | number)[][]>): Record<string, string> {
  const names = Object.keys(sheets);
  const cell = (value: string | number, column: number, row: number) => {
    const place = `${String.fromCharCode(65 + column)}${row + 1}`;
    return typeof value === 'number'
      ? `<c r="${place}"><v>${value}</v></c>`
      : `<c r="${place}" t="inlineStr"><is><t>${escaped(value)}</t></is></c>`;
  };
  return {
    '[Content_Types].xml': `<Types xmlns="${packages}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>${names.map((_, index) => `<Override PartName="/xl/worksheets/sheet${index + 1}.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/>`).join('')}</Types>`,
    '_rels/.rels': `<Relationships xmlns="${packages}/relationships"><Relationship Id="rId1" Type="${relations}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${relations}"><sheets>${names.map((name, index) => `<sheet name="${escaped(name)}" sheetId="${index + 1}" r:id="rId${index + 1}"/>`).join('')}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${packages}/relationships">${names.map((_, index) => `<Relationship Id="rId${index + 1}" Type="${relations}/worksheet" Target="worksheets/sheet${index + 1}.xml"/>`).join('')}</Relationships>`,
    ...Object.fromEntries(
      names.map((name, index) => [
        `xl/worksheets/sheet${index + 1}.xml`,
        `<worksheet xmlns="${main}"><sheetData>${sheets[name]!.map((cells, row) => `<row r="${row + 1}">${cells.map((value, column) => cell(value, column, row)).join('')}</row>`).join('')}</sheetData></worksheet>`,
      ]),
    ),
  };
}

/** Parts packed as one file. */
export function packed(parts: Record<string, string>): Buffer {
  return Buffer.from(zipSync(Object.fromEntries(Object.entries(parts).map(([path, text]) => [path, strToU8(head + text)]))));
}

/** A workbook of these sheets, for tests. */
export const workbookOf = (sheets: Record<string, (string | number)[][]>): Buffer => packed(workbookParts(sheets));
