import { judgeResult, limitSets, type LimitSet } from '@fonte/core/limits';
import type { LabResult } from '@fonte/core/read';
import type { RoundVerdict, VisitVerdict } from '@fonte/core/round';
import { expect, it } from 'vitest';
import { ledBy } from './leading.ts';

const day = '2026-11-23';
const [eu, us, who] = ['eu-2020-2184', 'us-40-cfr', 'who-gdwq'].map((id) => limitSets.on(id, day)!) as [LimitSet, LimitSet, LimitSet];
const fluoride: LabResult = {
  line: 2,
  bottle: 'A',
  parameter: 'fluoride',
  form: 'value',
  value: 1.9,
  estimated: false,
  reportingLimit: null,
  written: { result: '', unit: '', reportingLimit: '' },
};
const reported = { report: 'a', known: 0, isPreliminary: false, isDissolved: false };
const at = (sets: [LimitSet, ...LimitSet[]]): VisitVerdict => ({
  visit: sets.map(({ id }) => id).join(),
  pointName: 'P',
  use: 'supply',
  day,
  sets,
  sums: [],
  onSite: [],
  judged: [
    {
      result: fluoride,
      verdict: judgeResult(fluoride, sets[0], day),
      others: sets.slice(1).map((set) => ({ set, verdict: judgeResult(fluoride, set, day) })),
      sample: 'routine',
      purpose: 'sample',
      doubt: [],
      twin: null,
      ...reported,
    },
  ],
});
const verdict: RoundVerdict = {
  sets: [eu, us],
  visits: [at([eu, us]), at([who])],
  blanks: [],
  occasions: [],
  gaps: { pending: [], rows: 0, without: 0, reported: 1, asked: 1, byHand: 0, lost: [] },
  byHand: [],
};
const seen = (one: RoundVerdict) => one.visits.map((visit) => [visit.sets[0].id, visit.judged[0]!.verdict.state]);

it('shows the set that a person looks at first where a point is judged by it, and leaves the other points as they are', () => {
  expect(seen(verdict)).toEqual([
    ['eu-2020-2184', 'over-health'],
    ['who-gdwq', 'over-health'],
  ]);
  const led = ledBy(verdict, 'us-40-cfr');
  expect(led.sets.map(({ id }) => id)).toEqual(['us-40-cfr', 'eu-2020-2184']);
  expect(seen(led)).toEqual([
    ['us-40-cfr', 'meets'],
    ['who-gdwq', 'over-health'],
  ]);
  expect(led.visits[0]!.judged[0]!.others).toMatchObject([{ set: { id: 'eu-2020-2184' }, verdict: { state: 'over-health' } }]);
});

it('changes nothing for a set that nothing is judged by', () => {
  expect(ledBy(verdict, '')).toBe(verdict);
  expect(ledBy(verdict, 'eu-2020-2184')).toBe(verdict);
});

it('counts the sample once in a sum, whatever its duplicate says', () => {
  const found = (parameter: 'nitrate' | 'nitrite', value: number, purpose: 'sample' | 'duplicate') => {
    const result: LabResult = { ...fluoride, parameter, value };
    const others = [{ set: who, verdict: judgeResult(result, who, day) }];
    return {
      result,
      verdict: judgeResult(result, eu, day),
      others,
      sample: 'routine' as const,
      purpose,
      doubt: [],
      twin: null,
      ...reported,
    };
  };
  const judged = [found('nitrate', 40, 'duplicate'), found('nitrate', 20, 'sample'), found('nitrite', 0.3, 'sample')];
  const led = ledBy({ ...verdict, sets: [eu, who], visits: [{ ...at([eu, who]), judged }] }, 'who-gdwq');
  // WHO, guidelines for drinking-water quality, 4th edition: nitrate 50 mg/L and nitrite 3 mg/L, the shares together up to 1.
  expect(led.visits[0]!.sums.map((sum) => Number(sum.high.toFixed(3)))).toEqual([0.5]);
});
