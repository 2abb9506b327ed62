import { describe, expect, it } from 'vitest';
import { bottleTables, cardOf, readOf, rulesFor } from '../bottles/index.ts';
import { limitSets } from '../limits/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import { countFor, countRule } from './index.ts';

/** 40 CFR 141.857(b), as it is printed: population served, and the minimum number of samples per month. Typed by hand. */
const printed = `
25 to 1,000              1      21,501 to 25,000        25      450,001 to 600,000      210
1,001 to 2,500           2      25,001 to 33,000        30      600,001 to 780,000      240
2,501 to 3,300           3      33,001 to 41,000        40      780,001 to 970,000      270
3,301 to 4,100           4      41,001 to 50,000        50      970,001 to 1,230,000    300
4,101 to 4,900           5      50,001 to 59,000        60      1,230,001 to 1,520,000  330
4,901 to 5,800           6      59,001 to 70,000        70      1,520,001 to 1,850,000  360
5,801 to 6,700           7      70,001 to 83,000        80      1,850,001 to 2,270,000  390
6,701 to 7,600           8      83,001 to 96,000        90      2,270,001 to 3,020,000  420
7,601 to 8,500           9      96,001 to 130,000       100     3,020,001 to 3,960,000  450
8,501 to 12,900          10     130,001 to 220,000      120     3,960,001 to 9,000,000  480
12,901 to 17,200         15     220,001 to 320,000      150
17,201 to 21,500         20     320,001 to 450,000      180
`;

const rows = [...printed.matchAll(/([\d,]+) to ([\d,]+) +(\d+)/g)].map(([, from, to, count]) =>
  [from!, to!, count!].map((text) => Number(text.replaceAll(',', ''))),
) as [from: number, to: number, count: number][];

describe('samples for coliforms in a month', () => {
  it('has the thirty-four rows of the rule', () => expect(rows).toHaveLength(34));
  it.each(rows)('%d to %d people: %d', (from, to, count) => {
    expect([countFor('us-coliform', from), countFor('us-coliform', to)]).toEqual([count, count]);
  });
});

// Directive (EU) 2020/2184, Annex II, Part B, table 1 (from memory): group A; above 1,000 m³ a day four, and three for each further 1,000 m³
// and part of it.
it.each([
  [80, 2],
  [100, 2],
  [101, 4],
  [1000, 4],
  [1001, 7],
  [2000, 7],
  [2001, 10],
  [10_000, 31],
])('a zone of %d m³ a day takes %d samples of group A a year', (size, count) => {
  expect(countFor('eu-group-a', size)).toBe(count);
});

// The same table: group B. One up to 1,000 m³ a day; one more for each further 4,500 m³ and part of it; from 10,000 on three and one for each
// further 10,000; from 100,000 on twelve and one for each further 25,000.
it.each([
  [11, 1],
  [1000, 1],
  [1001, 2],
  [5500, 2],
  [5501, 3],
  [10_000, 3],
  [10_001, 4],
  [20_000, 4],
  [100_000, 12],
  [100_001, 13],
  [150_000, 14],
])('a zone of %d m³ a day takes %d samples of group B a year', (size, count) => {
  expect(countFor('eu-group-b', size)).toBe(count);
});

it('leaves a zone of up to 10 m³ a day to its authority', () => {
  expect([countFor('eu-group-a', 10), countFor('eu-group-b', 10), countFor('eu-group-a', 10.1)]).toEqual([null, null, 2]);
});

// Directive (EU) 2020/2184, Annex II, Part A, point 2 (from memory).
const groupA: ParameterId[] = [
  ...(['ecoli', 'enterococci', 'coliforms', 'plateCount22', 'colour', 'turbidity', 'ph', 'conductivity'] as const),
];

// What goes by the makers' papers, by programmes of its own (radioactivity; Legionella in buildings), in a bottle that only the lab has, or by
// organic carbon instead.
const notBrought = [
  ...(['acrylamide', 'epichlorohydrin', 'bisphenolA', 'microcystin', 'oxidisability', 'legionella', 'radon', 'tritium'] as const),
  ...(['grossAlpha', 'grossBeta', 'indicativeDose'] as const),
];

it('brings with group A every parameter of group A, and with both groups every other one that the EU set has a value for', () => {
  const table = bottleTables.newest[0]!;
  const brought = (...ids: ('eu-group-a' | 'eu-group-b')[]) =>
    new Set(
      rulesFor(
        table,
        ids.flatMap((id) => countRule(id).analyses ?? []),
      ).flatMap((rule) => readOf(cardOf(table, rule))),
    );
  expect(groupA.filter((id) => !brought('eu-group-a').has(id))).toEqual([]);
  const both = brought('eu-group-a', 'eu-group-b');
  const eu = limitSets.newest.find(({ id }) => id === 'eu-2020-2184')!;
  const missing = new Set(eu.rows.map((row) => row.parameter).filter((id) => !both.has(id)));
  expect([...missing]).toEqual(notBrought);
});

it('asks for none where nobody says how large the supply is', () => {
  expect([countFor('us-coliform', 0), countFor('us-coliform', -1), countFor('us-coliform', NaN)]).toEqual([null, null, null]);
});
