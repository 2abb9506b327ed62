import { questionOutOfUse } from '@fonte/core/plan';
import type { Point } from '@fonte/core/registers';
import { useOutOfUse } from './useOutOfUse.ts';
import { Findings } from '../findings/Findings.tsx';

/** Points of a round that are out of use by the register as it is now, whatever the plan said. */
export function OutOfUse({ points }: { points: readonly Point[] }) {
  const outOfUse = useOutOfUse();
  return <Findings of={questionOutOfUse(points.map((point) => ({ name: point.name, outOfUse: outOfUse(point) })))} />;
}
