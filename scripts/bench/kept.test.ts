import { describe, expect, it } from 'vitest';
import { asNow, hasSlipped, readKept, slippedInBoth } from './kept.ts';

describe('a figure beside the one that was kept', () => {
  const kept = { value: 100, unit: 'ms', yard: 10 };

  it('has slipped once it is more than a quarter longer', () => {
    expect(hasSlipped(124, kept, 10)).toBe(false);
    expect(hasSlipped(126, kept, 10)).toBe(true);
  });

  it('is measured by the machine as it is: at half the speed twice the time is the same', () => {
    expect(asNow(kept, 20)).toBe(200);
    expect(hasSlipped(240, kept, 20)).toBe(false);
    expect(hasSlipped(126, kept, 5)).toBe(true);
  });

  it('is itself where it is no time, and says nothing within the noise', () => {
    expect(hasSlipped(9, { value: 8, unit: '×', yard: 10 }, 40)).toBe(false);
    expect(hasSlipped(11, { value: 8, unit: '×', yard: 10 }, 40)).toBe(true);
    expect(hasSlipped(2, { value: 1, unit: 'ms', yard: 10 }, 10)).toBe(false);
  });

  it('has slipped where it did in each run, and not where one of them was slow', () => {
    const run = (...slipped: string[]) => ['a', 'b', 'c'].map((name) => ({ name, slipped: slipped.includes(name) }));
    expect(slippedInBoth(run('a', 'b'), run('b', 'c'))).toEqual(run('b'));
  });

  it('has a unit and a yardstick in the file', () => {
    for (const [name, { value, unit, yard }] of Object.entries(readKept())) {
      expect(value, name).toBeGreaterThanOrEqual(0);
      expect(unit, name).not.toBe('');
      expect(yard, name).toBeGreaterThan(0);
    }
  });
});
