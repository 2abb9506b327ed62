import type { ParameterId } from '../../parameters/index.ts';
import { countingSets, spacingOf, type CountedBy, type Moment } from './counting.ts';
import type { Criterion } from './criterion.ts';
import { judgeStability, type ReadingSet, type ReadingSteps, type Stability } from './judge.ts';

/** What one criterion says of the readings of a purge. */
export interface Compared {
  rule: Criterion;
  /** What it names and nobody read: nothing is said of such a purge, unless the criterion is in use without it. */
  unread: readonly ParameterId[];
  /** The place of the first set at which it was met; null where it never was, or where something was not read. */
  first: number | null;
  /** As the last sets stand; null where something was not read. */
  now: Stability | null;
}

interface CompareOptions {
  /** Of a range of sets, by place, as {@link judgeStability} takes them. */
  steps?: (from: number, to: number) => ReadingSteps;
  /** The criterion of the purge, and the parameters that were chosen for it. */
  inUse?: { rule: Criterion; parameters: readonly ParameterId[] } | null;
}

/**
 * All criteria on the same readings: when would each have let you sample? A criterion is judged by all that it names: one of which
 * something was never read says nothing. The one in use says what it says of the purge, by the parameters that were chosen for it.
 *
 * @param by what the method counts its water by
 */
export function compareCriteria(
  rules: readonly Criterion[],
  sets: readonly ReadingSet[],
  moments: readonly Moment[],
  by: CountedBy | null,
  { steps = () => ({}), inUse = null }: CompareOptions = {},
): Compared[] {
  return rules.map((rule) => {
    const chosen = inUse?.rule === rule ? inUse.parameters : undefined;
    const unread = rule.tolerances.map(({ parameter }) => parameter).filter((id) => sets.every((set) => set[id] === undefined));
    if (unread.some((id) => !chosen || chosen.includes(id))) return { rule, unread, first: null, now: null };
    const counts = countingSets(spacingOf(rule, by), moments);
    const judged = (to: number) => {
      // A window holds the sets that count and what was read between them: this much back is enough to find it.
      let from = to;
      for (let left = rule.sets; from > 0 && left > 0;) {
        from -= 1;
        if (counts[from]) left -= 1;
      }
      return judgeStability(rule, sets.slice(from, to), chosen, { steps: steps(from, to), counts: counts.slice(from, to) });
    };
    const first = sets.findIndex((_, place) => judged(place + 1).stable);
    return { rule, unread, first: first < 0 ? null : first, now: judged(sets.length) };
  });
}
