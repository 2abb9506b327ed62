import { describe, expect, it } from 'vitest';
import { bottleTables, cardOf, type RuleId } from '../bottles/index.ts';
import {
  decodeText,
  interpret,
  missingResults,
  numberStyle,
  parameterCalled,
  sayPlace,
  parseTable,
  proposeMapping,
  readValue,
  refuseMapping,
  unitCalled,
  type LabTable,
} from './index.ts';

const rules: [string, RuleId][] = [
  ['A-N', 'nitrogen'],
  ['A-M', 'metals'],
  ['A-B', 'bacteria'],
  ['A-G', 'general'],
];
const card = (rule: RuleId) => cardOf(bottleTables.newest[0]!, rule);
const bottles = new Map(
  rules.map(([id, rule]) => [id, { name: card(rule).name, parameters: card(rule).parameters, filledOn: '2026-11-05' }]),
);
const tableOf = (text: string): LabTable => {
  const read = parseTable(text);
  if ('refusal' in read) throw new Error(read.refusal.code);
  return read.table;
};
const refusalOf = (text: string) => {
  const read = parseTable(text);
  return 'refusal' in read ? read.refusal : null;
};
const read = (text: string) => {
  const table = tableOf(text);
  return interpret(table, proposeMapping(table), bottles);
};
const header = 'Amostra;Ensaio;Valor;Un.;LQ;Método\n';

describe('the file', () => {
  it('is decoded by mark, as UTF-8, else as Windows-1252', () => {
    expect(decodeText(new Uint8Array([0xef, 0xbb, 0xbf, 0x41])).text).toBe('A');
    expect(decodeText(new Uint8Array([0xb5, 0x67, 0x2f, 0x4c]))).toEqual({ text: 'µg/L', encoding: 'windows-1252' });
    expect(decodeText(new Uint8Array([0xff, 0xfe, 0x41, 0x00]))).toEqual({ text: 'A', encoding: 'utf-16le' });
  });

  it.each([
    [';', '\n'],
    [',', '\r\n'],
    ['\t', '\n'],
    ['|', '\r'],
  ])('is split at %j with %j line ends', (delimiter, end) => {
    const text = [
      ['Sample', 'Analyte', 'Result', 'Unit'],
      ['A-N', 'Nitrate', '3', 'mg/L'],
      ['A-N', 'Nitrite', '4', 'mg/L'],
    ]
      .map((row) => row.join(delimiter))
      .join(end);
    expect(tableOf(text)).toMatchObject({
      delimiter,
      headerLine: 1,
      rows: [{ line: 2 }, { line: 3, cells: ['A-N', 'Nitrite', '4', 'mg/L'] }],
    });
  });

  it('counts lines over a preamble and quoted line breaks', () => {
    const table = tableOf('Laboratory of the island\n\nSample,Analyte,Result,Unit\nA-N,"Nitrate\nas N",3,mg/L\nA-N,Nitrite,4,mg/L\n');
    expect([table.headerLine, ...table.rows.map((row) => row.line)]).toEqual([3, 4, 6]);
  });

  it.each([
    ['', 'empty', 1],
    ['  \n ', 'empty', 1],
    ['a,b,c\n', 'no-rows', 1],
    ['just one sentence.\nand more', 'no-columns', 1],
    ['{"a": 1}', 'not-a-table', 1],
    ['<html><body>', 'not-a-table', 1],
    ['%PDF-1.7', 'not-text', 1],
    ['ab\nc\u0000d', 'not-text', 2],
    ['Sample,Analyte,Result\nA-N,"Nitrate,3\n', 'quotes', 2],
  ])('%j is refused as %s on line %d', (text, code, line) => {
    expect(refusalOf(text)).toMatchObject({ code, line });
  });
});

describe('a file that is made to be slow', () => {
  // On each of these a search that goes back and forth takes minutes; the test would run out of time.
  const long = 200_000;
  it.each([
    ['a sign and blanks', 'Result', `<${' '.repeat(9_000)}x`],
    ['digits without an end', 'Result', `${'1 '.repeat(4_500)}x`],
    ['brackets in a name', 'Parameter', '('.repeat(9_900)],
    ['brackets in a unit', 'Unit', '('.repeat(9_900)],
  ])('has its rows handed back: %s', (_, column, cell) => {
    const cells = ['Sample', 'Parameter', 'Result', 'Unit'].map((name) =>
      name === column ? cell : { Sample: 'A-N', Parameter: 'Nitrate', Result: '3', Unit: 'mg/L' }[name],
    );
    const row = cells.join(';');
    const { results, unread } = read(`Sample;Parameter;Result;Unit\n${Array.from({ length: 200 }, () => row).join('\n')}`);
    expect([results.length, unread.length]).toEqual([0, 200]);
  });

  it.each([
    ['cell-too-long', `a;b;c\n1;${'x'.repeat(long)};3`, { line: 2, column: 2 }],
    ['too-many-columns', `a;b;c\n${';'.repeat(600)}x`, { line: 2, column: 501 }],
    ['too-many-rows', `a;b;c\n${'1;2;3\n'.repeat(250_001)}`, { line: 250_001 }],
  ])('is refused with its place: %s', (code, text, place) => {
    expect(refusalOf(text)).toMatchObject({ code, ...place });
  });
});

describe('the columns', () => {
  it('are proposed by heading, and the limit is never the result', () => {
    expect(proposeMapping(tableOf(`${header}A-N;Nitratos;12,9;mg/L N;0,1;x`)).columns).toEqual({
      sample: 0,
      parameter: 1,
      result: 2,
      unit: 3,
      reportingLimit: 4,
      method: 5,
    });
    const english = tableOf('Client Sample ID,Analyte,RL,Result,MDL,Units,MCL\nA-N,Nitrate,0.1,3,0.05,mg/L,10');
    expect(proposeMapping(english).columns).toMatchObject({ reportingLimit: 2, result: 3, detectionLimit: 4, limit: 6 });
  });

  it('find an unnamed result by its "<", and say so when there is none', () => {
    const unnamed = tableOf('Sample,Analyte,Found,RL\nA-N,Nitrate,<0.1,0.1\nA-N,Nitrite,0.2,0.1');
    expect(proposeMapping(unnamed).columns.result).toBe(2);
    const none = tableOf('Report\nSample,Analyte,RL,Unit\nA-N,Nitrate,0.1,mg/L');
    expect(refuseMapping(none, proposeMapping(none))).toMatchObject({ code: 'no-result-column', line: 2 });
  });

  it('are refused when one has two roles or does not exist', () => {
    const table = tableOf(`${header}A-N;Nitratos;1;mg/L;2;x`);
    expect(refuseMapping(table, { columns: { sample: 0, parameter: 1, result: 2, reportingLimit: 2 } })).toMatchObject({
      code: 'column-twice',
      column: 3,
    });
    expect(refuseMapping(table, { columns: { sample: 0, parameter: 1, result: 9 } })).toMatchObject({ code: 'no-such-column' });
  });
});

describe('a result cell', () => {
  it.each([
    ['12,9', '', 'value', 12.9, false],
    ['<0.05', '', 'below', 0.05, false],
    ['< 0,05', '', 'below', 0.05, false],
    ['> 2419', '', 'above', 2419, false],
    ['ND', '', 'below', null, false],
    ['0.05', 'U', 'below', 0.05, false],
    ['0.8', 'J', 'value', 0.8, true],
    ['0.8 J', '', 'value', 0.8, true],
    ['TNTC', '', 'uncountable', null, false],
    ['absent', '', 'absent', null, false],
    ['Presente', '', 'present', null, false],
  ])('%s %s', (cell, flag, form, value, estimated) => {
    expect(readValue(cell, flag)).toEqual({ ok: true, form, value, estimated });
  });

  it.each(['', 'see note', '-3', '12 mg', '1e5'])('%j is no result', (cell) => expect(readValue(cell, '').ok).toBe(false));

  it('is not guessed where a mark may be a thousand or a decimal', () => {
    expect(numberStyle(['12,9', '1.234'])).toBe('comma');
    expect(readValue('1.234', '', 'comma').ok).toBe(false);
    expect(readValue('1,234', '', 'point').ok).toBe(false);
    expect(readValue('1.234', '', 'point')).toMatchObject({ value: 1.234 });
  });
});

describe('names and units', () => {
  it.each([
    ['Nitratos', 'nitrate'],
    ['Nitrate (as N)', 'nitrate'],
    ['Escherichia coli', 'ecoli'],
    ['Ferro (Fe)', 'iron'],
    ['Iron, dissolved', 'iron'],
    ['Arsénio', 'arsenic'],
    ['Bactérias coliformes', 'coliforms'],
    ['Unobtainium', null],
  ])('%s is %s', (name, id) => expect(parameterCalled(name)).toBe(id));

  it.each([
    ['µg/L', 'ug/L', null],
    ['μg/l', 'ug/L', null],
    ['mg/L N', 'mg/L', 'N'],
    ['mg N/L', 'mg/L', 'N'],
    ['mg/L NO₃', 'mg/L', 'ion'],
    ['UFC/100 mL', 'per100mL', null],
    ['MPN/100mL', 'per100mL', null],
    ['mS/m', 'mS/m', null],
    ['mg/L CaCO3', 'mg/L CaCO3', null],
  ])('%s is %s as %s', (text, unit, as) => expect(unitCalled(text)).toEqual({ unit, as }));

  it('does not know a unit that was made up', () => expect(unitCalled('drops/bucket')).toBeNull());
});

describe('reading rows', () => {
  it('converts units and expressions to the parameter’s own', () => {
    const { results, unread } = read(
      `${header}A-N;Nitratos;10,0;mg/L N;0,1;x\nA-M;Ferro;0,34;mg/L;0,01;x\nA-G;Condutividade a 25 °C;57,2;mS/m;1;x`,
    );
    expect(unread).toEqual([]);
    expect(results.map((result) => [result.parameter, Number(result.value?.toFixed(2))])).toEqual([
      ['nitrate', 44.27],
      ['iron', 340],
      ['conductivity', 572],
    ]); // molar masses
    expect(results[0]).toMatchObject({ reportingLimit: expect.closeTo(0.4427, 4) as number, written: { result: '10,0', unit: 'mg/L N' } });
  });

  it.each([
    ['Z-1;Ferro;3;µg/L;1;x', 1, 'No bottle of this round that the lab has'],
    ['A-M;Zeolite;3;µg/L;1;x', 2, 'Not a parameter'],
    ['A-M;Nitratos;3;mg/L N;1;x', 2, 'Cannot be told from a bottle for dissolved metals'],
    ['A-M;Ferro;bad;µg/L;1;x', 3, 'is no result'],
    ['A-M;Ferro;3;;1;x', 4, 'The unit is missing'],
    ['A-M;Ferro;3;NTU;1;x', 4, 'is not a unit of iron'],
    ['A-N;Nitratos;3;mg/L;1;x', 4, 'As nitrogen or as the ion?'],
    ['A-M;Ferro;99;g/L;1;x', 3, 'cannot be'],
  ])('%s is handed back with its place', (row, column, why) => {
    const { results, unread } = read(`${header}${row}`);
    expect(results).toEqual([]);
    expect(unread).toMatchObject([{ line: 2, column }]);
    expect(sayPlace(unread[0]!)).toContain(why);
  });

  it('reads nitrogen as told where the file does not say', () => {
    const table = tableOf(`${header}A-N;Nitratos;10;mg/L;1;x`);
    const value = (nitrogenAs: 'N' | 'ion') => interpret(table, { ...proposeMapping(table), nitrogenAs }, bottles).results[0]?.value;
    expect([value('N'), value('ion')]).toEqual([expect.closeTo(44.27, 2), 10]);
  });

  it('reads the first of two results for one thing and hands back the second', () => {
    const { results, unread } = read(`${header}A-M;Ferro;3;µg/L;1;x\nA-M;Iron;4;µg/L;1;x`);
    expect([results.length, sayPlace(unread[0]!)]).toEqual([1, 'Reported twice: line 2 has it too.']);
  });

  it.each([
    ['2026-11-05', 0],
    ['05/11/2026 09:20', 0],
    ['11/5/26', 0],
    ['05.11.2026', 0],
    ['', 0],
    ['06/11/2026', 1],
    ['31/02/2026', 1],
    ['yesterday', 1],
  ])('compares the day of collection %j with the book', (date, count) => {
    const { results, doubts } = read(`Amostra;Ensaio;Valor;Un.;Colheita\nA-M;Ferro;3;µg/L;${date}`);
    expect([results.length, doubts.length]).toEqual([1, count]);
    if (count > 0) expect(doubts[0]).toMatchObject({ line: 2, column: 5, code: 'other-day', data: { day: '2026-11-05' } });
  });

  it('says what is missing from the report', () => {
    const { results } = read(`${header}A-B;E. coli;0;UFC/100 mL;1;x`);
    const [bacteria] = missingResults(results, new Map([['A-B', bottles.get('A-B')!]]));
    expect(bacteria).toEqual({ bottle: 'A-B', parameters: ['coliforms'] });
  });
});
