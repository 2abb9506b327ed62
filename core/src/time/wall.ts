import { TZDate, tzOffset } from '@date-fns/tz';

/** The wall clock of a zone at one moment. `weekday` runs from 1, Monday, to 7, Sunday (ISO 8601). */
export interface WallTime {
  date: string;
  time: string;
  weekday: number;
}

const two = (value: number) => String(value).padStart(2, '0');

/**
 * What the wall clock of an IANA zone shows at a moment, to the minute.
 * @example wallTime(Date.UTC(2026, 10, 23, 10, 5), 'Atlantic/Azores').time // '09:05'
 */
export function wallTime(milliseconds: number, zone: string): WallTime {
  const there = new TZDate(milliseconds, zone);
  return {
    date: `${there.getFullYear()}-${two(there.getMonth() + 1)}-${two(there.getDate())}`,
    time: `${two(there.getHours())}:${two(there.getMinutes())}`,
    weekday: there.getDay() === 0 ? 7 : there.getDay(),
  };
}

/** Minutes that the wall clock of a zone is ahead of UTC at a moment. */
export const offsetIn = (milliseconds: number, zone: string): number => tzOffset(zone, new Date(milliseconds));

/**
 * The moment at which the wall clock of a zone shows a date and time, whatever the zone of this machine. Of an hour that autumn
 * repeats the first is meant; a time that spring skips is moved on by what is skipped.
 * @param date `YYYY-MM-DD`; @param time `HH:MM` or `HH:MM:SS`
 */
export function atWall(date: string, time: string, zone: string): number {
  const [first] = wallInstants(date, time, zone);
  return first ?? skippedAt(date, time, zone);
}

/** A time that spring skips, moved on by what is skipped. */
const skippedAt = (date: string, time: string, zone: string): number => {
  const asUtc = asIfUtc(date, time);
  return asUtc - offsetIn(asUtc - dayLong, zone) * 60_000;
};

/**
 * The moments at which the wall clock of a zone shows a date and time, in order: one as a rule, two in the hour that autumn repeats, none
 * in the one that spring skips.
 * @param date `YYYY-MM-DD`; @param time `HH:MM` or `HH:MM:SS`
 * @example wallInstants('2026-10-25', '01:30', 'Europe/Lisbon').length // 2
 */
export function wallInstants(date: string, time: string, zone: string): number[] {
  const asUtc = asIfUtc(date, time);
  // The offsets about that time: two of them where the clocks are changed.
  const about = [asUtc - dayLong, asUtc + dayLong].map((moment) => asUtc - offsetIn(moment, zone) * 60_000);
  const shown = about.filter((moment) => moment + offsetIn(moment, zone) * 60_000 === asUtc);
  return [...new Set(shown)].sort((a, b) => a - b);
}

function asIfUtc(date: string, time: string): number {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const [hours, minutes, seconds = 0] = time.split(':').map(Number) as [number, number, number?];
  return Date.UTC(year, month - 1, day, hours, minutes, seconds);
}

const dayLong = 86_400_000;

/** The date so many days after another. */
export function dateAfter(date: string, days: number): string {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  return new Date(Date.UTC(year, month - 1, day + days)).toISOString().slice(0, 10);
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
