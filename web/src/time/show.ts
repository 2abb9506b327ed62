import { wallTime } from '@fonte/core/time';

const formats = new Map<string, Intl.DateTimeFormat>();

/** One format for each way of saying in each zone: to make one takes longer than to use it a thousand times. */
function inZone(zone: string, says: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${zone} ${JSON.stringify(says)}`;
  const known = formats.get(key) ?? new Intl.DateTimeFormat('en-GB', { ...says, timeZone: zone });
  formats.set(key, known);
  return known;
}

let zone: string | null = null;

/** The zone of the house's work, as the server or the disk says; the device's until there is any. */
export const siteZone = (): string => zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;

/** From now on what belongs to no round is shown on that wall clock; null for the device's. */
export function setSiteZone(to: string | null): void {
  zone = to;
}

/** `14:05` on the site's wall clock. */
export function showTime(milliseconds: number, zone: string): string {
  return wallTime(milliseconds, zone).time;
}

/** `Mon 23 Nov` on the site's wall clock. */
export function showDay(milliseconds: number, zone: string): string {
  return inZone(zone, { weekday: 'short', day: 'numeric', month: 'short' }).format(milliseconds);
}

/** `Mon 23 Nov, 14:05` on the site's wall clock. */
export function showMoment(milliseconds: number, zone: string): string {
  return `${showDay(milliseconds, zone)}, ${showTime(milliseconds, zone)}`;
}

/** `14:05`, with its day before it where that is not the day of another moment. */
export function showNear(milliseconds: number, beside: number, zone: string): string {
  const isSameDay = wallTime(milliseconds, zone).date === wallTime(beside, zone).date;
  return isSameDay ? showTime(milliseconds, zone) : showMoment(milliseconds, zone);
}

/** `Mon 23 Nov, 14:05:09`: to the second, where the order of things is read. */
export function showSecond(milliseconds: number, zone: string): string {
  return `${showMoment(milliseconds, zone)}:${String(new Date(milliseconds).getUTCSeconds()).padStart(2, '0')}`;
}

/** `Jan` to `Dec`, by 1 to 12. */
export const monthName = (month: number): string => inZone('UTC', { month: 'short' }).format(Date.UTC(2026, month - 1, 1));

/** `Nov 26`: where a day more or less is not seen. */
export const showMonth = (milliseconds: number): string => inZone('UTC', { month: 'short', year: '2-digit' }).format(milliseconds);

/** How moments are called on an axis of a length (ms), on the site's wall clock. */
export function momentOnAxis(span: number, zone: string): (at: number) => string {
  const day = 86_400_000;
  if (span > 300 * day) return showMonth;
  const says = span > 2 * day ? ({ day: 'numeric', month: 'short' } as const) : ({ hour: '2-digit', minute: '2-digit' } as const);
  const format = inZone(zone, says);
  return (at) => format.format(at);
}
