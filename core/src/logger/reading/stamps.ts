import type { DateOrder, LoggerClock } from '../../registers/index.ts';
import { atWall, hour, minute, offsetIn } from '../../time/index.ts';

/** A date with or without its time and its distance from UTC: `23.11.2026 09:15:00`, `2026-11-23T09:15Z`, `11/23/26 9:15 PM`. */
const pattern =
  /^(\d{1,4})[-/.](\d{1,2})[-/.](\d{1,4})(?:[ T,]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d{1,9})?)?(?:\s*([ap])\.?\s*m\.?)?)?\s*(z|utc|[+-]\d{2}:?\d{2})?$/i;

/** A moment as its clock shows it, as if that were UTC (ms), and what is written of its distance from UTC (ms). */
interface Shown {
  shown: number;
  written: number | null;
}

const offsetOf = (text: string | undefined): number | null => {
  if (text === undefined) return null;
  const match = /^([+-])(\d{2}):?(\d{2})$/.exec(text);
  if (!match) return 0;
  return (match[1] === '-' ? -1 : 1) * (Number(match[2]) * hour + Number(match[3]) * minute);
};

/** What a text shows in an order of day, month and year; null where it is no date in that order. */
export function shownIn(text: string, order: DateOrder): Shown | null {
  const found = pattern.exec(text.trim());
  if (!found) return null;
  const [, a, b, c] = found as unknown as [string, string, string, string];
  const isYearFirst = order === 'ymd';
  if (isYearFirst !== a.length > 2 || b.length > 2) return null;
  if (isYearFirst ? c.length > 2 : c.length === 1 || c.length === 3) return null;
  const [yearText, monthText, dayText] = isYearFirst ? [a, b, c] : order === 'dmy' ? [c, b, a] : [c, a, b];
  const year = Number(yearText) + (yearText.length === 2 ? 2000 : 0);
  const [month, day] = [Number(monthText), Number(dayText)];
  const hours = Number(found[4] ?? 0);
  const half = found[7]?.toLowerCase();
  if (month < 1 || month > 12 || day < 1 || hours > (half ? 12 : 23) || (half && hours === 0)) return null;
  const [minutes, seconds] = [Number(found[5] ?? 0), Number(found[6] ?? 0)];
  if (minutes > 59 || seconds > 59 || year < 1970) return null;
  const shown = Date.UTC(year, month - 1, day, half ? (hours % 12) + (half === 'p' ? 12 : 0) : hours, minutes, seconds);
  // The 31st of June is no day.
  return new Date(shown).getUTCDate() === day || hours === 24 ? { shown, written: offsetOf(found[8]) } : null;
}

/** What became of a moment shown: the instant (ms), or why there is none that everybody would read alike. */
export type Instant = { at: number } | { code: 'no-date' | 'no-such-hour' | 'no-offset' | 'offset-written' };

/** A moment of an hour that autumn repeats. */
export interface Repeated {
  /** Both instants that it may be. */
  first: number;
  second: number;
}

/**
 * Makes instants of what a clock shows. A wall clock's own zone is asked once a day and not for each of thousands of rows; of an hour that
 * autumn repeats both instants are told, for the order of the rows to decide.
 */
export function instants(order: DateOrder, clock: LoggerClock): (text: string) => Instant | Repeated {
  const days = new Map<number, number | null>();
  const dayLong = 24 * hour;
  /** Distance from UTC all through a day and its neighbours, or null where it changes. */
  const through = (shown: number, zone: string): number | null => {
    const day = Math.floor(shown / dayLong);
    const known = days.get(day);
    if (known !== undefined) return known;
    const [before, after] = [offsetIn((day - 1) * dayLong, zone), offsetIn((day + 2) * dayLong, zone)];
    const same = before === after ? before * minute : null;
    days.set(day, same);
    return same;
  };
  return (text) => {
    const found = shownIn(text, order);
    if (!found) return { code: 'no-date' };
    const { shown, written } = found;
    if (clock.goes === 'written') return written === null ? { code: 'no-offset' } : { at: shown - written };
    if (written !== null) return { code: 'offset-written' };
    if (clock.goes === 'fixed') return { at: shown - clock.offset * minute };
    const plain = through(shown, clock.zone);
    if (plain !== null) return { at: shown - plain };
    const [date, time] = new Date(shown).toISOString().slice(0, 19).split('T') as [string, string];
    const first = atWall(date, time, clock.zone);
    const shows = (at: number) => at + offsetIn(at, clock.zone) * minute === shown;
    if (!shows(first)) return { code: 'no-such-hour' };
    for (const later of [first + hour / 2, first + hour]) if (shows(later)) return { first, second: later };
    return { at: first };
  };
}
