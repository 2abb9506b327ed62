import type { LabResult } from '../read/index.ts';
import { isDrunk, type BroughtReport } from '../registers/index.ts';
import { judgeResult, limitSetAt, type LimitSet } from './judge.ts';
import { limitSetNamed } from './own.ts';
import { inReadingOrder, type JudgedResult } from './ranking.ts';
import { judgeSums, type SumVerdict } from './sums.ts';

/** What a report that somebody brought comes to. */
export interface BroughtVerdict {
  /** The first one leads. */
  sets: readonly [LimitSet, ...LimitSet[]];
  /** Whether people drink it. */
  isDrunk: boolean;
  /** In reading order. */
  judged: JudgedResult[];
  sums: SumVerdict[];
}

/**
 * The results of a report that somebody brought against its limits. Nobody here saw how the sample was taken: what lies under a value proves
 * nothing, what lies over one is over it all the same. Null where this copy of the product does not have the set that leads.
 */
export function judgeBrought(
  { limits, kind, water, sampled }: Pick<BroughtReport, 'limits' | 'kind' | 'water' | 'sampled'>,
  results: readonly LabResult[],
): BroughtVerdict | null {
  const [lead, ...others] = limits.map((ref) => {
    const set = limitSetNamed(ref, []);
    return set && limitSetAt(set, { kind, isTreated: water === 'treated' });
  });
  if (!lead) return null;
  const beside = others.flatMap((set) => set ?? []);
  const judged = results.map((result): JudgedResult => ({
    result,
    verdict: judgeResult(result, lead, sampled, 'brought'),
    others: beside.map((set) => ({ set, verdict: judgeResult(result, set, sampled, 'brought') })),
  }));
  return {
    sets: [lead, ...beside],
    isDrunk: isDrunk({ kind, water, use: water === 'raw' ? 'monitoring' : 'supply' }),
    judged: inReadingOrder(judged),
    sums: judgeSums(results, lead, sampled).map((sum) => (sum.state === 'meets' ? { ...sum, state: 'proves-nothing' } : sum)),
  };
}
