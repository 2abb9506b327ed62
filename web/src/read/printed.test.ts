import type { LabResult } from '@fonte/core/read';
import { expect, it } from 'vitest';
import { asPrinted } from './printed.ts';

const result = (
  parameter: LabResult['parameter'],
  value: number | null,
  printed: string,
  form: LabResult['form'] = 'value',
): LabResult => ({
  line: 2,
  bottle: 'A',
  parameter,
  form,
  value,
  estimated: false,
  reportingLimit: null,
  written: { result: printed, unit: '', reportingLimit: '' },
});

it.each([
  [result('chromium', 31, '31'), '31'],
  [result('chromium', 31, '31.0'), '31.0'],
  [result('lead', 8.4, '0,0084'), '8.4'],
  [result('iron', 340, '0.34'), '340'],
  [result('nitrate', 57.10327, '12,9'), '57.1'],
  [result('arsenic', 1, '<1.0', 'below'), '< 1.0'],
  [result('ecoli', 0, '0'), '0'],
  [result('ecoli', null, 'TNTC', 'uncountable'), 'too many'],
  [result('lead', null, 'ND', 'below'), 'not detected'],
])('shows a number with the digits the lab printed: %#', (one, text) => {
  expect(asPrinted(one).text).toBe(text);
});
