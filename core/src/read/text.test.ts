import { describe, expect, it } from 'vitest';
import { parameterIds } from '../parameters/index.ts';
import { lineIn, readReport, textTable, type BottleAtLab, type ReportDraft } from './index.ts';

const bottles = new Map<string, BottleAtLab>(
  ['A-G', 'B-G'].map((label) => [label, { name: 'All', parameters: [...parameterIds], filledOn: '2026-11-23', visit: label }]),
);
function read(text: string): ReportDraft {
  const found = readReport(textTable(new TextEncoder().encode(text)), bottles);
  if ('refusal' in found) throw new Error(found.refusal.code);
  return found.draft;
}
const marks = { below: '<', above: '>', value: '' } as Record<string, string>;
const shown = ({ results }: ReportDraft) =>
  results.map(({ bottle, parameter, form, value, line }) => `${line}: ${bottle} ${parameter} ${marks[form] ?? form}${value ?? ''}`);

describe('text whose columns are made by blanks', () => {
  it.each([
    [
      'English, numbers to the right',
      `
        WATER LABORATORY                                   Page 1

 Sample ID   Parameter                 Result   Unit   Reporting
                                                           limit
 A-G         Sulfate                      120   mg/L           1
 A-G         Copper, dissolved           0.31   mg/L        0.01

 B-G         Chloride                   <0.05   mg/L        0.05
 Remarks: none.
`,
      ['6: A-G sulfate 120', '7: A-G copper 0.31', '9: B-G chloride <0.05'],
    ],
    [
      'German, with a heading in two lines',
      'Probe   Parameter   Mess-    Einheit\n                    wert\nA-G     Sulfat      120,5    mg/l\nB-G     Blei        < 2      µg/l\n',
      ['3: A-G sulfate 120.5', '4: B-G lead <2'],
    ],
    [
      'French, samples side by side',
      'Paramètre        Unité      A-G      B-G\nSulfates         mg/L       120      <5\nChlorures        mg/L       31,5     40,2\n',
      ['2: A-G sulfate 120', '2: B-G sulfate <5', '3: A-G chloride 31.5', '3: B-G chloride 40.2'],
    ],
  ])('is read by its places: %s', (_, text, results) => {
    const draft = read(text);
    expect(shown(draft)).toEqual(results);
    expect(draft.unread).toEqual([]);
  });

  it('is not taken for one with marks by the marks of its legend', () => {
    const table = 'Sample ID   Analyte   Result   Unit\nA-G         Lead      2.4      µg/L\n';
    expect(shown(read(`${table}\nJ = estimated; B = in the blank; E = above the curve; D = diluted.\n`))).toEqual(['2: A-G lead 2.4']);
  });
});

describe('a letter that says results in its lines', () => {
  it.each([
    ['en', 'Sample: A-G\n- Lead: 2.4 µg/L\n- E. coli 0 MPN/100 mL\n- pH 7.2', ['lead 2.4', 'ecoli 0', 'ph 7.2']],
    ['de', 'Probe: A-G\nBlei = 2,4 µg/l\nSulfat ....... 120 mg/l\nMangan < 5 µg/l', ['lead 2.4', 'sulfate 120', 'manganese <5']],
    ['fr', 'Échantillon : A-G\n• Plomb : inf. à 5 µg/L\n• Sulfates : 120 mg/L', ['lead <5', 'sulfate 120']],
    ['pt', 'Amostra: A-G\n1. Chumbo: 2,4 µg/L\n2. Sulfatos - 120 mg/L', ['lead 2.4', 'sulfate 120']],
    ['es', 'Muestra: A-G\n> Plomo: 2,4 µg/L (repetido)\n> Sulfatos: mayor que 200 mg/L', ['lead 2.4', 'sulfate >200']],
  ])('is read: %s', (_, text, results) => {
    expect(shown(read(text)).map((one) => one.replace(/^\d+: A-G /, ''))).toEqual(results);
  });

  it('says on which line each stands, and tells samples apart', () => {
    const draft = read('Dear Rui,\n\nSample: A-G\nLead: 2.4 µg/L\n\nSample: B-G\nLead: 3.4 µg/L\n');
    expect(shown(draft)).toEqual(['4: A-G lead 2.4', '7: B-G lead 3.4']);
    expect(lineIn(draft.parts, 7)).toEqual({ part: null, line: 7 });
  });

  it('reads no number from a sentence, and asks about an unknown name', () => {
    const draft = read(
      'Sample: A-G\nLead: 2.4 µg/L\nSulfate was above 50 mg/L in all.\nIron 3 of 5 mg/L\nIgnotium: 40 µg/L\nPhone: 555 0147\nYour number 12 of 18 November\n',
    );
    expect(shown(draft)).toEqual(['2: A-G lead 2.4']);
    expect(draft.unread.map(({ line, code }) => [line, code])).toContainEqual([5, 'unknown-parameter']);
    // What names something that is measured and has a number is not passed over.
    expect([...draft.unread, ...draft.apart].map(({ line }) => line)).toEqual(expect.arrayContaining([3, 4]));
  });

  it('is none where it says nothing that is measured', () => {
    expect(() => read('Dear Rui,\nsee you on Monday, 30 November.\nPhone: 555 0147\n')).toThrow('no-columns');
  });
});

it('says with an example of a contradiction what was measured there', () => {
  const draft = read('Sample;Analyte;Result;Unit;RL\nA-G;Chloride;3;mg/L;5\n');
  expect(draft.questions).toMatchObject([{ about: 'rows', code: 'under-own-limit', examples: ['Line 2: Chloride, 3'] }]);
});
