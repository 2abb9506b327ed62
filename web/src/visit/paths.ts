import type { NextStep, StepRoom } from '@fonte/core/round';

/** The address of a room of a round, at one of its visits or of the whole; of one run among several where it is named. */
export function roomPath(round: string, room: StepRoom, visit: string | null, procedure?: string): string {
  const base = `/rounds/${round}`;
  // What is planned of a visit stands with the whole plan.
  if (room === 'plan') return base;
  return visit === null ? `${base}/${room}` : `${base}/at/${visit}/${room}${procedure ? `/${procedure}` : ''}`;
}

/** Where a step is done. */
export const stepPath = (round: string, { room, visit, procedure }: NextStep): string => roomPath(round, room, visit, procedure);
