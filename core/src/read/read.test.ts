import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bottleTables, cardOf, type RuleId } from '../bottles/index.ts';
import { styleShown } from '../units/index.ts';
import {
  decodeText,
  interpret,
  missingResults,
  parameterCalled,
  sayPlace,
  parseTable,
  proposeMapping,
  readReport,
  recall,
  readValue,
  textTable,
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

describe('text in two bytes a letter', () => {
  const text = 'Sample,Analyte,Result\nA-M,Iron,3\n';
  const little = (mark: boolean) => Buffer.from((mark ? '\ufeff' : '') + text, 'utf16le');
  it.each([
    ['with its mark', little(true), 'utf-16le'],
    ['without one', little(false), 'utf-16le'],
    ['the other way round', little(true).swap16(), 'utf-16be'],
    ['the other way round, without a mark', little(false).swap16(), 'utf-16be'],
  ])('is read %s', (_, bytes, encoding) => {
    expect(decodeText(new Uint8Array(bytes))).toEqual({ text, encoding });
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

describe('what stands beside a result', () => {
  const both = (result: string) => read(`Amostra;Ensaio;Valor;Un.;LQ;LD\nA-M;Ferro;${result};µg/L;10;3`).results[0];
  it('is the limit that the result names, and no other', () => {
    expect([both('< LD')?.value, both('< LQ')?.value, both('ND')?.value]).toEqual([3, 10, null]);
    expect(read('Amostra;Ensaio;Valor;Un.;LD\nA-M;Ferro;< LQ;µg/L;3').results[0]).toMatchObject({ form: 'below', value: null });
  });

  it('may be a remark, which is no flag; one that speaks of the number is asked about', () => {
    const remarked = (...remarks: string[]) =>
      read(`Sample;Parameter;Result;Unit;Remarks\n${remarks.map((remark) => `A-M;Iron;12;µg/L;${remark}`).join('\n')}`);
    expect(remarked('Delivered by courier').results).toHaveLength(1);
    expect(remarked('Holding time exceeded').results).toEqual([]);
    expect(remarked('R').unread.map(({ code }) => code)).toEqual(['rejected']);
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

  it.each(['', 'see note', '12 mg', '1e5', '2.0 (2.2)', '28,5 2', '~61', '40-42', '1.1.2', 'O.05'])('%j is no result', (cell) =>
    expect(readValue(cell, '').ok).toBe(false),
  );

  it.each([
    ['50', '<', 'below', 50],
    ['200', '>', 'above', 200],
    ['1', '<', 'below', 1],
    ['50', 'BDL', 'below', 50],
    ['BDL', '', 'below', null],
    ['< LOQ', '', 'below', null],
    ['', 'n.d.', 'below', null],
    ['12', 'D', 'value', 12],
    ['12', '=', 'value', 12],
  ])('%j with %j beside it takes what stands there', (cell, flag, form, value) => {
    expect(readValue(cell, flag)).toMatchObject({ ok: true, form, value });
  });

  it.each([
    ['12', 'R', 'rejected'],
    // Without a legend nobody knows which of their meanings these have.
    ['12', 'B', 'unknown-flag'],
    ['12', 'E', 'unknown-flag'],
    ['12', 'H', 'unknown-flag'],
    ['12', 'Q', 'unknown-flag'],
    ['12', '*', 'unknown-flag'],
    ['12', 'ok?', 'unknown-flag'],
    ['12', 'X', 'unknown-flag'],
    ['<12', '>', 'contradicts'],
    ['absent', 'ND', 'contradicts'],
    ['12', 'TNTC', 'contradicts'],
  ])('%j with %j beside it is handed back: %s', (cell, flag, code) => {
    expect(readValue(cell, flag)).toMatchObject({ ok: false, code });
  });

  it('says whether the bound itself is meant', () => {
    expect(readValue('≤ 1', '')).toMatchObject({ form: 'below', inclusive: true });
    expect(readValue('1', '≥')).toMatchObject({ form: 'above', inclusive: true });
    expect(readValue('< 1', '')).not.toHaveProperty('inclusive');
  });

  it('is not guessed where a mark may be a thousand or a decimal', () => {
    const style = (decimals: 'comma' | 'point' | 'mixed' | 'unknown', isSaid = false) => ({ decimals, isSaid });
    expect(styleShown(['12,9', '1.234'])).toEqual(style('comma'));
    // 1,234 shows nothing: it is a thousand to some and a decimal to others.
    expect(styleShown(['1,234', '12', '2,500'])).toEqual(style('unknown'));
    expect(styleShown(['1,234', '0.5'])).toEqual(style('point'));
    expect(styleShown(['<0,123'])).toEqual(style('comma'));
    expect(styleShown(['0,5', '0.5'])).toEqual(style('mixed'));
    expect(readValue('1.234', '', style('comma')).ok).toBe(false);
    expect(readValue('1,234', '', style('point')).ok).toBe(false);
    expect(readValue('1,234', '', style('unknown'))).toMatchObject({ code: 'thousand-or-decimal' });
    expect(readValue('1,234', '', style('mixed'))).toMatchObject({ code: 'thousand-or-decimal' });
    expect(readValue('0,123', '', style('unknown'))).toMatchObject({ value: 0.123 });
    expect(readValue('1.234', '', style('point'))).toMatchObject({ value: 1.234 });
  });

  it.each([
    ['1,234', 'point', 1234],
    ['1,234.5', 'point', 1234.5],
    ['1.234', 'point', 1.234],
    ['1.234', 'comma', 1234],
    ['1.234,5', 'comma', 1234.5],
    ['1,234', 'comma', 1.234],
    ['12,5', 'point', null],
    ['12.5', 'comma', null],
  ] as const)('%s is read as the file is said to be written: decimals after a %2$s', (text, decimals, value) => {
    expect(readValue(text, '', { decimals, isSaid: true })).toMatchObject(value === null ? { code: 'other-decimal' } : { value });
  });

  it('comes back as the number that was written, whatever the style, or is asked about', () => {
    const styles = [
      { decimals: 'comma', mark: ',', other: '.' },
      { decimals: 'point', mark: '.', other: ',' },
    ] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...styles),
        fc.nat(2_000_000),
        fc.integer({ min: 0, max: 4 }),
        fc.boolean(),
        fc.boolean(),
        ({ decimals, mark, other }, digits, places, isGrouped, isSaid) => {
          const truth = digits / 10 ** places;
          const [whole = '', part] = truth.toFixed(places).split('.');
          const grouped = isGrouped ? whole.replace(/\B(?=(\d{3})+$)/g, other) : whole;
          const text = part === undefined ? grouped : `${grouped}${mark}${part}`;
          const style = isSaid ? { decimals, isSaid } : styleShown([text]);
          const read = readValue(text, '', style);
          if (read.ok) expect(read.value).toBeCloseTo(truth, 9);
          else expect(['thousand-or-decimal', 'not-a-result']).toContain(read.code);
        },
      ),
    );
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
    ['Turbidity (NTU)', 'turbidity'],
    ['Conductivity (25 °C)', 'conductivity'],
    // What is in brackets is another thing, or a thing of its own.
    ['Conductivity (20 °C)', 'conductivity'],
    ['Chromium (VI)', 'chromium6'],
    ['Sulfate (as S)', 'sulfate'],
    ['Calcium (as CaCO3)', 'calcium'],
    ['Hardness (Ca)', null],
    ['Faecal coliforms', 'thermotolerant'],
    ['Iron (limit)', null],
    ['Iron (RL)', null],
    ['Surrogate recovery (Fe)', null],
  ])('%s is %s', (name, id) => expect(parameterCalled(name)).toBe(id));

  it.each([
    ['µg/L', 'ug/L', null],
    ['μg/l', 'ug/L', null],
    ['mg/L N', 'mg/L', 'n'],
    ['mg N/L', 'mg/L', 'n'],
    ['mg/L NO₃', 'mg/L', 'no3'],
    ['UFC/100 mL', 'per100mL', null],
    ['MPN/100mL', 'per100mL', null],
    ['mS/m', 'mS/m', null],
    ['mg/L CaCO3', 'mg/L CaCO3', null],
  ])('%s is %s as %s', (text, unit, as) => expect(unitCalled(text)).toEqual({ unit, as }));

  it.each(['drops/bucket', 'µS/cm (30 °C)', 'ppt'])('does not know %s: made up, at another temperature, or read in two ways', (text) =>
    expect(unitCalled(text)).toBeNull(),
  );
});

describe('reading rows', () => {
  it.each([
    ['Nitratos (N-NO3)', 'mg/L', 44.27],
    ['Nitrate-N', 'mg/L', 44.27],
    ['NO3-N', 'mg/L', 44.27],
    ['Nitratos (NO3)', 'mg/L', 10],
    ['Nitrate (mg/L N)', 'mg/L', 44.27],
    ['Nitrate', 'mg/L NO3', 10],
    ['Nitrate', 'mg/L', null],
  ])('reads ten of %s in %s by what name and unit say: %s', (name, unit, value) => {
    const { results, unread } = read(`${header}A-N;${name};10,0;${unit};0,1;x`);
    if (value === null) expect(unread).toMatchObject([{ code: 'nitrogen-as' }]);
    else expect(results[0]!.value).toBeCloseTo(value, 2); // molar masses
  });

  it('does not take the column of the lab’s own limit as the result', () => {
    const table = tableOf('Amostra;Ensaio;Valor de referência;Valor;Un.\nA-M;Ferro;200;0,34;mg/L');
    expect(proposeMapping(table).columns).toMatchObject({ limit: 2, result: 3 });
    const french = tableOf('Échantillon;Paramètre;Valeur limite;Résultat;Unité\nA-M;Fer;200;34;µg/L');
    expect(proposeMapping(french).columns).toMatchObject({ limit: 2, result: 3 });
  });

  it('asks once about a file whose numbers do not show their decimal mark, and reads it as it is told', () => {
    const file = new TextEncoder().encode('Sample,Analyte,Result,Unit\nA-M,Iron,"1,234",µg/L\nA-M,Lead,"2,500",µg/L\nA-M,Nickel,3,µg/L\n');
    const draftOf = (decimals?: 'point' | 'comma') => {
      const table = textTable(file);
      const mapping = { ...proposeMapping(tableOf(new TextDecoder().decode(file))), ...(decimals ? { decimals } : {}) };
      const found = readReport(table, bottles, mapping);
      return 'draft' in found ? found.draft : null;
    };
    expect(draftOf()).toMatchObject({ questions: [{ code: 'thousand-or-decimal', examples: ['1,234', '2,500'] }] });
    expect(draftOf()!.results.map(({ value }) => value)).toEqual([3]);
    expect(draftOf('point')!.results.map(({ value }) => value)).toEqual([1234, 2500, 3]);
    expect(draftOf('comma')!.results.map(({ value }) => value)).toEqual([1.234, 2.5, 3]);
  });

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
    ['A-M;Nitratos;3;mg/L N;1;x', 2, 'Cannot be told from a bottle for metals'],
    ['A-M;Ferro;bad;µg/L;1;x', 3, 'is no result'],
    ['A-N;Nitrate as N;3;mg/L NO3;1;x', 4, 'Name and unit say different things'],
    ['A-M;Ferro (mg/L);3;µg/L;1;x', 4, 'different units'],
    ['A-N;Nitrate (mg/L N);3;mg/L NO3;1;x', 4, 'Name and unit say different things'],
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

  it('reads as it was told of flags, names, fractions and the temperature of conductivity', () => {
    const table = tableOf(
      'Sample,Analyte,Result,Flag,Unit\nA-M,Iron,20,K,µg/L\nAM,Lead,2,,µg/L\nZ-9,Nickel,2,,µg/L\nA-M,"Lead, total",3,,µg/L\nA-G,Conductivity,500,,µS/cm',
    );
    const first = proposeMapping(table, bottles);
    const codes = (mapping: typeof first) => interpret(table, mapping, bottles).unread.map(({ code }) => code);
    expect(codes(first)).toEqual(['unknown-flag', 'near-label', 'conductivity-at']);
    const said = {
      ...first,
      flags: { K: 'below' as const },
      labels: { AM: 'A-M' },
      fraction: 'dissolved' as const,
      conductivityAt: '20' as const,
    };
    const { results, unread, apart } = interpret(table, said, bottles);
    expect(results.map(({ parameter, fraction, form, value }) => [parameter, fraction, form, value])).toEqual([
      ['iron', 'dissolved', 'below', 20],
      ['lead', 'dissolved', 'value', 2],
      ['lead', 'total', 'value', 3],
      ['conductivity', undefined, 'value', 558],
    ]);
    expect([unread, apart.map(({ code }) => code)]).toEqual([[], ['other-sample']]);
    // What holds for one file is not remembered for the next; how the lab writes is.
    const recalled = recall(() => table, [{ header: table.header, mapping: said }]);
    expect(recalled).toMatchObject({ flags: { K: 'below' }, fraction: 'dissolved', conductivityAt: '20' });
    expect(recalled).not.toHaveProperty('labels');
  });

  it('asks which of two columns that are called the result holds it', () => {
    const table = tableOf('Sample,Analyte,Result,Result 2,Unit\nA-M,Iron,5,50,µg/L\nA-M,Lead,5,5,µg/L');
    expect(refuseMapping(table, proposeMapping(table))).toMatchObject({ code: 'no-result-column' });
    const noted = tableOf('Sample,Analyte,Result,Result note,Unit\nA-M,Iron,5,ok then,µg/L\nA-M,Lead,5,,µg/L');
    expect(proposeMapping(noted).columns.result).toBe(2);
  });

  it('asks about a column of limits that was picked for the result', () => {
    const table = tableOf('Sample,Analyte,RL,Unit\nA-M,Iron,5,µg/L');
    const mapping = { columns: { sample: 0, parameter: 1, result: 2, unit: 3 } };
    expect(refuseMapping(table, mapping)).toMatchObject({ code: 'limit-as-result', column: 3 });
    expect(refuseMapping(table, { ...mapping, isLimitTheResult: true })).toBeNull();
  });

  it('reads nitrogen as told where the file does not say', () => {
    const table = tableOf(`${header}A-N;Nitratos;10;mg/L;1;x`);
    const value = (nitrogenAs: 'N' | 'ion') => interpret(table, { ...proposeMapping(table), nitrogenAs }, bottles).results[0]?.value;
    expect([value('N'), value('ion')]).toEqual([expect.closeTo(44.27, 2), 10]);
  });

  it('takes none of two results for one thing that differ, and one of two that are alike', () => {
    const both = tableOf(`${header}A-M;Ferro;3;µg/L;1;x\nA-M;Iron;4;µg/L;1;x`);
    const open = interpret(both, proposeMapping(both), bottles);
    expect([open.results.length, ...open.unread.map(sayPlace)]).toEqual([
      0,
      ...Array(2).fill('Lines 2, 3 differ about the same thing. Choose one above.'),
    ]);
    const chosen = interpret(both, { ...proposeMapping(both), runs: { 'A-M iron': '3' } }, bottles);
    expect([chosen.results.map(({ value }) => value), chosen.unread, chosen.apart.length]).toEqual([[4], [], 1]);
    const { results, unread } = read(`${header}A-M;Ferro;3;µg/L;1;x\nA-M;Iron;3;µg/L;1;x`);
    expect([results.length, unread]).toEqual([1, []]);
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

describe('nothing found', () => {
  const formOf = (bottle: string, name: string, written: string, unit: string) => {
    const of = { filledOn: '2026-11-05' };
    const both = new Map([
      ['A-B', { ...of, name: 'Bacteria', parameters: ['ecoli' as const] }],
      ['A-M', { ...of, name: 'Metals', parameters: ['arsenic' as const] }],
    ]);
    const read = readReport(
      textTable(new TextEncoder().encode(`Sample;Parameter;Result;Unit\n${bottle};${name};${written};${unit}\n`)),
      both,
    );
    return 'draft' in read ? (read.draft.results[0]?.form ?? null) : null;
  };

  it.each(['not detected', 'nicht nachweisbar', 'n.n.', 'ND', 'non détecté', 'não detetado', 'ausente', 'abwesend', 'not found'])(
    'of a germ in the 100 mL that are asked for is none: %s',
    (written) => {
      expect(formOf('A-B', 'E. coli', written, 'CFU/100 mL')).toBe('absent');
    },
  );

  it('of a germ in less water, of one below what the lab can count, and of a chemical, is a bound that nobody stated', () => {
    expect(formOf('A-B', 'E. coli', 'not detected', 'CFU/mL')).toBe('below');
    expect(formOf('A-B', 'E. coli', '< LOQ', 'CFU/100 mL')).toBe('below');
    expect(formOf('A-M', 'Arsenic', 'not detected', 'µg/L')).toBe('below');
  });
});
