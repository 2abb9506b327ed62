import type { RoundLine } from '@fonte/core/round';
import { showDate, wallTime } from '@fonte/core/time';

/** When a round is or was to be, and that nobody has begun one of days ago. */
export function sayPlanned({ date, overview: { zone, isBegun } }: RoundLine, time: number): string {
  const today = wallTime(time, zone).date;
  if (date === today) return 'today';
  const planned = `planned for ${showDate(date)}`;
  return date < today && !isBegun ? `${planned}, not begun` : planned;
}
