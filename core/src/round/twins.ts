import { besideDuplicate, duplicateDiffers } from '../limits/index.ts';
import type { RoundResult } from './results.ts';

/** A result beside the duplicate that differs from it most, or the sample that it is a duplicate of. */
export function besideTwin(one: RoundResult, all: readonly RoundResult[]): RoundResult {
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
  const isOver = ({ verdict }: RoundResult) => verdict.state.startsWith('over-');
  return {
    ...one,
    twin: { bottle: other.result.bottle, by, isOther: isOver(one) !== isOver(other) },
    verdict: besideDuplicate(one.verdict, other.verdict),
    others: one.others.map((each, place) => ({ ...each, verdict: besideDuplicate(each.verdict, other.others[place]!.verdict) })),
  };
}
