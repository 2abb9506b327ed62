import { dueAt, sampleRecord } from '@fonte/core/due';
import { registerLists } from '@fonte/core/registers';
import { day, wallTime } from '@fonte/core/time';
import { useMemo } from 'react';
import { useAnswer } from '../../api/useAnswer.ts';
import { now } from '../../time/clock.ts';
import { deviceZone } from '../../time/show.ts';

/** How far back samples are looked at (ms): two of the longest periods. */
const backTo = 6 * 366 * day;

/** What each point lacks of its programmes; undefined while that is not known. */
export function useDueAt(): ReadonlyMap<string, 'behind' | 'due'> | undefined {
  const { data: programmes } = useAnswer(registerLists.programmes, { query: { limit: 500 } });
  const { data: samples } = useAnswer(sampleRecord, { query: { from: wallTime(now() - backTo, 'UTC').date } });
  const today = wallTime(now(), deviceZone()).date;
  return useMemo(() => programmes && samples && dueAt(programmes, samples, today), [programmes, samples, today]);
}
