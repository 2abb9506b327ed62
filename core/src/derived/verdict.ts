import { judgeResult, type LimitSet, type Verdict } from '../limits/index.ts';
import type { LabResult } from '../read/index.ts';
import type { Derived } from './derive.ts';

/**
 * What a quantity that was worked out says against a set, where the set has a value for it and the lab did not report it: the verdict over its
 * whole span, open where the ends say different things. Null where there is nothing to say. No follow-up hangs on it.
 */
export function judgeDerived({ row, low, high }: Derived, results: readonly Pick<LabResult, 'parameter'>[], set: LimitSet, day: string) {
  const { same } = row;
  if (same === undefined || results.some(({ parameter }) => parameter === same)) return null;
  const at = (value: number): Verdict =>
    judgeResult(
      {
        line: 0,
        bottle: '',
        parameter: same,
        form: 'value',
        value,
        estimated: false,
        reportingLimit: null,
        written: { result: '', unit: '', reportingLimit: '' },
      },
      set,
      day,
    );
  const [first, last] = [at(low), at(high)];
  if (last.state === 'no-value') return null;
  return first.state === last.state ? last : { ...last, state: 'cannot-tell' as const, close: false };
}
