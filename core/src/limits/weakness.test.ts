import { describe, expect, it } from 'vitest';
import type { ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { judgeResult, limitSets, weaknessOf } from './index.ts';

const routine = { sample: 'routine', isTold: false, isContradicted: false, isDissolved: false, isFlushed: false } as const;
const set = limitSets.newest.find(({ id }) => id === 'eu-2020-2184')!;
const of = (parameter: ParameterId, value: number): LabResult => ({
  line: 1,
  bottle: '261123A-MH1-M',
  parameter,
  form: 'value',
  value,
  estimated: false,
  reportingLimit: null,
  written: { result: String(value), unit: '', reportingLimit: '' },
});

describe('a result under its value that is no proof', () => {
  // Directive (EU) 2020/2184, Annex II, Part D, 2: copper, lead and nickel at the tap, without flushing.
  it.each(['lead', 'copper', 'nickel'] as const)('is one of %s where the pipes had been flushed', (id) => {
    const weakness = weaknessOf(id, { ...routine, isFlushed: true });
    expect(weakness).toBe('flushed');
    expect(weaknessOf(id, routine)).toBeNull();
    const found = of(id, 0.001);
    expect(judgeResult(found, set, '2026-11-23').state).toBe('meets');
    expect(judgeResult(found, set, '2026-11-23', weakness).state).toBe('proves-nothing');
  });

  it('is not one of what comes with the water, however long it ran', () => {
    for (const id of ['nitrate', 'arsenic', 'iron', 'manganese'] as const)
      expect(weaknessOf(id, { ...routine, isFlushed: true }), id).toBeNull();
  });

  it('is one of a sample that was special, contradicted, filtered, told or counted on the own bench, the worst first', () => {
    expect(weaknessOf('lead', { ...routine, sample: 'special', isFlushed: true })).toBe('special');
    expect(weaknessOf('lead', { ...routine, isContradicted: true, isFlushed: true })).toBe('contradicted');
    expect(weaknessOf('iron', { ...routine, isDissolved: true })).toBe('dissolved');
    expect(weaknessOf('ecoli', { ...routine, isTold: true })).toBe('told');
    expect(weaknessOf('ecoli', { ...routine, isOwnBench: true })).toBe('own-bench');
  });
});
