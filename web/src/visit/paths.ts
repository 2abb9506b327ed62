import type { NextStep, StepRoom } from '@fonte/core/round';

/** The address of a room of a round; of one run among several where it is named. */
export function roomPath(round: string, room: StepRoom, visit: string | null, procedure?: string): string {
  const base = `/rounds/${round}`;
  if (room === 'plan') return base;
  if (visit !== null && (room === 'level' || room === 'purge' || room === 'tap' || room === 'fill'))
    return `${base}/at/${visit}/${room}${room === 'tap' && procedure ? `/${procedure}` : ''}`;
  return room === 'custody' || room === 'report' || room === 'verdict' ? `${base}/${room}` : base;
}

/** Where a step is done. */
export const stepPath = (round: string, { room, visit, procedure }: NextStep): string => roomPath(round, room, visit, procedure);
