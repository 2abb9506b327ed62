import { describe, expect, it } from 'vitest';
import { sayFinding } from '../findings/index.ts';
import { unit } from '../units/index.ts';
import {
  conductivityAt25,
  conductivityFactor,
  oxygenAtSea,
  oxygenSaturation,
  pressureAt,
  inOwnUnit,
  inText,
  isCounted,
  isGerm,
  molarMass,
  parameter,
  parameterKinds,
  parameterIds,
  questionReading,
  readingFindings,
} from './index.ts';

const codes = (...args: Parameters<typeof questionReading>) =>
  questionReading(...args).map((finding) => `${finding.severity} ${finding.code}`);

describe('a reading as it is entered', () => {
  it.each([
    ['ph', '7.4', 'pH', []],
    ['ph', '74', 'pH', ['stop impossible']],
    ['ph', '3.9', 'pH', ['question unusual']],
    ['temperature', '16.8', 'degC', []],
    ['temperature', '61', 'degF', []],
    ['temperature', '61', 'degC', ['question unusual']],
    ['oxygen', '14', 'mg/L', ['question unusual']],
    ['oxygen', '40', 'mg/L', ['stop impossible']],
    ['conductivity', '57.2', 'mS/m', []],
    ['conductivity', '5.72', 'uS/cm', ['question unusual']],
    ['turbidity', '-1', 'NTU', ['stop impossible']],
    // Tens to hundreds are real after a shock chlorination (common practice).
    ['freeChlorine', '45', 'mg/L', ['question unusual']],
    ['freeChlorine', '4500', 'mg/L', ['stop impossible']],
    ['ph', '7.4', 'mg/L', ['stop wrong-unit']],
    ['ph', '', 'pH', ['stop no-number']],
    ['ph', 'seven', 'pH', ['stop no-number']],
  ] as const)('%s %s %s', (id, text, typedUnit, expected) => {
    expect(codes(id, { text, unit: typedUnit })).toEqual(expected);
  });

  it('says the usual range in the unit that was typed', () => {
    expect(sayFinding(readingFindings, questionReading('temperature', { text: '90', unit: 'degF' })[0]!).says).toBe(
      'Temperature is usually 39 to 86 °F.',
    );
  });
});

it('takes a typed reading to the unit of its parameter', () => {
  expect(inOwnUnit('conductivity', { text: '57,2', unit: 'mS/m' })).toBeCloseTo(572, 9);
  expect(inOwnUnit('temperature', { text: '212', unit: 'degF' })).toBeCloseTo(100, 9);
});

it('names parameters inside a sentence', () => {
  expect(['ph', 'ecoli', 'oxygen', 'conductivity', 'nitrate'].map((id) => inText(id as 'ph'))).toEqual([
    'pH',
    'E. coli',
    'dissolved oxygen',
    'conductivity',
    'nitrate',
  ]);
});

it('has for every parameter a unit, and a usual range inside the possible one', () => {
  for (const id of parameterIds) {
    const row = parameter(id);
    expect(unit(row.unit).label, id).toBeDefined();
    expect(row.possible[0], id).toBeLessThan(row.possible[1]);
    if (!row.usual) continue;
    expect(row.usual[0], id).toBeGreaterThanOrEqual(row.possible[0]);
    expect(row.usual[1], id).toBeLessThanOrEqual(row.possible[1]);
  }
});

it('expresses nitrogen by molar masses', () => {
  // 10 mg/L as N is 44.27 mg/L as NO3: ratio of molar masses, IUPAC 2021.
  expect(10 * parameter('nitrate').expressedAs!['N']!).toBeCloseTo(44.27, 2);
  expect(parameter('nitrite').expressedAs!['N']).toBeCloseTo(3.2844, 3);
  expect(parameter('ammonium').expressedAs!['N']).toBeCloseTo(1.2878, 3);
});

describe('oxygen in balance with the air', () => {
  it.each([
    [0, 14.621],
    [10, 11.288],
    [20, 9.092],
    [25, 8.263],
    [30, 7.559],
  ])('at %i °C and 1 atm is %f mg/L', (temperature, expected) => {
    // Benson and Krause 1984, USGS tables.
    expect(oxygenAtSea(temperature)).toBeCloseTo(expected, 3);
  });

  it('is less where the air presses less', () => {
    expect(oxygenSaturation(20).value).toBeCloseTo(9.092, 3);
    // 700 mm of mercury stand at 688 m: 8.36 mg/L at 20 °C in the USGS tables (from memory).
    expect(pressureAt(688) * 760).toBeCloseTo(700, 0);
    expect(oxygenSaturation(20, 688).value).toBeCloseTo(8.36, 1);
  });
});

it('takes conductivity to 25 °C by the factors of ISO 7888, at 20 °C by the one of the limits', () => {
  // ISO 7888:1985, table of factors for natural water (from memory).
  const table = [
    [0, 1.918],
    [10, 1.428],
    [15, 1.256],
    [20, 1.116],
    [25, 1],
    [30, 0.903],
  ] as const;
  for (const [temperature, factor] of table)
    expect(Math.abs(conductivityFactor(temperature) / factor - 1), `${temperature} °C`).toBeLessThan(0.003);
  expect(conductivityFactor(20)).toBe(1.116);
  expect(conductivityAt25({ measured: 500, temperature: 20 }).value).toBeCloseTo(558, 9);
  expect(parameter('conductivity').expressedAs!['20']).toBe(conductivityFactor(20));
});

describe('what a substance weighs', () => {
  // Molar masses as handbooks print them (CRC Handbook of Chemistry and Physics, rounded; from memory).
  it.each([
    ['NO3', 62.0],
    ['PO4', 94.97],
    ['SiO2', 60.08],
    ['CaCO3', 100.09],
    ['HCO3', 61.02],
    ['SO4', 96.06],
    ['NaCl', 58.44],
    ['KBr', 119.0],
    ['MgF2', 62.3],
    ['B2O3', 69.62],
    ['H2O', 18.015],
  ])('%s is %f g/mol', (formula, expected) => expect(molarMass(formula) / expected).toBeCloseTo(1, 3));

  it('is refused for what is no element', () => expect(() => molarMass('Xx2')).toThrow('No atomic weight of Xx'));

  it('takes elements to what they are reported as', () => {
    // Conversion factors as laboratory tables print them (common practice).
    expect(parameter('orthophosphate').expressedAs).toMatchObject({ P: expect.closeTo(3.066, 3) as number, ion: 1 });
    expect(parameter('totalPhosphorus').expressedAs).toMatchObject({ P: 1, ion: expect.closeTo(0.3261, 4) as number });
    expect(parameter('silica').expressedAs).toMatchObject({ Si: expect.closeTo(2.139, 3) as number, ion: 1 });
    expect(parameter('nitrateNitrite').expressedAs).toMatchObject({ N: 1, ion: expect.closeTo(0.2259, 4) as number });
  });
});

describe('the table of parameters', () => {
  it('holds what laboratories report of drinking water and groundwater', () => {
    expect(parameterIds.length).toBeGreaterThanOrEqual(180);
    for (const kind of parameterKinds)
      expect(
        parameterIds.some((id) => parameter(id).kind === kind),
        kind,
      ).toBe(true);
  });

  it('names each substance by a registry number whose last digit checks the others, no two by one', () => {
    const numbers = parameterIds.flatMap((id) => parameter(id).cas ?? []);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(numbers.length).toBeGreaterThan(150);
    for (const number of numbers) {
      const [, digits, check] = /^(\d{2,7}-\d{2})-(\d)$/.exec(number)!;
      // The digits before it, counted from the right, each times its place; the remainder of ten (CAS, rule of the check digit).
      const sum = [...digits!.replace('-', '')].reverse().reduce((total, digit, place) => total + Number(digit) * (place + 1), 0);
      expect(`${number}: ${sum % 10}`).toBe(`${number}: ${check}`);
    }
  });

  it('says what rules need in columns', () => {
    const having = (is: (id: (typeof parameterIds)[number]) => unknown) => parameterIds.filter((id) => is(id));
    // Directive (EU) 2020/2184, Annex II, Part D: copper, lead, nickel.
    expect(having((id) => parameter(id).fromPipes)).toEqual(['copper', 'lead', 'nickel']);
    expect(having((id) => parameter(id).isDisinfectant)).toEqual(['freeChlorine', 'monochloramine', 'totalChlorine', 'chlorineDioxide']);
    expect([isGerm('legionella'), isGerm('plateCount22'), isCounted('plateCount22'), isCounted('lead')]).toEqual([
      true,
      false,
      true,
      false,
    ]);
  });

  it('begins the substances of PFAS with the twenty of the Directive', () => {
    const twenty = parameterIds.filter((id) => parameter(id).kind === 'PFAS').slice(0, 20);
    // Acids and sulfonic acids of four to thirteen carbon atoms, ten of each (Annex III, Part B, point 3).
    expect(twenty.filter((id) => /S$/.test(parameter(id).name)).length).toBe(10);
    expect(twenty.filter((id) => /A$/.test(parameter(id).name)).length).toBe(10);
  });
});
