import { dueAt, lookBack, sampleRecord } from '@fonte/core/due';
import { pointPlaces, registerLists } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { useMemo } from 'react';
import { useAnswer } from '../../api/useAnswer.ts';
import { now } from '../../time/clock.ts';
import { siteZone } from '../../time/show.ts';

/** What each point lacks of its programmes; undefined while that is not known. */
export function useDueAt(): ReadonlyMap<string, 'behind' | 'due'> | undefined {
  const { data: programmes } = useAnswer(registerLists.programmes, { query: { limit: 500 } });
  const { data: samples } = useAnswer(sampleRecord, { query: { from: wallTime(now() - lookBack, 'UTC').date } });
  const { data: places } = useAnswer(pointPlaces, {});
  const today = wallTime(now(), siteZone()).date;
  return useMemo(() => {
    if (!programmes || !samples || !places) return undefined;
    return dueAt(programmes, samples, today, new Set(places.filter(({ outOfUse }) => outOfUse).map(({ id }) => id)));
  }, [programmes, samples, places, today]);
}
