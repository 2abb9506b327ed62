import type { Room } from '@fonte/core/round';

/** The address of a room of a round. */
export function roomPath(round: string, room: Room, visit: string | null): string {
  const base = `/rounds/${round}`;
  if (room === 'plan') return base;
  if (visit !== null && (room === 'level' || room === 'purge' || room === 'tap' || room === 'fill')) return `${base}/at/${visit}/${room}`;
  return room === 'custody' || room === 'report' || room === 'verdict' ? `${base}/${room}` : base;
}
