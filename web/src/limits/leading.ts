import { judgeSums, type LimitSet } from '@fonte/core/limits';
import type { RoundVerdict } from '@fonte/core/round';

/** A verdict as somebody sees it who looks at another of its sets first. What must be done still follows from the round's own lead. */
export function ledBy(verdict: RoundVerdict, id: string): RoundVerdict {
  const lead = verdict.sets.find((set) => set.id === id);
  const [first] = verdict.sets;
  if (!lead || lead === first) return verdict;
  const sets = [lead, ...verdict.sets.filter((set) => set !== lead)] as [LimitSet, ...LimitSet[]];
  const visits = verdict.visits.map((visit) => ({
    ...visit,
    judged: visit.judged.map((one) => {
      const own = one.others.find(({ set }) => set === lead)!;
      return {
        ...one,
        verdict: own.verdict,
        others: [{ set: first, verdict: one.verdict }, ...one.others.filter((other) => other !== own)],
      };
    }),
    sums: judgeSums(
      visit.judged.map(({ result }) => result),
      lead,
    ),
  }));
  return { ...verdict, sets, visits };
}
