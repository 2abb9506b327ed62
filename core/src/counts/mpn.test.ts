import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mostProbableNumber, questionMpn, trays, type MpnSet } from './index.ts';

const withPositive = (sets: readonly Omit<MpnSet, 'positive'>[], ...positive: number[]): MpnSet[] =>
  sets.map((set, place) => ({ ...set, positive: positive[place]! }));
const significant = (value: number) => Number(value.toPrecision(2));

describe('the most probable number', () => {
  it.each([
    [1, 1.0],
    [5, 5.3],
    [50, 200.5],
  ])('of 51 equal wells of 100 mL with %i positive is %f', (positive, expected) => {
    // The MPN equation for equal wells, which has one answer: n/V · ln(n / (n − p)).
    expect(mostProbableNumber(withPositive(trays['wells-51'].sets, positive)).value).toBeCloseTo(expected, 1);
  });

  // FDA Bacteriological Analytical Manual, appendix 2, three tubes each of 0.1, 0.01 and 0.001 g, per g; from memory. Ours are 10, 1 and
  // 0.1 mL, per 100 mL: the same numbers.
  it.each([
    [0, 0, 1, 3.0],
    [0, 1, 1, 6.1],
    [0, 3, 0, 9.4],
    [1, 0, 0, 3.6],
    [1, 0, 1, 7.2],
    [1, 1, 0, 7.4],
    [1, 2, 0, 11],
    [1, 3, 0, 16],
    [2, 0, 0, 9.2],
    [2, 1, 1, 20],
    [2, 2, 0, 21],
    [2, 3, 0, 29],
    [3, 0, 0, 23],
    [3, 0, 1, 38],
    [3, 1, 0, 43],
    [3, 1, 1, 75],
    [3, 2, 0, 93],
    [3, 2, 1, 150],
    [3, 3, 0, 240],
    [3, 3, 1, 460],
    [3, 3, 2, 1100],
  ])('of three tubes each with %i-%i-%i positive is %f', (a, b, c, expected) => {
    const { form, value } = mostProbableNumber(withPositive(trays['tubes-3'].sets, a, b, c));
    expect([form, significant(value)]).toEqual(['value', expected]);
  });

  it('is less than what one well would tell where none is positive, more than all but one where all are', () => {
    expect(mostProbableNumber(withPositive(trays['tubes-3'].sets, 0, 0, 0))).toMatchObject({ form: 'below', from: null });
    expect(significant(mostProbableNumber(withPositive(trays['tubes-3'].sets, 0, 0, 0)).value)).toBe(3);
    expect(mostProbableNumber(withPositive(trays['tubes-3'].sets, 3, 3, 3))).toMatchObject({ form: 'above', to: null });
    expect(significant(mostProbableNumber(withPositive(trays['tubes-3'].sets, 3, 3, 3)).value)).toBe(1100);
    expect(mostProbableNumber(withPositive(trays['wells-51'].sets, 0)).value).toBeCloseTo(1, 1);
    expect(mostProbableNumber(withPositive(trays['wells-51'].sets, 51)).value).toBeCloseTo(200.5, 1);
  });

  const anyWells = fc.array(
    fc
      .record({ volume: fc.constantFrom(0.01, 0.1, 1, 10, 20, 50), wells: fc.integer({ min: 1, max: 20 }) })
      .chain((set) => fc.integer({ min: 0, max: set.wells }).map((positive) => ({ ...set, positive }))),
    { minLength: 1, maxLength: 4 },
  );

  it('is where a search over the whole likelihood finds its top, and its limits where it has fallen by half of χ²', () => {
    const logLikelihood = (sets: readonly MpnSet[], density: number) =>
      sets.reduce((sum, { volume, wells, positive }) => {
        const chance = 1 - Math.exp(-density * volume);
        const [turned, not] = [
          positive > 0 ? positive * Math.log(chance) : 0,
          wells > positive ? (wells - positive) * -density * volume : 0,
        ];
        return sum + turned + not;
      }, 0);
    fc.assert(
      fc.property(anyWells, (sets) => {
        const found = mostProbableNumber(sets);
        fc.pre(found.form === 'value');
        // The second computation: a grid over the logarithm of the density, 0.1 % from step to step.
        let [best, top] = [0, -Infinity];
        for (let log = Math.log(1e-6); log < Math.log(1e4); log += 0.001) {
          const value = logLikelihood(sets, Math.exp(log));
          if (value > top) [best, top] = [Math.exp(log), value];
        }
        expect(found.value / 100 / best).toBeGreaterThan(0.998);
        expect(found.value / 100 / best).toBeLessThan(1.002);
        for (const limit of [found.from!, found.to!]) expect(top - logLikelihood(sets, limit / 100)).toBeCloseTo(1.92, 2);
        expect(found.from!).toBeLessThan(found.value);
        expect(found.to!).toBeGreaterThan(found.value);
      }),
      { numRuns: 60 },
    );
  });

  it('covers what is there in about nineteen of twenty trays', () => {
    // Trays with a known density: chances of each number of positives are binomial, so nothing is drawn.
    const sets = trays['wells-51'].sets;
    const [density, { wells, volume }] = [0.2, sets[0]];
    const chance = 1 - Math.exp(-density * volume);
    let covered = 0;
    let coefficient = 1;
    for (let positive = 0; positive <= wells; positive++) {
      const { from, to } = mostProbableNumber(withPositive(sets, positive));
      if ((from ?? 0) <= density * 100 && density * 100 <= (to ?? Infinity))
        covered += coefficient * chance ** positive * (1 - chance) ** (wells - positive);
      coefficient *= (wells - positive) / (positive + 1);
    }
    expect(covered).toBeGreaterThan(0.93);
    expect(covered).toBeLessThan(0.98);
  });

  it('has exact limits where none or all are positive', () => {
    // Clopper and Pearson (1934) for 0 of n and n of n: the other limit leaves 2.5 % beyond it. None in 100 mL: −ln 0.025 = 3.69 per 100 mL.
    const none = mostProbableNumber(withPositive(trays['wells-51'].sets, 0));
    expect(none.to).toBeCloseTo(3.689, 3);
    expect(mostProbableNumber(withPositive(trays['tubes-5'].sets, 0, 0, 0)).to).toBeCloseTo((100 * 3.68888) / 55.5, 3);
    const all = mostProbableNumber(withPositive(trays['wells-51'].sets, 51));
    expect(all.from).toBeCloseTo(-51 * Math.log(1 - 0.025 ** (1 / 51)), 2);
    expect(mostProbableNumber(withPositive(trays['tubes-10'].sets, 10)).from).toBeCloseTo(-10 * Math.log(1 - 0.025 ** (1 / 10)), 3);
  });

  // Every way in which the wells of a tray may turn out, with its chance: no simulation, and not the likelihood that the limits come from.
  it.each(Object.entries(trays).filter(([id]) => id !== 'bottle-1'))(
    'covers the true number with %s, none and all positive too',
    (_, { sets }) => {
      const choose = (n: number, k: number) =>
        Array.from({ length: k }, (__, at) => (n - at) / (at + 1)).reduce((product, one) => product * one, 1);
      const ways = (index: number): number[][] =>
        index === sets.length
          ? [[]]
          : Array.from({ length: sets[index]!.wells + 1 }, (__, k) => k).flatMap((k) => ways(index + 1).map((rest) => [k, ...rest]));
      const told = ways(0).map((positive) => ({ positive, limits: mostProbableNumber(withPositive(sets, ...positive)) }));
      const coverages = [0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200].map((density) =>
        told.reduce((sum, { positive, limits: { from, to } }) => {
          if ((from !== null && from > density) || (to !== null && to < density)) return sum;
          const chance = sets.reduce((product, { volume, wells }, at) => {
            const p = 1 - Math.exp((-density * volume) / 100);
            return product * choose(wells, positive[at]!) * p ** positive[at]! * (1 - p) ** (wells - positive[at]!);
          }, 1);
          return sum + chance;
        }, 0),
      );
      expect(Math.min(...coverages)).toBeGreaterThan(0.89);
      expect(coverages.reduce((sum, one) => sum + one, 0) / coverages.length).toBeGreaterThan(0.94);
    },
  );

  it('grows with every positive well, and does not hang on how wells are listed', () => {
    fc.assert(
      fc.property(anyWells, (sets) => {
        const at = sets.findIndex(({ positive, wells }) => positive < wells);
        fc.pre(at >= 0);
        const more = sets.map((set, place) => (place === at ? { ...set, positive: set.positive + 1 } : set));
        expect(mostProbableNumber(more).value).toBeGreaterThanOrEqual(mostProbableNumber(sets).value * (1 - 1e-9));
        expect(mostProbableNumber([...sets].reverse()).value).toBeCloseTo(mostProbableNumber(sets).value, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('asks about wells that cannot well be, and takes no impossible ones', () => {
    const tubes = (a: number, b: number, c: number) => questionMpn(mostProbableNumber(withPositive(trays['tubes-3'].sets, a, b, c)));
    expect(tubes(3, 1, 0)).toEqual([]);
    expect(tubes(0, 0, 3)).toEqual([expect.objectContaining({ code: 'wells-unlikely', severity: 'stop' })]);
    expect(() => mostProbableNumber(withPositive(trays['wells-51'].sets, 52))).toThrow(RangeError);
    expect(() => mostProbableNumber([])).toThrow(RangeError);
    expect(() => mostProbableNumber([{ volume: 0, wells: 3, positive: 1 }])).toThrow(RangeError);
  });
});
