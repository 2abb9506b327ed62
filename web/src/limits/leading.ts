import { useSyncExternalStore } from 'react';
import { judgeSums, type LimitSet } from '@fonte/core/limits';
import type { RoundVerdict } from '@fonte/core/round';

const key = 'fonte.limits';
const listeners = new Set<() => void>();
const read = (): string => localStorage.getItem(key) ?? '';

/** The set of limits (its id) that a person wants to see first wherever a round is compared with it; empty for the round's own order. */
export function useLeadingLimits() {
  const leading = useSyncExternalStore((changed) => {
    listeners.add(changed);
    return () => listeners.delete(changed);
  }, read);
  const chooseLeading = (id: string) => {
    localStorage.setItem(key, id);
    for (const changed of listeners) changed();
  };
  return { leading, chooseLeading };
}

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
