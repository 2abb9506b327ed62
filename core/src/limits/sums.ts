import type { LabResult } from '../read/index.ts';
import { parameter } from '../parameters/index.ts';
import { convert, showNumber, unitLabel } from '../units/index.ts';
import type { Working } from '../working/index.ts';
import { boundsOf } from './judge.ts';
import type { LimitSet, SumRule } from './tables/limit-set.ts';

export interface SumVerdict {
  rule: SumRule;
  state: 'meets' | 'over-health' | 'cannot-tell' | 'proves-nothing';
  /** Sum of shares, taking what was not detected as none and as its bound. */
  low: number;
  high: number;
  working: Working;
}

/**
 * Judges the sum rules of a set for the results of one point. A sum is left out while one of its parameters has no
 * result. What was not detected counts as anything between nothing and its bound.
 */
export function judgeSums(results: readonly LabResult[], set: LimitSet): SumVerdict[] {
  return set.sums.flatMap((rule) => {
    const parts = rule.shares.map((share) => ({ share, result: results.find((result) => result.parameter === share.parameter) }));
    if (parts.some((part) => !part.result)) return [];
    const terms = parts.map(({ share, result }) => {
      const of = convert(share.of, share.unit, parameter(share.parameter).unit);
      const { low, high } = boundsOf(result!);
      return { share, of, low: low / of, high: high / of, value: high };
    });
    const low = terms.reduce((sum, term) => sum + term.low, 0);
    const high = terms.reduce((sum, term) => sum + term.high, 0);
    const state = low > 1 ? 'over-health' : high > 1 ? 'cannot-tell' : 'meets';
    const working: Working = {
      formula: `${terms.map((term) => `${parameter(term.share.parameter).name} / ${term.of}`).join(' + ')} ≤ 1`,
      inputs: terms.map((term) => ({
        symbol: term.share.parameter,
        name: parameter(term.share.parameter).name,
        value: term.value,
        unit: parameter(term.share.parameter).unit,
        decimals: 3,
      })),
      steps: [
        `${terms.map((term) => `${showNumber(term.value, 3)} / ${term.of} ${unitLabel(parameter(term.share.parameter).unit)}`).join(' + ')} = ${showNumber(high, 3)}`,
      ],
      source: `${set.source}: ${rule.place}`,
    };
    return [{ rule, state, low, high, working }];
  });
}
