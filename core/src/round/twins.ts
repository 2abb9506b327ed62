import type { PurposeId } from '../bottles/index.ts';
import { besideDuplicate, duplicateDiffers, type JudgedResult } from '../limits/index.ts';

/** Another bottle of the same water that has another result: by what part of the mean, and whether it lies on the other side of a value. */
export interface Twin {
  bottle: string;
  by: number;
  isOther: boolean;
}

/** A judged result with what tells the other bottles of its water. */
interface Twinned extends JudgedResult {
  purpose: PurposeId;
  isDissolved: boolean;
  twin: Twin | null;
}

/** A result beside the duplicate that differs from it most, or the sample that it is a duplicate of. */
export function besideTwin<R extends Twinned>(one: R, all: readonly R[]): R {
  const [twin] = all
    .flatMap((other) => {
      const isTwin =
        other.result.bottle !== one.result.bottle &&
        other.result.parameter === one.result.parameter &&
        other.isDissolved === one.isDissolved &&
        (other.purpose === 'sample') !== (one.purpose === 'sample');
      const by = isTwin ? duplicateDiffers(one.result, other.result) : null;
      return by === null ? [] : [{ other, by }];
    })
    .sort((a, b) => b.by - a.by);
  if (!twin) return one;
  const { other, by } = twin;
  const isOver = ({ verdict }: Twinned) => verdict.state.startsWith('over-');
  return {
    ...one,
    twin: { bottle: other.result.bottle, by, isOther: isOver(one) !== isOver(other) },
    verdict: besideDuplicate(one.verdict, other.verdict),
    others: one.others.map((each, place) => ({ ...each, verdict: besideDuplicate(each.verdict, other.others[place]!.verdict) })),
  };
}
