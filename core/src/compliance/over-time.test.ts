import { describe, expect, it } from 'vitest';
import { limitSets } from '../limits/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import { coliformYear, metalPercentiles, monthsTo, placeAverages, type ResultOfSystem } from './index.ts';

const zone = 'Atlantic/Azores';
const us = limitSets.on('us-40-cfr', '2026-11-23')!;
let next = 0;
const result = (day: string, parameter: ParameterId, value: number, more: Partial<ResultOfSystem> = {}): ResultOfSystem => ({
  round: 'r',
  point: 'tap',
  pointName: 'Tap',
  bottle: `b${(next += 1)}`,
  rule: 'bacteria',
  sample: 'routine',
  parameter,
  form: 'value',
  value,
  reportingLimit: null,
  at: Date.parse(`${day}T12:00:00Z`),
  ...more,
});

it('counts months back over the turn of the year', () => {
  expect(monthsTo('2026-02', 3)).toEqual(['2025-12', '2026-01', '2026-02']);
  expect(monthsTo('2026-12', 1)).toEqual(['2026-12']);
});

describe('coliforms of a year', () => {
  const of = (results: ResultOfSystem[]) => coliformYear(results, '2026-11', zone).months.at(-1)!;

  it('count a bottle once, E. coli as coliforms, and no special sample', () => {
    const results = [
      result('2026-11-02', 'coliforms', 0, { bottle: 'x' }),
      result('2026-11-02', 'ecoli', 3, { bottle: 'x' }),
      result('2026-11-03', 'coliforms', 0, { form: 'absent', value: null }),
      result('2026-11-04', 'coliforms', 9, { sample: 'special' }),
      result('2026-10-31', 'coliforms', 9),
    ];
    expect(of(results)).toMatchObject({ samples: 2, positive: 1, ecoli: 1, triggers: 'none' });
  });

  it('take a month by the wall clock of the site, and see a trigger of the year before', () => {
    // 00:30 UTC on 1 November is still October on the Azores.
    const late = { ...result('2026-11-01', 'coliforms', 1), at: Date.parse('2026-11-01T00:30:00Z') };
    expect(of([late]).samples).toBe(0);
    const twice = (day: string) => [result(day, 'coliforms', 1), result(day, 'coliforms', 1)];
    expect(of(twice('2026-11-02'))).toMatchObject({ triggers: 'level-1', isLevel2: false });
    expect(of([...twice('2025-12-02'), ...twice('2026-11-02')]).isLevel2).toBe(true);
    expect(of([...twice('2025-11-02'), ...twice('2026-11-02')]).isLevel2).toBe(false);
  });
});

describe('lead and copper of a period', () => {
  const period = { from: '2026-07-01', until: '2026-11-23', zone };
  const lead = (point: string, value: number, more: Partial<ResultOfSystem> = {}) =>
    result('2026-09-01', 'lead', value, { point, rule: 'lead', ...more });

  it('take the higher litre of each place, standing water alone', () => {
    const results = [
      ...['a', 'b', 'c', 'd'].map((point) => lead(point, 2)),
      lead('e', 10),
      lead('e', 30, { rule: 'leadFifth' }),
      lead('f', 500, { rule: 'metals' }),
      lead('g', 500, { sample: 'special' }),
      result('2026-06-30', 'lead', 500, { point: 'h', rule: 'lead' }),
    ];
    // Five places: the mean of 2 and 30; 15 µg/L (40 CFR 141.80(c)).
    expect(metalPercentiles(results, period, us)).toMatchObject([
      { parameter: 'lead', level: 15, places: 5, percentile: { value: { low: 16, high: 16 } }, state: 'over' },
    ]);
  });

  it('use the action level of the day: 10 µg/L from 1 November 2027 on', () => {
    const results = [result('2027-11-20', 'lead', 12, { rule: 'lead' })];
    const state = (until: string) => metalPercentiles(results, { from: '2027-01-01', until, zone }, us)[0]?.state;
    expect([state('2027-11-30'), metalPercentiles([lead('a', 12)], period, us)[0]?.state]).toEqual(['over', 'not-over']);
  });
});

describe('averages of a place', () => {
  const parts = ['chloroform', 'bromodichloromethane', 'dibromochloromethane', 'bromoform'] as const;
  const sample = (day: string, each: number, more: Partial<ResultOfSystem> = {}) =>
    parts.map((id) => result(day, id, each, { rule: 'trihalomethanes', ...more }));
  const year = [...sample('2026-02-01', 10), ...sample('2026-05-01', 20), ...sample('2026-08-01', 30)];

  it('sum the parts of a sample, quarter by quarter, and weigh the newest twice for the operation', () => {
    const [found] = placeAverages([...year, ...sample('2026-11-01', 21)], '2026-11', zone, us);
    // 40, 80, 120 and 84 µg/L: 81, over 80; the newest twice: (80 + 120 + 2 · 84) / 4.
    expect(found).toMatchObject({
      most: 80,
      average: { average: { low: 81, high: 81 }, quarters: 4, state: 'over' },
      operational: { low: 92 },
    });
    expect(found!.quarters.map(({ name }) => name)).toEqual(['2026-Q1', '2026-Q2', '2026-Q3', '2026-Q4']);
  });

  it('take a reported sum, nothing for what is not seen, and no sample that lacks a part', () => {
    const unseen = sample('2026-11-01', 5, { form: 'below' });
    expect(placeAverages([...year, ...unseen], '2026-11', zone, us)[0]!.average).toMatchObject({ average: { low: 60 }, state: 'not-over' });
    const whole = [result('2026-11-01', 'trihalomethanes', 84, { rule: 'trihalomethanes' })];
    expect(placeAverages([...year, ...whole], '2026-11', zone, us)[0]!.average.state).toBe('over');
    const short = sample('2026-11-01', 200).slice(1);
    expect(placeAverages([...year, ...short], '2026-11', zone, us)[0]!.average).toMatchObject({ quarters: 3, state: 'open' });
    expect(placeAverages([], '2026-11', zone, us)).toEqual([]);
  });
});
