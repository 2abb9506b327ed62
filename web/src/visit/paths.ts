import type { NextStep, StepRoom } from '@fonte/core/round';

const ofVisit: ReadonlySet<StepRoom> = new Set(['level', 'purge', 'tap', 'fill', 'pictures']);

/** The address of a room of a round; of one run among several where it is named. */
export function roomPath(round: string, room: StepRoom, visit: string | null, procedure?: string): string {
  const base = `/rounds/${round}`;
  if (room === 'plan' || (ofVisit.has(room) && visit === null)) return base;
  if (ofVisit.has(room)) return `${base}/at/${visit}/${room}${room === 'tap' && procedure ? `/${procedure}` : ''}`;
  return `${base}/${room}`;
}

/** Where a step is done. */
export const stepPath = (round: string, { room, visit, procedure }: NextStep): string => roomPath(round, room, visit, procedure);
