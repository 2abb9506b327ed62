import { scoutedAt, scoutedSince, type Scouted } from '@fonte/core/scout';
import { useEffect, useSyncExternalStore } from 'react';
import { useAnswer } from '../../api/useAnswer.ts';
import { subscribe, waiting } from '../../book/outbox.ts';

/** What was seen at a point without a round, newest first, with what only this device has. */
export function useScouted(point: string): Scouted[] {
  const { data = [], mutate } = useAnswer(scoutedAt, { in: { point } });
  const own = useSyncExternalStore(subscribe, () => waiting(point));
  // What has left this device stands at the server.
  useEffect(() => void mutate(), [own, mutate]);
  return scoutedSince(data, own);
}
