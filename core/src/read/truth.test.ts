import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { convert, type UnitId } from '../units/index.ts';
import { readReport, textTable, type BottleAtLab, type LabResult, type Mapping } from './index.ts';

/** What a lab may call a parameter, and the units it may print it in, each with what it says of the expression. */
const wordings = {
  iron: { names: ['Iron', 'Fe', 'Ferro', 'Hierro', 'Fer', 'Eisen'], units: { 'µg/L': 'ug/L', 'mg/L': 'mg/L', ppb: 'ppb' } },
  lead: { names: ['Lead', 'Pb', 'Chumbo', 'Plomo', 'Plomb', 'Blei'], units: { 'µg/L': 'ug/L', 'mg/L': 'mg/L', 'ng/L': 'ng/L' } },
  nitrate: { names: ['Nitrate', 'Nitratos', 'Nitrat'], units: { 'mg/L NO3': 'mg/L', 'mg/L N': 'mg/L', 'µg/L N': 'ug/L' } },
  conductivity: { names: ['Conductivity', 'Condutividade'], units: { 'µS/cm (25 °C)': 'uS/cm', 'mS/m (20 °C)': 'mS/m' } },
  sulfate: { names: ['Sulfate', 'Sulfatos'], units: { 'mg/L': 'mg/L', ppm: 'ppm' } },
} as const satisfies Partial<Record<ParameterId, { names: readonly string[]; units: Record<string, UnitId> }>>;
type Known = keyof typeof wordings;

const samples = ['PT-11-X', 'PT-12-X', 'PT-13-X'];
const bottles = new Map<string, BottleAtLab>(
  samples.map((label) => [label, { name: 'All', parameters: Object.keys(wordings) as Known[], filledOn: '2026-11-05', visit: label }]),
);

interface Truth {
  sample: string;
  id: Known;
  form: 'value' | 'below';
  value: number;
}

/** The factor that takes a printed expression to the kept one. Molar masses of IUPAC 2021; ISO 7888. */
const basisFactor = (unit: string) => (/ N$/.test(unit) ? 62.004 / 14.007 : unit.includes('20 °C') ? 1.116 : 1);

const styles = {
  point: (value: string) => value,
  comma: (value: string) => value.replace('.', ','),
} as const;

const truth = fc
  .uniqueArray(
    fc.record({
      sample: fc.constantFrom(...samples),
      id: fc.constantFrom(...(Object.keys(wordings) as Known[])),
      form: fc.constantFrom('value' as const, 'below' as const),
      name: fc.nat(5),
      unit: fc.nat(2),
      digits: fc.integer({ min: 1, max: 99_999 }),
      places: fc.integer({ min: 0, max: 3 }),
    }),
    { selector: ({ sample, id }) => `${sample} ${id}`, minLength: 1, maxLength: 12 },
  )
  .map((rows) =>
    rows.map((row) => {
      const { names, units } = wordings[row.id];
      const unit = Object.keys(units)[row.unit % Object.keys(units).length]!;
      const text = (row.digits / 10 ** row.places).toFixed(row.places);
      const inOwn = convert(Number(text), (units as Record<string, UnitId>)[unit]!, parameter(row.id).unit) * basisFactor(unit);
      return { ...row, name: names[row.name % names.length]!, unit, text, value: inOwn };
    }),
  );
type Row = Truth & { name: string; unit: string; text: string };

type Style = keyof typeof styles;
const cell = ({ form, text }: Row, style: Style) => `${form === 'below' ? '<' : ''}${styles[style](text)}`;

/** A result to a row, with noise about it. */
function long(rows: readonly Row[], style: Style, isSigned: boolean): string[][] {
  const lines = rows.map((row) => [
    row.sample,
    row.name,
    isSigned && row.form === 'below' ? '<' : '',
    isSigned ? styles[style](row.text) : cell(row, style),
    row.unit,
  ]);
  return [
    ['Laboratory of the water'],
    ['Sample', 'Parameter', 'Flag', 'Result', 'Unit'],
    ...lines,
    ['ZZ-99', 'Iron', '', '777', 'µg/L'],
    ['End of report'],
  ];
}

/** A row for each sample; every parameter in one wording, so that it is one column. */
function wide(rows: readonly Row[], style: Style): string[][] {
  const columns = [...new Map(rows.map((row) => [`${row.name} [${row.unit}]`, row])).keys()];
  const lines = samples.map((sample) => [
    sample,
    ...columns.map((column) => {
      const row = rows.find((one) => one.sample === sample && `${one.name} [${one.unit}]` === column);
      return row ? cell(row, style) : '';
    }),
  ]);
  return [['Sample', ...columns], ...lines];
}

/** A column for each sample. */
function transposed(rows: readonly Row[], style: Style): string[][] {
  const kinds = [...new Map(rows.map((row) => [`${row.name}|${row.unit}`, row])).values()];
  const lines = kinds.map(({ name, unit }) => [
    name,
    unit,
    ...samples.map((sample) => {
      const row = rows.find((one) => one.sample === sample && one.name === name && one.unit === unit);
      return row ? cell(row, style) : '';
    }),
  ]);
  return [['Parameter', 'Unit', ...samples], ...lines];
}

const shapes = {
  long: (rows: Row[], style: Style) => long(rows, style, false),
  signed: (rows: Row[], style: Style) => long(rows, style, true),
  wide,
  transposed,
};

function readBack(cells: string[][], mark: string, mapping?: Mapping): { results: LabResult[]; mapping: Mapping } | null {
  const text = cells.map((row) => row.map((one) => (one.includes(mark) ? `"${one}"` : one)).join(mark)).join('\r\n');
  const read = readReport(textTable(new TextEncoder().encode(text)), bottles, mapping);
  return 'draft' in read ? { results: read.draft.results, mapping: read.draft.mapping } : null;
}

describe('a report made from known truth', () => {
  const drawn = [
    truth,
    fc.constantFrom(...(Object.keys(shapes) as (keyof typeof shapes)[])),
    fc.constantFrom(';', '\t', '|', ','),
    fc.constantFrom('point' as const, 'comma' as const),
  ] as const;

  it('never comes back as another number', () => {
    fc.assert(
      fc.property(...drawn, (rows, shape, mark, style) => {
        const read = readBack(shapes[shape](rows, style), mark);
        for (const { bottle, parameter: id, form, value } of read?.results ?? []) {
          const told = rows.find((one) => one.sample === bottle && one.id === id);
          expect(told, `${bottle} ${id}`).toBeDefined();
          expect([form, value]).toEqual([told!.form, expect.closeTo(told!.value, 6)]);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('comes back whole once it is said which mark stands before decimals', () => {
    fc.assert(
      fc.property(...drawn, (rows, shape, mark, style) => {
        const first = readBack(shapes[shape](rows, style), mark);
        // A table of one thing of one sample may be too small to be told for one.
        fc.pre(first !== null && (shape === 'transposed' || first.mapping.columns.sample !== undefined));
        // What cannot be is handed back.
        fc.pre(rows.every(({ id, value }) => value <= parameter(id).possible[1]));
        fc.pre(shape !== 'wide' || new Set(rows.map((row) => row.name)).size >= 2);
        const read = readBack(shapes[shape](rows, style), mark, { ...first.mapping, decimals: style });
        const key = (one: { parameter: string; bottle: string }) => `${one.bottle} ${one.parameter}`;
        expect(read!.results.map(key).sort()).toEqual(rows.map((row) => `${row.sample} ${row.id}`).sort());
      }),
      { numRuns: 300 },
    );
  });
});
