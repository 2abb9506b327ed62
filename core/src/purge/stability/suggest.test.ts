import { expect, it } from 'vitest';
import { compareCriteria, criteria, suggestCriterion, type ReadingSet } from '../index.ts';

const named = (id: string) => criteria.newest.find((one) => one.id === id)!;
const steady = { ph: 7, conductivity: 500, redox: -100, turbidity: 2, temperature: 14 };
const suggested = (oxygen: readonly number[], more: Partial<Record<string, readonly number[]>> = {}) => {
  const sets = oxygen.map((value, at): ReadingSet => ({
    ...steady,
    oxygen: value,
    ...Object.fromEntries(Object.entries(more).map(([id, all]) => [id, all![at]!])),
  }));
  const moments = sets.map((_, at) => ({ at: at * 600_000, pumped: at * 0.01 }));
  return suggestCriterion(compareCriteria(criteria.newest, sets, moments, null), named('epa-1996'), sets);
};

it('suggests another criterion where oxygen alone holds up a well that has none', () => {
  // 10 % of 0.3 mg/L are 0.03: under EPA/540/S-95/504 such readings never agree. Region 1: at or below 0.5 mg/L any reading holds.
  const found = suggested([0.3, 0.4, 0.25, 0.35, 0.28]);
  expect(found?.oxygen).toBe(0.28);
  expect(found?.rule.id).toBe('epa-region1-2017');
});

it('suggests nothing where there is oxygen, where another parameter moves too, or where the readings hold', () => {
  expect(suggested([4, 5, 4, 5, 4])).toBeNull();
  expect(suggested([0.3, 0.4, 0.25, 0.35, 0.6])).toBeNull();
  expect(suggested([0.3, 0.4, 0.25, 0.35, 0.28], { ph: [7, 7.5, 7, 7.5, 7] })).toBeNull();
  expect(suggested([0.3, 0.3, 0.3, 0.3, 0.3])).toBeNull();
  expect(suggested([0.3, 0.4])).toBeNull();
});
