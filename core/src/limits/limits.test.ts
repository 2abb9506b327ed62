import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labResult as result } from '../../test/lab-result.ts';
import { parameterIds, type ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import {
  duplicateDiffers,
  inReadingOrder,
  judgeResult,
  judgeSums,
  limitsFor,
  limitSetAt,
  limitSets,
  weaknessOf,
  type LimitSet,
  type Sampled,
} from './index.ts';

const euDrinkingWater = limitSets.on('eu-2020-2184', '2026-11-23')!;

const state = (parameter: ParameterId, value: number | null, form?: LabResult['form'], limit?: number, on = '2026-11-23') =>
  judgeResult(result(parameter, value, form, limit ?? null), euDrinkingWater, on).state;

describe('Directive (EU) 2020/2184, Annex I', () => {
  it.each([
    ['nitrate', 50, 'meets'],
    ['nitrate', 50.1, 'over-health'],
    ['arsenic', 10, 'meets'],
    ['arsenic', 10.5, 'over-health'],
    ['iron', 340, 'over-indicator'],
    ['ph', 6.4, 'over-indicator'],
    ['ph', 9.6, 'over-indicator'],
    ['ph', 7, 'meets'],
    ['calcium', 80, 'no-value'],
    ['ecoli', 1, 'over-health'],
    ['ecoli', 0, 'meets'],
    ['coliforms', 3, 'over-indicator'],
    ['conductivity', 2700, 'meets'],
    ['conductivity', 2800, 'over-indicator'], // 2500 at 20 °C
  ] as const)('%s %f %s', (parameter, value, expected) => expect(state(parameter, value)).toBe(expected));

  it('cannot tell when the reporting limit is over the value', () => {
    expect(state('arsenic', 20, 'below')).toBe('cannot-tell');
    expect(state('arsenic', 10, 'below')).toBe('meets');
    expect(state('arsenic', null, 'below', 20)).toBe('cannot-tell');
    expect(state('arsenic', null, 'below', 1)).toBe('meets');
    expect(state('arsenic', null, 'below')).toBe('cannot-tell');
    expect(state('iron', 100, 'above')).toBe('cannot-tell');
    expect(state('iron', 300, 'above')).toBe('over-indicator');
  });

  it('tells nothing better than the lab can see', () => {
    // None found, and the lab sees none below 500: it may be 499.
    expect(state('iron', 0, 'value', 500)).toBe('cannot-tell');
    expect(state('iron', 0, 'value', 20)).toBe('meets');
    expect(state('arsenic', null, 'absent', 50)).toBe('cannot-tell');
    expect(state('arsenic', null, 'absent')).toBe('cannot-tell');
    // Found, and nobody says how much.
    expect(state('nitrite', null, 'present')).toBe('cannot-tell');
  });

  it('takes a bound by its sign: more than ten is over ten, at least ten may be ten', () => {
    expect(state('arsenic', 10, 'above')).toBe('over-health');
    const atLeast = { ...result('arsenic', 10, 'above'), inclusive: true };
    expect(judgeResult(atLeast, euDrinkingWater, '2026-11-23').state).toBe('cannot-tell');
    const atMostOne = { ...result('ecoli', 1, 'below'), inclusive: true };
    expect(judgeResult(atMostOne, euDrinkingWater, '2026-11-23').state).toBe('cannot-tell');
    expect(state('ph', 6.5, 'below')).toBe('over-indicator');
  });

  it('reads germs: below one is none, below ten is not', () => {
    expect([
      state('ecoli', 1, 'below'),
      // Ten tubes of 10 mL, none positive: Standard Methods 9221 C.
      state('ecoli', 1.1, 'below'),
      state('ecoli', 1.2, 'below'),
      state('ecoli', 10, 'below'),
      state('ecoli', null, 'absent'),
      state('ecoli', null, 'present'),
      state('coliforms', null, 'uncountable'),
    ]).toEqual(['meets', 'meets', 'cannot-tell', 'cannot-tell', 'meets', 'over-health', 'over-indicator']);
  });

  const routineSample = { sample: 'routine', isTold: false, isContradicted: false, isDissolved: false, isFlushed: false } as const;

  it('says that a number under a value proves nothing where the sample does not stand for the water', () => {
    const of = (id: ParameterId, value: number, how: Partial<Sampled>) => {
      return judgeResult(result(id, value), euDrinkingWater, '2026-11-23', weaknessOf(id, { ...routineSample, ...how })).state;
    };
    expect([of('lead', 3, { isFlushed: true }), of('iron', 3, { isFlushed: true }), of('lead', 30, { isFlushed: true })]).toEqual([
      'proves-nothing', // Directive (EU) 2020/2184, Annex II, Part D
      'meets',
      'over-health',
    ]);
    // The same Part names copper, lead and nickel, and nothing that comes with the water.
    const flushed = { ...routineSample, isFlushed: true };
    expect((['lead', 'copper', 'nickel'] as const).map((id) => weaknessOf(id, flushed))).toEqual(['flushed', 'flushed', 'flushed']);
    expect((['nitrate', 'arsenic', 'iron', 'manganese'] as const).map((id) => weaknessOf(id, flushed))).toEqual([null, null, null, null]);
    expect(weaknessOf('lead', routineSample)).toBeNull();
    for (const id of ['lead', 'copper', 'nickel'] as const)
      expect([of(id, 0.001, {}), of(id, 0.001, { isFlushed: true })], id).toEqual(['meets', 'proves-nothing']);
    expect([of('iron', 3, { isDissolved: true }), of('ecoli', 0, { sample: 'special' }), of('ecoli', 1, { sample: 'invalid' })]).toEqual([
      'proves-nothing',
      'proves-nothing',
      'over-health',
    ]);
  });

  it('names the worst that a sample lacks first: special, contradicted, filtered, flushed, told, counted on the own bench', () => {
    const first = (id: ParameterId, how: Partial<Sampled>) => weaknessOf(id, { ...routineSample, ...how });
    expect([
      first('lead', { sample: 'special', isFlushed: true }),
      first('lead', { isContradicted: true, isFlushed: true }),
      first('iron', { isDissolved: true }),
      first('ecoli', { isTold: true }),
      first('ecoli', { isOwnBench: true }),
    ]).toEqual(['special', 'contradicted', 'dissolved', 'told', 'own-bench']);
  });

  it('names a value that lies within the uncertainty the lab states, and lets the number decide', () => {
    const of = (value: number, uncertainty: number) => {
      const { state: is, isWithinUncertainty } = judgeResult({ ...result('arsenic', value), uncertainty }, euDrinkingWater, '2026-11-23');
      return [is, isWithinUncertainty];
    };
    // ILAC-G8:09/2019, simple acceptance.
    expect([of(9.5, 1), of(8, 1), of(10.5, 1), of(12, 1)]).toEqual([
      ['meets', true],
      ['meets', false],
      ['over-health', true],
      ['over-health', false],
    ]);
  });

  it('has a value for uranium from the day on which it must be met', () => {
    // Article 25: by 12 January 2026.
    expect([state('uranium', 40, 'value', undefined, '2026-01-11'), state('uranium', 40, 'value', undefined, '2026-01-12')]).toEqual([
      'no-value',
      'over-health',
    ]);
  });

  it('says of every value what a number over it means', () => {
    for (const set of limitSets.newest) for (const row of set.rows) expect(row.says, `${set.id} ${row.parameter}`).toMatch(/\.$/);
  });

  it('takes the value of the day of sampling', () => {
    expect([state('lead', 7, 'value', undefined, '2026-11-23'), state('lead', 7, 'value', undefined, '2036-01-12')]).toEqual([
      'meets',
      'over-health',
    ]);
    expect(limitsFor(euDrinkingWater, 'chromium', '2036-01-11').map(({ most }) => most)).toEqual([50]);
  });

  it('never judges more of something as better, up to an upper limit', () => {
    const rank = (id: ParameterId, value: number) => (state(id, value).startsWith('over') ? 1 : 0);
    const upper = euDrinkingWater.rows.filter((row) => row.least === undefined).map((row) => row.parameter);
    fc.assert(
      fc.property(
        fc.constantFrom(...upper),
        fc.double({ min: 0, max: 1e4, noNaN: true }),
        fc.double({ min: 0, max: 1e4, noNaN: true }),
        (parameter, a, b) => {
          const [less, more] = a < b ? [a, b] : [b, a];
          expect(rank(parameter, more)).toBeGreaterThanOrEqual(rank(parameter, less));
        },
      ),
    );
  });

  it('calls a result close from four fifths of the limit', () => {
    const close = (value: number) => judgeResult(result('nitrate', value), euDrinkingWater, '2026-11-23').close;
    expect([close(39.9), close(40), close(50), close(51)]).toEqual([false, true, true, false]);
  });
});

describe('a second set', () => {
  const us = limitSets.on('us-40-cfr', '2026-11-23')!;
  const who = limitSets.on('who-gdwq', '2026-11-23')!;
  const by = (set: LimitSet, id: ParameterId, value: number, on = '2026-11-23') => judgeResult(result(id, value), set, on);

  it.each([
    [us, 'nitrate', 44.2, 'meets'], // 40 CFR 141.62(b): 10 mg/L as N, 44.27 as NO3
    [us, 'nitrate', 44.4, 'over-health'],
    [us, 'nitrite', 3.28, 'meets'], // 1 mg/L as N
    [us, 'nitrite', 3.3, 'over-health'],
    [us, 'lead', 15.1, 'over-action'], // 40 CFR 141.80(c)
    [us, 'lead', 15, 'meets'],
    [us, 'arsenic', 10.5, 'over-health'],
    [us, 'iron', 310, 'over-aesthetic'], // 40 CFR 143.3
    [us, 'ph', 8.6, 'over-aesthetic'],
    [us, 'boron', 90, 'no-value'],
    [who, 'fluoride', 1.6, 'over-health'],
    [who, 'manganese', 90, 'over-health'],
    [who, 'nitrate', 50, 'meets'],
    [who, 'boron', 2.4, 'meets'],
    [who, 'iron', 310, 'over-aesthetic'],
  ] as const)('%# %s', (set, id, value, expected) => expect(by(set, id, value).state).toBe(expected));

  it('may have two values for one parameter: the worst that is broken decides, else the nearest', () => {
    // Copper: 1.0 mg/L for taste, 1.3 mg/L action level. Fluoride: 2 and 4 mg/L.
    expect([by(us, 'copper', 1.4), by(us, 'copper', 1.1), by(us, 'copper', 0.9)].map(({ state, most }) => [state, most])).toEqual([
      ['over-action', 1.3],
      ['over-aesthetic', 1],
      ['meets', 1],
    ]);
    expect([by(us, 'fluoride', 3).state, by(us, 'fluoride', 4.1).state]).toEqual(['over-aesthetic', 'over-health']);
  });

  it('takes the value of the day: lead from 1 November 2027', () => {
    expect([by(us, 'lead', 12, '2027-10-31').state, by(us, 'lead', 12, '2027-11-01').state]).toEqual(['meets', 'over-action']);
  });

  it('adds nitrate and nitrite as nitrogen: 10 mg/L together', () => {
    const share = (nitrate: number, nitrite: number) =>
      judgeSums([result('nitrate', nitrate), result('nitrite', nitrite)], us, '2026-11-23')[0]!;
    expect(share(6 * 4.4266, 4 * 3.2844).high).toBeCloseTo(1, 3);
    expect(share(44, 3).state).toBe('over-health');
  });

  it('has a place in its source and one kind for each value, and no value twice on one day', () => {
    for (const set of limitSets.all) {
      for (const { place, most, least } of set.rows) {
        expect(place.length, set.id).toBeGreaterThan(4);
        expect(most ?? least, set.id).toBeDefined();
      }
      for (const day of ['2026-11-23', '2027-11-01', '2036-01-12'])
        for (const id of parameterIds) {
          const kinds = limitsFor(limitSetAt(set, { kind: 'house-tap', isTreated: true }), id, day).map((row) => row.kind);
          expect(new Set(kinds).size, `${set.id} ${id} ${day}`).toBe(kinds.length);
        }
    }
  });
});

describe('nitrate/50 + nitrite/3', () => {
  const sum = (nitrate: number, nitrite: LabResult) => judgeSums([result('nitrate', nitrate), nitrite], euDrinkingWater, '2026-11-23')[0];
  it('adds the shares, and leaves open what a bound leaves open', () => {
    expect(sum(40, result('nitrite', 0.3))).toMatchObject({ state: 'meets', high: expect.closeTo(0.9, 9) as number });
    expect(sum(45, result('nitrite', 0.45))?.state).toBe('over-health');
    expect(sum(48, result('nitrite', 0.3, 'below'))?.state).toBe('cannot-tell');
    expect(judgeSums([result('nitrate', 45)], euDrinkingWater, '2026-11-23')).toEqual([]);
  });
});

it('is read bacteria first, then health, open questions, indicators, close, the rest', () => {
  const results = [
    result('calcium', 80),
    result('nitrate', 45),
    result('sodium', 20),
    result('iron', 340),
    result('arsenic', 20, 'below'),
    result('lead', 30),
    result('ecoli', 0),
  ];
  const judged = results.map((one) => ({ result: one, verdict: judgeResult(one, euDrinkingWater, '2026-11-23') }));
  expect(inReadingOrder(judged).map(({ result: { parameter } }) => parameter)).toEqual([
    'ecoli',
    'lead',
    'arsenic',
    'iron',
    'nitrate',
    'sodium',
    'calcium',
  ]);
});

describe('two bottles of one water', () => {
  const differ = (a: Parameters<typeof result>, b: Parameters<typeof result>) => duplicateDiffers(result(...a), result(...b));

  // RPD = |a − b| ÷ ((a + b) ÷ 2): 12 and 3 differ by 9 in 7.5, 10 and 7.5 by 2.5 in 8.75.
  it('differ by a part of their mean', () => {
    expect(differ(['arsenic', 12], ['arsenic', 3])).toBeCloseTo(1.2, 9);
    expect(differ(['nitrate', 7], ['nitrate', 10])).toBeCloseTo(3 / 8.5, 9);
    expect(differ(['nitrate', 7.5], ['nitrate', 10])).toBeNull();
    // Thirty in a hundred, common practice: 2.7 in 8.65 are 31.2 %, 2.6 in 8.7 are 29.9 %.
    expect(differ(['nitrate', 7.3], ['nitrate', 10])).toBeCloseTo(2.7 / 8.65, 9);
    expect(differ(['nitrate', 7.4], ['nitrate', 10])).toBeNull();
  });

  it('agree where both are near what the lab can see, or one is only known to lie below it', () => {
    expect(differ(['arsenic', 1.2, 'value', 1], ['arsenic', 2.1, 'value', 1])).toBeNull();
    expect(differ(['arsenic', 1, 'below', 1], ['arsenic', 1.8, 'value', 1])).toBeNull();
    // Not found below 1, and 12 in the other: 1 is the most it can be.
    expect(differ(['arsenic', 1, 'below', 1], ['arsenic', 12, 'value', 1])).toBeCloseTo(11 / 6.5, 9);
    expect(differ(['arsenic', 20, 'below'], ['arsenic', 12])).toBeNull();
  });

  it('never argue a germ away, nor compare what is no amount', () => {
    expect(differ(['ecoli', 0], ['ecoli', 40])).toBeNull();
    expect(differ(['ph', 4], ['ph', 9])).toBeNull();
  });
});
