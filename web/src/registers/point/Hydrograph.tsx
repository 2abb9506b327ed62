import { fromBase, unitLabel } from '@fonte/core/units';
import { Course } from '../../time/Course.tsx';
import { useUnitSystem } from '../../units/system.ts';
import type { Series } from './series.ts';
import { showMonth, siteZone } from '../../time/show.ts';

/** Water levels of a well through time: elevations, or depths below one mark, which count downwards. */
export function Hydrograph({ says, isDepth, levels, logged = [] }: Series & { logged?: readonly { at: number; value: number }[] }) {
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  // With a logger's course beside them, levels by hand stand as marks on it.
  const shown = logged.length > 0 ? logged : levels;
  const values = shown.map((level) => fromBase(level.value, unit));
  const least = values.reduce((low, value) => Math.min(low, value), Infinity);
  const most = values.reduce((high, value) => Math.max(high, value), -Infinity);
  return (
    <figure>
      <Course
        says={`${says} from ${showMonth(shown[0]!.at)} to ${showMonth(shown.at(-1)!.at)}, between ${least.toFixed(2)} and ${most.toFixed(2)} ${unitLabel(unit)}`}
        times={shown.map((level) => level.at)}
        values={values}
        marks={logged.length > 0 ? levels.map(({ at, value }) => ({ at, value: fromBase(value, unit) })) : []}
        axis={`${isDepth ? 'Depth' : 'Elevation'}, ${unitLabel(unit)}`}
        isReversed={isDepth}
        zone={siteZone()}
        height={190}
      />
    </figure>
  );
}
