import { TZDate } from '@date-fns/tz';

/** The wall clock of a zone at one moment. `weekday` runs from 1, Monday, to 7, Sunday (ISO 8601). */
export interface WallTime {
  date: string;
  time: string;
  weekday: number;
}

const two = (value: number) => String(value).padStart(2, '0');

/** What the wall clock of an IANA zone shows at a moment, to the minute. */
export function wallTime(milliseconds: number, zone: string): WallTime {
  const there = new TZDate(milliseconds, zone);
  return {
    date: `${there.getFullYear()}-${two(there.getMonth() + 1)}-${two(there.getDate())}`,
    time: `${two(there.getHours())}:${two(there.getMinutes())}`,
    weekday: there.getDay() === 0 ? 7 : there.getDay(),
  };
}

/**
 * The moment at which the wall clock of a zone shows a date and time. A time that a spring change skips becomes the
 * first moment after the gap, as wall clocks do.
 * @param date `YYYY-MM-DD`; @param time `HH:MM` or `HH:MM:SS`
 */
export function atWall(date: string, time: string, zone: string): number {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const [hours, minutes, seconds = 0] = time.split(':').map(Number) as [number, number, number?];
  return new TZDate(year, month - 1, day, hours, minutes, seconds, zone).getTime();
}

/** The last second of the day that a moment falls on in a zone. */
export function endOfDay(milliseconds: number, zone: string): number {
  return atWall(wallTime(milliseconds, zone).date, '23:59:59', zone);
}

/** Whether a text names a zone that this platform knows. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return zone !== '';
  } catch {
    return false;
  }
}
