import { describe, expect, it } from 'vitest';
import {
  coliformMonth,
  isLevel2,
  legionellaBand,
  operationalLevel,
  overLevel,
  percentile90,
  quarterOf,
  runningAverage,
  type LegionellaSystemId,
} from './index.ts';

const exact = (value: number) => ({ low: value, high: value });
const of = (...values: number[]) => values.map(exact);

describe('the 90th percentile of lead and copper', () => {
  // 40 CFR 141.80(c)(4) (from memory): rank 0.9 · n; five samples: the mean of the two highest; fewer: the highest.
  it('is the number at its rank, whatever the order', () => {
    expect(percentile90(of(10, 3, 9, 1, 2, 4, 5, 6, 7, 8)).value).toEqual(exact(9));
    expect(percentile90(of(...Array.from({ length: 20 }, (_, at) => 20 - at))).value).toEqual(exact(18));
  });
  it('is the mean of the two highest of five, and the highest of fewer', () => {
    expect(percentile90(of(1, 2, 3, 10, 20)).value).toEqual(exact(15));
    expect(percentile90(of(1, 2, 3, 20)).value).toEqual(exact(20));
    expect(percentile90(of(7)).value).toEqual(exact(7));
    expect(() => percentile90([])).toThrow(RangeError);
  });
  it('lies between two ranks where the rank is no whole number, and is open where a level does', () => {
    // 0.9 · 11 = 9.9: nine tenths of the way from 14 to 18.
    const eleven = percentile90(of(1, 2, 3, 4, 5, 6, 7, 8, 14, 18, 30));
    expect(eleven.value.high).toBeCloseTo(17.6, 9);
    expect(eleven.upper).toEqual(exact(18));
    expect([17, 17.6, 17.7, 18].map((level) => overLevel(eleven, level))).toEqual(['over', 'open', 'open', 'not-over']);
  });
  it('is a span where samples are only known to lie below a bound', () => {
    const { value } = percentile90([...of(1, 1, 1, 10), { low: 0, high: 20 }]);
    expect(value).toEqual({ low: 5.5, high: 15 });
    expect(overLevel({ value, upper: value }, 10)).toBe('open');
  });
});

describe('averages of a year', () => {
  it('are over when they are sure to be, whatever is still to come', () => {
    // 40 CFR 141.620(d) (from memory), 80 µg/L of trihalomethanes.
    expect(runningAverage(of(70, 90, 80, 80), 80)).toEqual({ average: exact(80), quarters: 4, state: 'not-over' });
    expect(runningAverage(of(70, 90, 80, 81), 80).state).toBe('over');
    expect(runningAverage([exact(330)], 80).state).toBe('over');
    expect(runningAverage([exact(320)], 80).state).toBe('open');
    expect(runningAverage([null, exact(70), exact(80), exact(90)], 80)).toEqual({ average: exact(80), quarters: 3, state: 'open' });
    expect(runningAverage([{ low: 0, high: 10 }, ...of(100, 110, 108)], 80).state).toBe('open');
    expect(() => runningAverage([null, null], 80)).toThrow(RangeError);
    expect(() => runningAverage(of(1, 2, 3, 4, 5), 80)).toThrow(RangeError);
  });
  it('weigh the newest quarter twice for the operational level', () => {
    // (60 + 70 + 2 · 100) / 4
    expect(operationalLevel([exact(60), exact(70), exact(100)])).toEqual(exact(82.5));
    expect(operationalLevel([exact(60), null, exact(100)])).toBeNull();
  });
  it('are means of what a quarter brought', () => {
    expect(quarterOf([exact(10), { low: 0, high: 4 }])).toEqual({ low: 5, high: 7 });
    expect(quarterOf([])).toBeNull();
  });
});

describe('coliforms of a month', () => {
  it('trigger by share from 40 samples on, by number under it', () => {
    // 40 CFR 141.859(a)(1) (from memory): more than 5.0 %; two or more of fewer than 40.
    const triggers = (samples: number, positive: number) => coliformMonth('2026-11', samples, positive, 0).triggers;
    expect([triggers(39, 1), triggers(39, 2), triggers(40, 2), triggers(40, 3), triggers(100, 5), triggers(100, 6)]).toEqual([
      'none',
      'level-1',
      'none',
      'level-1',
      'none',
      'level-1',
    ]);
  });
  it('take 5.0 % of many exactly', () => {
    const triggers = (positive: number) => coliformMonth('2026-11', 360, positive, 0).triggers;
    expect([triggers(18), triggers(19)]).toEqual(['none', 'level-1']);
  });
  it('ask for the second level at the second trigger within twelve months', () => {
    const bad = (month: string) => coliformMonth(month, 10, 2, 0);
    expect(isLevel2([bad('2025-12'), bad('2026-11')], '2026-11')).toBe(true);
    expect(isLevel2([bad('2025-11'), bad('2026-11')], '2026-11')).toBe(false);
    expect(isLevel2([bad('2026-11')], '2026-11')).toBe(false);
    expect(isLevel2([bad('2026-03'), coliformMonth('2026-11', 10, 1, 0)], '2026-11')).toBe(false);
  });
});

it('puts Legionella into the band of its system', () => {
  const named = (system: LegionellaSystemId, value: number) => legionellaBand(system, exact(value))?.name;
  // DVGW W 551; HSG274: 100 and 1000 per litre are 10 and 100 in 100 mL (from memory).
  expect([0, 99, 100, 1000, 1001, 10_000, 10_001].map((value) => named('building', value))).toEqual([
    'low',
    'low',
    'medium',
    'medium',
    'high',
    'high',
    'extremely high',
  ]);
  for (const system of ['guide', 'tower'] as const)
    expect([10, 11, 100, 101].map((value) => named(system, value))).toEqual(['under control', 'to be reviewed', 'to be reviewed', 'high']);
  expect(legionellaBand('building', { low: 0, high: 200 })).toBeNull();
});
