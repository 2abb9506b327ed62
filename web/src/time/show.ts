import { wallTime } from '@fonte/core/time';

/** The zone that this device is set to. */
export const deviceZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** `14:05` on the site's wall clock. */
export function showTime(milliseconds: number, zone: string): string {
  return wallTime(milliseconds, zone).time;
}

/** `Mon 23 Nov, 14:05` on the site's wall clock. */
export function showMoment(milliseconds: number, zone: string): string {
  const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: zone }).format(milliseconds);
  return `${day}, ${showTime(milliseconds, zone)}`;
}

/** `Mon 23 Nov, 14:05:09`: to the second, where the order of things is read. */
export function showSecond(milliseconds: number, zone: string): string {
  return `${showMoment(milliseconds, zone)}:${String(new Date(milliseconds).getUTCSeconds()).padStart(2, '0')}`;
}
