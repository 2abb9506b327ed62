import { describe, expect, it } from 'vitest';
import { labResult } from '../../test/lab-result.ts';
import type { ParameterId } from '../parameters/index.ts';
import { limitSets } from '../limits/index.ts';
import { derive, forCrops, infiltrationBy, judgeDerived, milliequivalents, notForAnimals, questionAnalysis } from './index.ts';

const water = (values: Partial<Record<ParameterId, number>>) =>
  (Object.entries(values) as [ParameterId, number][]).map(([id, value]) => labResult(id, value));
const found = (results: ReturnType<typeof water>, id: string) => derive(results).find(({ row }) => row.id === id);
const value = (values: Partial<Record<ParameterId, number>>, id: string) => found(water(values), id)?.high;

describe('what follows from results', () => {
  it('hardness, by the factors of the standard', () => {
    // Standard Methods 2340 B: 2.497 · Ca + 4.118 · Mg, mg/L.
    expect(value({ calcium: 100, magnesium: 0 }, 'hardness')).toBeCloseTo(249.7, 1);
    expect(value({ calcium: 0, magnesium: 100 }, 'hardness')).toBeCloseTo(411.8, 1);
    expect(value({ calcium: 40 }, 'hardness')).toBeUndefined();
  });

  it('is called hard or soft by each class, exactly at an end by the lower one', () => {
    const named = (calcium: number) => found(water({ calcium, magnesium: 0 }), 'hardness')!.classes.map(({ name }) => name);
    expect(named(20)).toEqual(['soft', 'soft']);
    expect(named(40)).toEqual(['moderately hard', 'soft']);
    // 1.5 and 2.5 mmol/L are 60.1 and 100.2 mg/L of calcium.
    expect(named(60.1)).toEqual(['hard', 'soft']);
    expect(named(60.2)).toEqual(['hard', 'medium']);
    expect(named(100.1)).toEqual(['very hard', 'medium']);
    expect(named(100.4)).toEqual(['very hard', 'hard']);
    expect(named(72)).toEqual(['hard', 'medium']);
    expect(named(73)).toEqual(['very hard', 'medium']);
    expect(named(24)).toEqual(['soft', 'soft']);
    expect(named(24.1)).toEqual(['moderately hard', 'soft']);
    expect(named(48.1)).toEqual(['hard', 'soft']);
    expect(named(48)).toEqual(['moderately hard', 'soft']);
  });

  it('parts hardness by alkalinity', () => {
    const of = { calcium: 80, magnesium: 0 };
    expect(value({ ...of, alkalinity: 150 }, 'carbonate-hardness')).toBe(150);
    expect(value({ ...of, alkalinity: 150 }, 'other-hardness')).toBeCloseTo(49.8, 1);
    expect(value({ ...of, alkalinity: 300 }, 'carbonate-hardness')).toBeCloseTo(199.8, 1);
    expect(value({ ...of, alkalinity: 300 }, 'other-hardness')).toBe(0);
  });

  it('takes bicarbonate for alkalinity where the lab reports that: 1 meq/L is 61.02 mg/L, and 50.04 as CaCO₃', () => {
    expect(value({ calcium: 80, magnesium: 0, bicarbonate: 61.02 }, 'carbonate-hardness')).toBeCloseTo(50.04, 1);
    expect(value({ calcium: 80, magnesium: 0, bicarbonate: 61.02, carbonate: 30 }, 'carbonate-hardness')).toBeCloseTo(100.08, 1);
  });

  it('SAR, as in the example of the paper', () => {
    // FAO 29, example of Tuolumne water (from memory): Ca 2.32, Mg 1.44, Na 7.73 meq/L: SAR 5.64.
    const meq = { calcium: 2.32 * 20.04, magnesium: 1.44 * 12.15, sodium: 7.73 * 22.99 };
    expect(value(meq, 'sar')).toBeCloseTo(5.64, 2);
    expect(value({ calcium: 0, magnesium: 0, sodium: 10 }, 'sar')).toBeUndefined();
  });

  it('dissolved solids, by hand', () => {
    // 0.6 · 200 + 20 + 60 + 10 + 30 + 40 = 280; nitrate 44.27 mg/L are 10 of nitrogen; 60.08 of SiO₂ are 76.08 of SiO₃.
    const whole = { alkalinity: 200, sodium: 20, calcium: 60, magnesium: 10, chloride: 30, sulfate: 40 };
    expect(value(whole, 'dissolved-solids')).toBeCloseTo(280, 6);
    expect(value({ ...whole, nitrate: 44.27 }, 'dissolved-solids')).toBeCloseTo(290, 1);
    expect(value({ ...whole, silica: 60.08 }, 'dissolved-solids')).toBeCloseTo(356.08, 1);
    expect(found(water(whole), 'dissolved-solids')!.without).toEqual(['potassium', 'silica', 'nitrate', 'fluoride']);
  });

  it('equivalents, as handbooks have them', () => {
    // mg/L to one meq/L: Ca 20.04, Mg 12.15, Na 22.99, K 39.10, NH₄ 18.04, Cl 35.45, SO₄ 48.03, NO₃ 62.00, F 19.00, CaCO₃ 50.04.
    const one: [ParameterId, number][] = [
      ...([
        ['calcium', 20.04],
        ['magnesium', 12.15],
        ['sodium', 22.99],
        ['potassium', 39.1],
        ['ammonium', 18.04],
      ] as [ParameterId, number][]),
      ...([
        ['chloride', 35.45],
        ['sulfate', 48.03],
        ['nitrate', 62],
        ['fluoride', 19],
        ['alkalinity', 50.04],
      ] as [ParameterId, number][]),
    ];
    for (const [id, mg] of one) expect(milliequivalents(id, mg), id).toBeCloseTo(1, 3);
    expect(() => milliequivalents('ecoli', 1)).toThrow('no charge');
    // One meq/L of each: five to either side.
    const each = Object.fromEntries(one) as Record<ParameterId, number>;
    const shown = (id: string) => found(water(each), id)!.working.steps;
    expect([shown('cations'), shown('anions')]).toEqual([['5.00 meq/L'], ['5.00 meq/L']]);
    expect([shown('hardness'), shown('sar'), shown('other-hardness')]).toEqual([['100 mg/L CaCO₃'], ['1.0'], ['50 mg/L CaCO₃']]);
    // 30.02 + 22.99 + 39.10 + 20.04 + 12.15 + 35.45 + 48.03 + 14.01 + 19.00
    expect([shown('carbonate-hardness'), shown('dissolved-solids')]).toEqual([['50 mg/L CaCO₃'], ['241 mg/L']]);
  });

  it('is a span where a part is only known to lie below a bound, and is given up where one has no end', () => {
    const results = [labResult('calcium', 40), labResult('magnesium', 10, 'below')];
    const hardness = derive(results)[0]!;
    expect([hardness.low, hardness.high].map(Math.round)).toEqual([100, 141]);
    expect(hardness.classes).toEqual([{ by: 'WRMG 2007, § 9', name: 'soft' }]);
    expect(derive([labResult('calcium', 40), labResult('magnesium', 100, 'above')])).toEqual([]);
    // A bound on calcium makes SAR a span the other way round.
    const sar = derive([labResult('calcium', 40, 'below'), labResult('magnesium', 12.15), labResult('sodium', 22.99)]).find(
      ({ row }) => row.id === 'sar',
    )!;
    expect(sar.low).toBeLessThan(sar.high);
    expect(sar.high).toBeCloseTo(Math.SQRT2, 2);
  });

  it('takes what is dissolved where both were reported', () => {
    const both = [
      { ...labResult('calcium', 50), fraction: 'total' as const },
      { ...labResult('calcium', 40), fraction: 'dissolved' as const },
    ];
    expect(derive([...both, labResult('magnesium', 0)])[0]!.high).toBeCloseTo(99.9, 1);
  });
});

describe('an analysis that contradicts itself', () => {
  const meq = { calcium: 40.08, sodium: 22.99, magnesium: 0.001, alkalinity: 50.04, chloride: 35.45, sulfate: 48.03 };
  const asked = (values: Partial<Record<ParameterId, number>>) =>
    questionAnalysis(derive(water(values)), water(values)).map(({ code }) => code);

  it('balances within 0.2 meq/L up to 3, 2 % up to 10, 5 % beyond', () => {
    // Standard Methods 1030 E (from memory).
    expect(asked(meq)).toEqual([]);
    expect(asked({ ...meq, sodium: 22.99 * 1.19 })).toEqual([]);
    expect(asked({ ...meq, sodium: 22.99 * 1.21 })).toEqual(['ions-apart']);
    const times = (by: number, sodium: number) => ({
      ...Object.fromEntries(Object.entries(meq).map(([id, mg]) => [id, mg * by])),
      sodium: meq.sodium * (by + sodium),
    });
    // 9 meq/L to either side: 2 % of both are 0.367 of one.
    expect(asked(times(3, 0.36))).toEqual([]);
    expect(asked(times(3, 0.38))).toEqual(['ions-apart']);
    // 3 % apart: too much at 9.9 meq/L, not at 10.5.
    expect([asked(times(3.3, 0.61)), asked(times(3.5, 0.65))]).toEqual([['ions-apart'], []]);
    // 15 meq/L: 5 % are 1.58.
    expect(asked(times(5, 1.5))).toEqual([]);
    expect(asked(times(5, 1.65))).toEqual(['ions-apart']);
  });

  it('asks about hardness and dissolved solids that do not follow from their parts', () => {
    expect(asked({ calcium: 40, magnesium: 0, hardness: 109 })).toEqual([]);
    expect(asked({ calcium: 40, magnesium: 0, hardness: 111 })).toEqual(['hardness-apart']);
    const whole = { ...meq, dissolvedSolids: 177 };
    expect(asked(whole)).toEqual([]);
    // 176.7 mg/L: from nine tenths to 1.32 times of it.
    expect(asked({ ...whole, dissolvedSolids: 158 })).toEqual(['solids-apart']);
    expect(asked({ ...whole, dissolvedSolids: 160 })).toEqual([]);
    expect(asked({ ...whole, dissolvedSolids: 232 })).toEqual([]);
    expect(asked({ ...whole, dissolvedSolids: 235 })).toEqual(['solids-apart']);
  });
});

describe('water for crops and animals', () => {
  it('seals soil by sodium and salt together', () => {
    // FAO 29, Table 1: SAR 0 to 3: 0.7 and 0.2 dS/m; 3 to 6: 1.2 and 0.3; 6 to 12: 1.9 and 0.5; 12 to 20: 2.9 and 1.3; 20 to 40: 5.0 and 2.9.
    const at = (sar: number, salt: number) => infiltrationBy({ low: sar, high: sar }, { low: salt * 1000, high: salt * 1000 });
    for (const [sar, none, severe] of [
      [2, 0.7, 0.2],
      [5, 1.2, 0.3],
      [10, 1.9, 0.5],
      [16, 2.9, 1.3],
      [30, 5, 2.9],
    ] as const) {
      expect(at(sar, none + 0.01), `${sar}`).toBe('none');
      expect(at(sar, none), `${sar}`).toBe('slight-to-moderate');
      expect(at(sar, severe), `${sar}`).toBe('slight-to-moderate');
      expect(at(sar, severe - 0.01), `${sar}`).toBe('severe');
    }
    expect([at(3, 0.65), at(3.01, 0.25)]).toEqual(['slight-to-moderate', 'severe']);
    expect([at(6, 1.3), at(6.1, 1.3)]).toEqual(['none', 'slight-to-moderate']);
    expect([at(12, 2), at(12.1, 2)]).toEqual(['none', 'slight-to-moderate']);
    expect([at(20, 3), at(20.1, 3)]).toEqual(['none', 'slight-to-moderate']);
    expect([at(40, 6), at(41, 6)]).toEqual(['none', 'open']);
    expect(infiltrationBy({ low: 2, high: 8 }, { low: 1500, high: 1500 })).toBe('open');
    expect(() => infiltrationBy({ low: 2, high: 1 }, { low: 1, high: 1 })).toThrow(RangeError);
  });

  it('says which crops its boron harms, and for which animals it is too salty', () => {
    const groups = (boron: number) => forCrops(water({ boron }), []).boron.length;
    expect([0.5, 0.51, 0.75, 0.76, 1, 1.1, 2, 2.1, 4, 4.1, 6, 6.1, 15, 15.1].map(groups)).toEqual([
      0, 1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6, 7,
    ]);
    const animals = (values: Partial<Record<ParameterId, number>>) => notForAnimals(water(values)).map(({ name }) => name.split(',')[0]);
    expect(animals({ conductivity: 5000 })).toEqual([]);
    expect(animals({ conductivity: 5001 })).toEqual(['Poultry']);
    expect(animals({ conductivity: 8000 })).toEqual(['Poultry']);
    expect(animals({ conductivity: 8001 })).toEqual(['Poultry', 'Pigs', 'Horses', 'Cows in milk']);
    expect(animals({ conductivity: 11_000 })).toHaveLength(4);
    expect(animals({ conductivity: 11_001 })).toHaveLength(6);
    expect(animals({ magnesium: 250 })).toEqual([]);
    expect(animals({ magnesium: 251 })).toHaveLength(4);
    expect([400, 401, 500, 501].map((magnesium) => animals({ magnesium }).length)).toEqual([4, 5, 5, 6]);
  });

  it('works the SAR out where the lab does not report it, and takes its own where it does', () => {
    const meq = { calcium: 20.04, magnesium: 12.15, sodium: 22.99 * 10, conductivity: 1000 };
    // 10 / √1 = 10; 1 dS/m lies between 0.5 and 1.9.
    expect(forCrops(water(meq), derive(water(meq))).infiltration).toBe('slight-to-moderate');
    const own = { ...meq, sar: 2 };
    expect(forCrops(water(own), derive(water(own))).infiltration).toBe('none');
    expect(forCrops(water({ conductivity: 1000 }), []).infiltration).toBeNull();
  });
});

describe('what was worked out, against a set', () => {
  const fao = limitSets.on('irrigation-fao-29', '2026-11-23')!;
  const sarOf = (results: ReturnType<typeof water>) => judgeDerived(found(results, 'sar')!, results, fao, '2026-11-23');
  const meq = (sodium: number) => ({ calcium: 20.04, magnesium: 12.15, sodium: 22.99 * sodium });

  it('is judged where the lab does not report it, and never in place of a report', () => {
    // FAO 29, Table 1: SAR over 3, over 9.
    expect(sarOf(water(meq(2.9)))?.state).toBe('meets');
    expect(sarOf(water(meq(3.1)))?.state).toBe('over-indicator');
    expect(sarOf(water(meq(9.1)))?.state).toBe('over-operational');
    expect(sarOf(water({ ...meq(9.1), sar: 9.1 }))).toBeNull();
    expect(judgeDerived(found(water(meq(1)), 'cations')!, [], fao, '2026-11-23')).toBeNull();
  });

  it('is open where its span crosses the value', () => {
    const results = [labResult('calcium', 20.04), labResult('magnesium', 12.15), labResult('sodium', 22.99 * 3.1, 'below')];
    expect(sarOf(results)?.state).toBe('cannot-tell');
  });
});
