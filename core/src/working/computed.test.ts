import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as level from '../level/index.ts';
import * as purge from '../purge/index.ts';
import { fromBase } from '../units/index.ts';
import { computed, type Formula, type Taken } from './index.ts';

type AnyFormula = Formula<Record<string, Taken>>;
const isFormula = (one: unknown): one is AnyFormula => typeof one === 'function' && 'formula' in one;
const formulas = Object.entries({ ...level, ...purge }).filter((entry): entry is [string, AnyFormula] => isFormula(entry[1]));

/** What a formula says, read as arithmetic over base units. */
function asWritten({ formula, inputs }: AnyFormula): (given: Record<string, number>) => number {
  const bySymbol = new Map(Object.entries(inputs).map(([name, { symbol }]) => [symbol, `given.${name}`]));
  const code = formula
    .slice(formula.indexOf('=') + 1)
    .replace(/\p{L}+/gu, (word) => (word === 'π' ? 'Math.PI' : bySymbol.get(word)!))
    .replace(/·/g, '*')
    .replace(/−/g, '-')
    .replace(/√/g, 'Math.sqrt')
    .replace(/²/g, '**2');
  return new Function('given', `return ${code}`) as (given: Record<string, number>) => number;
}

describe('a formula and its arithmetic', () => {
  it('are found, all of them', () => {
    expect(formulas.map(([name]) => name).sort()).toContain('casingVolume');
    expect(formulas.length).toBeGreaterThan(7);
  });

  it.each(formulas)('%s computes what it says', (_, formula) => {
    const written = asWritten(formula);
    const given = fc.record(
      Object.fromEntries(Object.keys(formula.inputs).map((name) => [name, fc.double({ min: 0.01, max: 100, noNaN: true })])),
    );
    fc.assert(
      fc.property(given, (values) => {
        const [by, as] = [formula(values).value, written(values)];
        expect(Number.isNaN(as) ? Number.isNaN(by) : Math.abs(by - as) <= 1e-9 * Math.abs(as)).toBe(true);
      }),
    );
  });

  it('explains itself with the numbers it was given, and with what they came from', () => {
    const one = purge.casingVolume({ insideDiameter: 0.052, column: purge.waterColumn({ bottom: 18.62, depth: 7.4 }) });
    expect(one.working.steps).toEqual(['18.620 m − 7.400 m = 11.220 m', 'π/4 · (52.0 mm)² · 11.220 m = 23.83 L']);
    expect(one.working.inputs.map(({ name, value, unit }) => `${name} ${value.toFixed(2)} ${unit}`)).toEqual([
      'true inside diameter 52.00 mm',
      'water column 11.22 m',
    ]);
    expect(fromBase(one.value, 'L')).toBeCloseTo(23.828, 3);
  });

  it('takes what is usual where nothing is said', () => {
    const plus = computed(
      {
        formula: 's = a + b',
        unit: 'm',
        shown: ['m', 1],
        source: 'arithmetic',
        inputs: {
          first: { symbol: 'a', name: 'a', unit: 'm', decimals: 1 },
          second: { symbol: 'b', name: 'b', unit: 'm', decimals: 1, usual: 2 },
        },
      },
      ({ first, second }) => first + second,
    );
    expect(plus({ first: 1 }).working.steps).toEqual(['1.0 m + 2.0 m = 3.0 m']);
    expect(plus({ first: 1, second: 0 }).value).toBe(1);
  });
});
