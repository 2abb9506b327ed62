import { showDate, wallTime } from '@fonte/core/time';

/** A moment on the wall of a place, with what its zone is called: paper travels. */
export function shownAt(utc: string, zone: string): string {
  const { date, time } = wallTime(Date.parse(utc), zone);
  return `${showDate(date)}, ${time.slice(0, 5)} (${zone})`;
}
