import type { Photometer } from '@fonte/core/devices';
import { chlorineAt, photometerShows } from '@fonte/core/simulation';
import type { VisitState } from '@fonte/core/round';
import { now } from '../time/clock.ts';

/** A photometer at a point of the demo: it shows what one would, early, late and without a zero. Null for what it does not know. */
export function simulatedPhotometer({ id, point }: VisitState): Photometer {
  const least = point.type === 'tap' ? point.tap.residualMinimum : null;
  const water = chlorineAt(point.id, least, point.disinfection === 'chloramine');
  return {
    name: 'Simulated photometer',
    read: ({ parameter, ...cuvette }) => {
      const of = parameter === 'totalChlorine' || parameter === 'monochloramine' ? parameter : 'freeChlorine';
      return Promise.resolve(photometerShows(water, { of, ...cuvette }, now(), id));
    },
  };
}
