import type { Finding } from '../findings/index.ts';
import type { Point } from '../registers/index.ts';

/** Points of a plan that are not sampled now: what stands in for them is taken, or they wait. */
export function questionOutOfUse(points: readonly Pick<Point, 'name' | 'outOfUse'>[]): Finding[] {
  return points.flatMap(({ name, outOfUse }): Finding[] =>
    outOfUse
      ? [
          {
            code: 'out-of-use',
            severity: 'question',
            field: 'visits',
            data: { name, reason: outOfUse.reason, again: outOfUse.lookAgain ?? '' },
          },
        ]
      : [],
  );
}
