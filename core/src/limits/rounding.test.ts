import { expect, it } from 'vitest';
import { parameter, type ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { convert, type UnitId } from '../units/index.ts';
import { judgeResult, limitSets, metWhenRounded } from './index.ts';

const us = limitSets.newest.find(({ id }) => id === 'us-40-cfr')!;

/** What is said of a number in the unit and form of the federal text, with the verdict that it has. */
function rounded(id: ParameterId, number: number, unit: UnitId, times = 1, form: LabResult['form'] = 'value') {
  const value = convert(number * times, unit, parameter(id).unit);
  const result = { parameter: id, form, value, reportingLimit: null, inclusive: true } as LabResult;
  return metWhenRounded(result, judgeResult(result, us, '2026-11-30'));
}

const asNitrate = 62.004 / 14.007;

// The values as 40 CFR 141 prints them (from memory): 0.010 mg/L of arsenic, 10 mg/L of nitrate as nitrogen, 0.080 mg/L of TTHM, 4.0 mg/L of
// fluoride, 0.005 mg/L of benzene, 0.015 mg/L of lead, 0.075 mg/L of p-dichlorobenzene. A result is rounded to as many decimals.
it.each([
  ['arsenic', 0.0104, 'mg/L', 1, '0.010 mg/L', 0.0105],
  ['bromate', 0.0104, 'mg/L', 1, '0.010 mg/L', 0.0106],
  ['trihalomethanes', 0.0804, 'mg/L', 1, '0.080 mg/L', 0.0805],
  ['haloaceticAcids', 0.0604, 'mg/L', 1, '0.060 mg/L', 0.0605],
  ['chlorite', 1.04, 'mg/L', 1, '1.0 mg/L', 1.05],
  ['fluoride', 4.04, 'mg/L', 1, '4.0 mg/L', 4.05],
  ['totalChlorine', 4.04, 'mg/L', 1, '4.0 mg/L', 4.05],
  ['freeChlorine', 4.04, 'mg/L', 1, '4.0 mg/L', 4.05],
  ['monochloramine', 4.04, 'mg/L', 1, '4.0 mg/L', 4.05],
  ['nitrate', 10.4, 'mg/L', asNitrate, '10 mg/L as N', 10.5],
  ['nitrite', 1.4, 'mg/L', 46.005 / 14.007, '1 mg/L as N', 1.5],
  ['benzene', 0.0054, 'mg/L', 1, '0.005 mg/L', 0.0055],
  ['dichlorobenzene14', 0.0754, 'mg/L', 1, '0.075 mg/L', 0.0755],
  ['lead', 15.4, 'ug/L', 1, '15 µg/L', 15.5],
] as const)('%s of %f %s is said to be at the value when rounded, and no more from half a step on', (id, near, unit, times, said, over) => {
  expect([rounded(id, near, unit, times), rounded(id, over, unit, times)]).toEqual([said, null]);
});

it('is said only of a number over a value of the health part of a text that rounds', () => {
  expect(rounded('arsenic', 0.0099, 'mg/L')).toBeNull();
  expect(rounded('arsenic', 0.0104, 'mg/L', 1, 'above')).toBeNull();
  expect(rounded('iron', 0.34, 'mg/L')).toBeNull();
  const eu = limitSets.newest.find(({ id }) => id === 'eu-2020-2184')!;
  const result = { parameter: 'arsenic', form: 'value', value: 10.4, reportingLimit: null, inclusive: true } as LabResult;
  expect(metWhenRounded(result, judgeResult(result, eu, '2026-11-30'))).toBeNull();
});

it('rounds PFAS to a tenth of a nanogram, once their values hold', () => {
  const result = {
    parameter: 'pfoa',
    form: 'value',
    value: convert(4.04, 'ng/L', parameter('pfoa').unit),
    reportingLimit: null,
  } as LabResult;
  expect(metWhenRounded(result, judgeResult(result, us, '2029-05-01'))).toBe('4.0 ng/L');
});
