import type { Compared } from './compare.ts';
import type { Criterion } from './criterion.ts';
import type { ReadingSet } from './judge.ts';

/** Water with no more oxygen than this (mg/L) is without it: a per cent of so little is less than a probe can hold. Common practice. */
const anoxic = 0.5;

/** A criterion under which the readings hold now, where the one in use is held up by oxygen alone in water that has none. */
export interface Suggested {
  rule: Criterion;
  /** The last reading, in mg/L. */
  oxygen: number;
}

/**
 * Another criterion for a well without oxygen, which a per cent of next to nothing would never let be sampled; null where anything else holds
 * the purge up too, where there is oxygen, or where no criterion that reads oxygen holds. A proposal: the plan of the work decides.
 */
export function suggestCriterion(compared: readonly Compared[], inUse: Criterion, sets: readonly ReadingSet[]): Suggested | null {
  const own = compared.find(({ rule }) => rule === inUse)?.now;
  if (!own || own.stable || !own.heldUpBy.every(({ parameter }) => parameter === 'oxygen')) return null;
  const read = sets.flatMap(({ oxygen }) => (oxygen === undefined ? [] : [oxygen])).slice(-inUse.sets);
  const last = read.at(-1);
  if (last === undefined || read.length < inUse.sets || read.some((value) => value > anoxic)) return null;
  const other = compared.find(
    ({ rule, now }) =>
      rule !== inUse && now?.stable === true && rule.sets >= 3 && rule.tolerances.some(({ parameter }) => parameter === 'oxygen'),
  );
  return other ? { rule: other.rule, oxygen: last } : null;
}
