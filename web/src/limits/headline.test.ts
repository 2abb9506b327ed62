import { judgeResult, limitSets, type LimitSet } from '@fonte/core/limits';
import type { LabResult } from '@fonte/core/read';
import type { RoundVerdict } from '@fonte/core/round';
import { expect, it } from 'vitest';
import { headline } from './headline.ts';

const set = (id: string): LimitSet => limitSets.on(id, '2026-11-23')!;
const result = (parameter: LabResult['parameter'], value: number | null, form: LabResult['form'] = 'value'): LabResult => ({
  line: 2,
  bottle: 'A',
  parameter,
  form,
  value,
  estimated: false,
  reportingLimit: null,
  written: { result: '', unit: '', reportingLimit: '' },
});
const say = (results: LabResult[], lead = set('eu-2020-2184'), blanks: RoundVerdict['blanks'] = []) =>
  headline({
    sets: [lead],
    visits: [
      {
        visit: 'v',
        pointName: 'P',
        use: 'supply',
        sets: [lead],
        sums: [],
        judged: results.map((one) => ({
          result: one,
          verdict: judgeResult(one, lead, '2026-11-23'),
          others: [],
          sample: 'routine',
          purpose: 'sample',
          doubt: [],
        })),
      },
    ],
    blanks,
    occasions: [],
  });

it('says that all is well only where every result has a value and meets it', () => {
  expect(say([result('iron', 100), result('ecoli', 0)])).toBe('Every result meets its value.');
  expect(say([result('iron', 100), result('calcium', 80)])).toBe('Every result that has a value meets it; 1 has none.');
});

it('finds bacteria whatever the set says of them', () => {
  const silent: LimitSet = { ...set('who-gdwq'), rows: [] };
  expect(say([result('coliforms', 3)], silent)).toContain('Coliform bacteria found');
  expect(say([result('coliforms', null, 'present')], silent)).toContain('Coliform bacteria found');
  expect(say([result('ecoli', 10, 'below')], silent)).toContain('E. coli cannot be told');
  expect(say([result('ecoli', 0)], silent)).not.toContain('found');
});

it('puts bacteria first, then health, what cannot be told, and the rest', () => {
  expect(
    say([result('iron', 340), result('arsenic', 20, 'below'), result('nitrate', 60), result('lead', 12), result('coliforms', 2)]),
  ).toBe('Coliform bacteria found, 2 results are over a health value, 1 cannot be told, 1 is over an indicator value.');
  expect(say([result('arsenic', 20, 'below')])).toBe('1 result cannot be told.');
  expect(say([result('lead', 16), result('iron', 400)], set('us-40-cfr'))).toBe(
    '1 result is over an action level, 1 is over a value for taste or looks.',
  );
});

it('says that a blank was not clean, also where everything meets', () => {
  const hit = { visit: 'v', pointName: 'P', result: result('iron', 3), isHit: true };
  expect(say([result('iron', 100)], undefined, [hit])).toBe('A blank was not clean.');
  expect(say([result('iron', 100)], undefined, [{ ...hit, isHit: false }])).toBe('Every result meets its value.');
});
