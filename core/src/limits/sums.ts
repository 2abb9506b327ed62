import type { LabResult } from '../read/index.ts';
import { bareName, parameter, type ParameterId } from '../parameters/index.ts';
import { convert, showExact, showNumber, unitLabel } from '../units/index.ts';
import type { Working } from '../working/index.ts';
import { boundsOf, type VerdictState } from './judge.ts';
import type { LimitSet, SumRule } from './tables/limit-set.ts';

export interface SumVerdict {
  rule: SumRule;
  state: Exclude<VerdictState, 'no-value'>;
  /** Sum of shares, taking what was not seen as none and as its bound; without an end where parts are missing. */
  low: number;
  high: number;
  /** Parts that were asked for and have no result. */
  missing: readonly ParameterId[];
  /** How many of the parts have a result. */
  parts: number;
  /** Parts of which something was found, the largest share first. */
  found: readonly ParameterId[];
  /** Where all parts are held to one value: that value with its unit; null for shares of several. */
  of: { most: number; unit: SumRule['shares'][number]['unit'] } | null;
  working: Working;
}

/** Whether something of a part was looked for and not seen. */
const isUnseen = ({ form, value }: LabResult) => form === 'below' || form === 'absent' || (form === 'value' && value === 0);

/** Of two results of one part the one that may be more. */
const theHigher = (results: readonly LabResult[]) => results.reduce((a, b) => (boundsOf(b).high > boundsOf(a).high ? b : a));

/** Since when and until when a rule holds. */
const holdsOn = ({ from, until }: SumRule, day: string) => (!from || day >= from) && (!until || day <= until);

/**
 * Judges the sum rules of a set for the results of one point, sampled on a day (`YYYY-MM-DD`). A rule of which no part has a result is left
 * out. Where parts are missing the sum is at least what there is: over its limit it is over, else it cannot be told, unless the list is open.
 * What was not seen counts as anything up to its bound, or as nothing where the text says so; a bound that is over the limit by itself
 * counts in any case, since a lab that sees so little has not looked.
 */
export function judgeSums(results: readonly LabResult[], set: LimitSet, day: string): SumVerdict[] {
  return set.sums.flatMap((rule) => {
    if (!holdsOn(rule, day)) return [];
    const parts = rule.shares.map((share) => ({ share, found: results.filter((result) => result.parameter === share.parameter) }));
    const there = parts.filter((part) => part.found.length > 0);
    const [first] = rule.shares;
    if (there.length === 0 || !first) return [];
    // One part of a closed list is a result of its own, and no sum.
    if (!rule.isOpen && there.length === 1 && parts.length > 1) return [];
    const terms = there.map(({ share, found }) => {
      const result = theHigher(found);
      const of = convert(share.of, share.unit, parameter(share.parameter).unit);
      const { low, high } = boundsOf(result);
      const counts = rule.unseen === 'none' && isUnseen(result) && high <= of ? 0 : high;
      return { share, of, low: low / of, high: counts / of, value: counts };
    });
    const missing = rule.isOpen ? [] : parts.flatMap(({ share, found }) => (found.length === 0 ? [share.parameter] : []));
    const low = terms.reduce((sum, term) => sum + term.low, 0);
    const seen = terms.reduce((sum, term) => sum + term.high, 0);
    const high = missing.length > 0 ? Infinity : seen;
    // Sums of decimal fractions: a tenth and two tenths are three tenths.
    const isOver = (sum: number) => sum > 1 + 1e-9;
    const state = isOver(low) ? (`over-${rule.kind ?? 'health'}` as const) : isOver(high) ? 'cannot-tell' : 'meets';
    const isPlain = rule.shares.every(({ of, unit }) => of === first.of && unit === first.unit);
    const sorted = [...terms].filter((term) => term.low > 0).sort((a, b) => b.low - a.low);
    const inOne = (value: number, id: ParameterId) => convert(value, parameter(id).unit, first.unit);
    const shown = isPlain
      ? terms.map((term) => showExact(inOne(term.value, term.share.parameter)))
      : terms.map((term) => `${showNumber(term.value, 3)} / ${showExact(term.of)} ${unitLabel(parameter(term.share.parameter).unit)}`);
    const total = isPlain ? `${showExact(seen * first.of)} ${unitLabel(first.unit)}` : showNumber(seen, 3);
    const names = terms.map((term) => bareName(term.share.parameter));
    const working: Working = {
      formula: isPlain
        ? `Sum ≤ ${showExact(first.of)} ${unitLabel(first.unit)}`
        : `${terms.map((term, place) => `${names[place]} / ${showExact(term.of)}`).join(' + ')} ≤ 1`,
      inputs: terms.map((term) => ({
        symbol: term.share.parameter,
        name: parameter(term.share.parameter).name,
        value: term.value,
        unit: parameter(term.share.parameter).unit,
        decimals: 3,
      })),
      steps: [`${shown.join(' + ')} = ${total}`],
      source: `${set.source}: ${rule.place}`,
    };
    return [
      {
        rule,
        state,
        low,
        high,
        missing,
        parts: there.length,
        found: sorted.map((term) => term.share.parameter),
        of: isPlain ? { most: first.of, unit: first.unit } : null,
        working,
      },
    ];
  });
}
