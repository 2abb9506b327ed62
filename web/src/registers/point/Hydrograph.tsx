import { fromBase, unitLabel } from '@fonte/core/units';
import { Course } from '../../theme/Course.tsx';
import { useUnitSystem } from '../../units/system.ts';
import type { Series } from './series.ts';

/** Water levels of a well through time: elevations, or depths below one mark, which count downwards. */
export function Hydrograph({ says, isDepth, levels }: Series) {
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  const label = new Intl.DateTimeFormat('en-GB', { month: 'short', year: '2-digit', timeZone: 'UTC' });
  const values = levels.map((level) => fromBase(level.value, unit));
  return (
    <figure>
      <Course
        says={`${says} from ${label.format(levels[0]!.at)} to ${label.format(levels.at(-1)!.at)}, between ${Math.min(...values).toFixed(2)} and ${Math.max(...values).toFixed(2)} ${unitLabel(unit)}`}
        times={levels.map((level) => level.at)}
        values={values}
        axis={`${isDepth ? 'Depth' : 'Elevation'}, ${unitLabel(unit)}`}
        isReversed={isDepth}
        height={190}
      />
    </figure>
  );
}
