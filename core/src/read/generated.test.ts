import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { ParameterId } from '../parameters/index.ts';
import { readReport, tableOfRecords, textTable, type BottleAtLab, type Mapping } from './index.ts';

/*
 * Reports made from a known truth, in every shape, language and way of writing. Whatever is read of them is that truth; and nearly all of it is read.
 */
const parameters = ['sulfate', 'chloride', 'sodium', 'lead', 'nickel', 'manganese', 'fluoride'] as const satisfies readonly ParameterId[];
type Known = (typeof parameters)[number];
const languages = {
  en: {
    heads: ['Sample', 'Parameter', 'Result', 'Unit', 'RL'],
    mark: '.',
    names: ['Sulfate', 'Chloride', 'Sodium', 'Lead', 'Nickel', 'Manganese', 'Fluoride'],
  },
  pt: {
    heads: ['Amostra', 'Ensaio', 'Resultado', 'Unidade', 'LQ'],
    mark: ',',
    names: ['Sulfatos', 'Cloretos', 'Sódio', 'Chumbo', 'Níquel', 'Manganês', 'Fluoretos'],
  },
  es: {
    heads: ['Muestra', 'Parámetro', 'Resultado', 'Unidad', 'LC'],
    mark: ',',
    names: ['Sulfatos', 'Cloruros', 'Sodio', 'Plomo', 'Níquel', 'Manganeso', 'Fluoruros'],
  },
  fr: {
    heads: ['Échantillon', 'Paramètre', 'Résultat', 'Unité', 'LQ'],
    mark: ',',
    names: ['Sulfates', 'Chlorures', 'Sodium', 'Plomb', 'Nickel', 'Manganèse', 'Fluorures'],
  },
  de: {
    heads: ['Probe', 'Parameter', 'Ergebnis', 'Einheit', 'BG'],
    mark: ',',
    names: ['Sulfat', 'Chlorid', 'Natrium', 'Blei', 'Nickel', 'Mangan', 'Fluorid'],
  },
} as const;
type Language = keyof typeof languages;

const units: Record<Known, { unit: string; own: number }> = {
  sulfate: { unit: 'mg/L', own: 1 },
  chloride: { unit: 'mg/L', own: 1 },
  sodium: { unit: 'mg/L', own: 1 },
  lead: { unit: 'µg/L', own: 1 },
  nickel: { unit: 'mg/L', own: 1000 },
  manganese: { unit: 'µg/L', own: 1 },
  fluoride: { unit: 'mg/L', own: 1 },
};

interface Result {
  sample: string;
  parameter: Known;
  /** The number as it is printed, with a point. */
  number: string;
  isBelow: boolean;
}
const samples = ['261123A-MW1-G', '261123A-MW2-G'];
const bottles = new Map<string, BottleAtLab>(
  samples.map((label) => [label, { name: 'All', parameters: [...parameters], filledOn: '2026-11-23', fraction: 'total', visit: label }]),
);

const report = fc.record({
  language: fc.constantFrom(...(Object.keys(languages) as Language[])),
  chosen: fc.subarray([...parameters], { minLength: 3 }),
  cells: fc.array(
    fc.record({ whole: fc.integer({ min: 1, max: 99 }), decimals: fc.constantFrom('', '.5', '.25', '.1', '.07'), isBelow: fc.boolean() }),
    { minLength: 14, maxLength: 14 },
  ),
});
type Made = typeof report extends fc.Arbitrary<infer T> ? T : never;

const truthOf = ({ chosen, cells }: Made): Result[] =>
  samples.flatMap((sample, of) =>
    chosen.map((parameter, at) => {
      const { whole, decimals, isBelow } = cells[of * 7 + at]!;
      // Metals of a lab are seldom tens of milligrams.
      const number = units[parameter].own === 1000 ? `0.0${whole}` : `${whole}${decimals}`;
      return { sample, parameter, number, isBelow };
    }),
  );

const printed = ({ number, isBelow }: Result, mark: string) => `${isBelow ? '<' : ''}${number.replace('.', mark)}`;

type Shape = 'long' | 'wide' | 'transposed';
/** The rows of a report in a shape, headings first. */
function rowsOf(made: Made, shape: Shape): string[][] {
  const { heads, mark, names } = languages[made.language];
  const truth = truthOf(made);
  const name = (id: Known) => names[parameters.indexOf(id)]!;
  const cell = (sample: string, id: Known) =>
    printed(
      truth.find((one) => one.sample === sample && one.parameter === id)!,
      mark,
    );
  const [sampleHead, parameterHead, resultHead, unitHead, limitHead] = heads;
  if (shape === 'long')
    return [
      [sampleHead, parameterHead, resultHead, unitHead, limitHead],
      ...truth.map((one) => [one.sample, name(one.parameter), printed(one, mark), units[one.parameter].unit, '']),
    ];
  if (shape === 'wide')
    return [
      [sampleHead, ...made.chosen.map((id) => `${name(id)} (${units[id].unit})`)],
      ...samples.map((sample) => [sample, ...made.chosen.map((id) => cell(sample, id))]),
    ];
  return [
    [parameterHead, unitHead, ...samples],
    ...made.chosen.map((id) => [name(id), units[id].unit, ...samples.map((sample) => cell(sample, id))]),
  ];
}

const joined = (mark: string) => (rows: readonly string[][]) => rows.map((row) => row.join(mark)).join('\n');
const quoted = (rows: readonly string[][]) => rows.map((row) => row.map((cell) => `"${cell}"`).join(',')).join('\r\n');
/** Columns by blanks, numbers to the left. */
function typed(rows: readonly string[][]): string {
  const widths = rows[0]!.map((_, column) => Math.max(...rows.map((row) => (row[column] ?? '').length)));
  return rows
    .map((row) =>
      row
        .map((cell, column) => cell.padEnd(widths[column]! + 3))
        .join('')
        .trimEnd(),
    )
    .join('\n');
}
const records = ([header, ...rows]: readonly string[][]) =>
  rows.map((row) => JSON.stringify(Object.fromEntries(header!.map((name, column) => [name, row[column]])))).join('\n');
const ways: Record<string, (rows: readonly string[][]) => string> = {
  semicolons: joined(';'),
  tabs: joined('\t'),
  bars: joined('|'),
  quoted,
  typed,
  records,
};

/** A letter that says the same, sample by sample. */
function letterOf(made: Made): string {
  const { heads, mark, names } = languages[made.language];
  return samples
    .map((sample) =>
      [
        `${heads[0]}: ${sample}`,
        ...truthOf(made)
          .filter((one) => one.sample === sample)
          .map((one) => `- ${names[parameters.indexOf(one.parameter)]!}: ${printed(one, mark)} ${units[one.parameter].unit}`),
      ].join('\n'),
    )
    .join('\n\n');
}

/** What is read of a text, with the one question answered that a file without a decimal leaves open; how much is right, and what is another number. */
function heldAgainst(made: Made, text: string): { right: number; of: number; wrong: string[] } {
  const bytes = new TextEncoder().encode(text);
  const mapping: Mapping = { columns: {}, decimals: languages[made.language].mark === ',' ? 'comma' : 'point' };
  const read = readReport(tableOfRecords(bytes) ?? textTable(bytes), bottles, mapping);
  const results = 'draft' in read ? read.draft.results : [];
  const truth = truthOf(made);
  const isTrue = (bottle: string, id: string, form: string, value: number | null) =>
    truth.some(
      (one) =>
        one.sample === bottle &&
        one.parameter === id &&
        (one.isBelow ? 'below' : 'value') === form &&
        Math.abs(Number(one.number) * units[one.parameter].own - (value ?? NaN)) < 1e-9 * units[one.parameter].own * 100,
    );
  const wrong = results.filter((one) => !isTrue(one.bottle, one.parameter, one.form, one.value));
  return {
    right: results.length - wrong.length,
    of: truth.length,
    wrong: wrong.map(({ bottle, parameter, form, value }) => `${bottle} ${parameter} ${form} ${value}\n${text}`),
  };
}

const texts = (made: Made): [string, string][] => [
  ...(['long', 'wide', 'transposed'] as const).flatMap((shape) =>
    Object.entries(ways).map(([way, write]): [string, string] => [`${shape}, ${way}`, write(rowsOf(made, shape))]),
  ),
  ['letter', letterOf(made)],
];

it('reads reports of every shape, language and way of writing to nothing but what they say, and to nearly all of it', () => {
  const all = new Map<string, { right: number; of: number }>();
  fc.assert(
    fc.property(report, (made) => {
      for (const [kind, text] of texts(made)) {
        const { right, of, wrong } = heldAgainst(made, text);
        expect(wrong).toEqual([]);
        const sum = all.get(kind) ?? { right: 0, of: 0 };
        all.set(kind, { right: sum.right + right, of: sum.of + of });
      }
    }),
    { numRuns: 60, seed: 2026 },
  );
  const shares = [...all].map(([kind, { right, of }]) => [kind, right / of] as const);
  expect(shares).toHaveLength(3 * Object.keys(ways).length + 1);
  expect(shares.filter(([, share]) => share < 0.99)).toEqual([]);
});
