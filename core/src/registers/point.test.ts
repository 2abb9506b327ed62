import { describe, expect, it } from 'vitest';
import { tapPoint, wellPoint } from '../../test/script.ts';
import { belowMark, Point } from './index.ts';

const [mark] = wellPoint.well.measuringPoints;
const refused = (well: object) => {
  const read = Point.safeParse({ ...wellPoint, well });
  return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'));
};

describe('a point as it is registered', () => {
  it('may leave open how a well is built, not where depths are measured from', () => {
    expect(refused({ measuringPoints: [mark] })).toEqual([]);
    expect(refused({ measuringPoints: [mark], intake: 14 })).toEqual([]);
    expect(refused({})).toEqual(['well.measuringPoints']);
    expect(Point.safeParse(tapPoint).success).toBe(true);
  });

  it('knows a screen by both its ends, in their order, and nothing below the bottom', () => {
    const built = (change: object) => refused({ ...wellPoint.well, ...change });
    expect(built({})).toEqual([]);
    expect(built({ screenTop: undefined })).toEqual(['well.screenTop']);
    expect(built({ screenBottom: undefined })).toEqual(['well.screenBottom']);
    expect(built({ screenBottom: 11 })).toEqual(['well.screenBottom']);
    expect(built({ screenBottom: 18.5 })).toEqual(['well.screenBottom']);
    expect(built({ bottom: undefined, screenBottom: 90, intake: 95 })).toEqual([]);
    expect(built({ intake: 19 })).toEqual(['well.intake']);
    expect(built({ bottom: 0 })).toContain('well.bottom');
  });

  it('has its bottom below the mark where it is known', () => {
    expect(belowMark(mark!, wellPoint.well.bottom)).toBeCloseTo(18.6, 9);
    expect(belowMark(mark!, undefined)).toBeNull();
    expect(belowMark({ name: 'Cut in the cap' }, 18)).toBeNull();
  });
});
