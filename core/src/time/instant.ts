import { z } from 'zod';

/** No device wrote before this: an earlier time is a clock that was never set. */
export const earliest = '2020-01-01T00:00:00.000Z';

/**
 * A moment as a device saw it: UTC to the millisecond, and the offset its wall clock had from UTC in minutes
 * (east positive), so that "14:05 on the phone" can always be told.
 */
export const Instant = z.object({
  utc: z.iso
    .datetime({ precision: 3 })
    .refine((utc) => utc >= earliest, { error: `Before ${earliest.slice(0, 10)}: set the clock of this device.` }),
  offset: z
    .number()
    .int()
    .min(-14 * 60)
    .max(14 * 60),
});
export type Instant = z.infer<typeof Instant>;

/** Where a floor gets its time from: milliseconds since 1970 in UTC. Each floor injects one; nothing else reads a clock. */
export type Clock = () => number;

/**
 * The instant for a clock reading.
 * @example instantAt(Date.UTC(2026, 10, 23, 10, 5), -60) // { utc: '2026-11-23T10:05:00.000Z', offset: -60 }
 */
export function instantAt(milliseconds: number, offset: number): Instant {
  return { utc: new Date(milliseconds).toISOString(), offset };
}

/** Milliseconds since 1970 in UTC. */
export function millis(instant: Instant): number {
  return Date.parse(instant.utc);
}

/**
 * The day (`YYYY-MM-DD`) of a moment by the clock on the wall where it was written.
 * @example localDate({ utc: '2026-11-23T00:30:00.000Z', offset: -60 }) // '2026-11-22'
 */
export const localDate = (instant: Instant): string => new Date(millis(instant) + instant.offset * 60_000).toISOString().slice(0, 10);

export const second = 1000;
export const minute = 60 * second;
export const hour = 60 * minute;
export const day = 24 * hour;

/**
 * `1 d 4 h`, `3 h 05 min`, `2 min 05 s`, `9 s`: long enough to act on, short enough to read in a glance, and never like the time of a clock.
 * @example showDuration(90 * 60_000) // '1 h 30 min'
 */
export function showDuration(milliseconds: number): string {
  const left = Math.max(0, Math.round(milliseconds / second));
  const days = Math.floor(left / 86400);
  const hours = Math.floor((left % 86400) / 3600);
  const minutes = Math.floor((left % 3600) / 60);
  if (days >= 14) return `${days} d`;
  if (days > 0) return `${days} d ${hours} h`;
  if (hours > 0) return `${hours} h ${String(minutes).padStart(2, '0')} min`;
  return minutes > 0 ? `${minutes} min ${String(left % 60).padStart(2, '0')} s` : `${left} s`;
}

/** A stretch of a plan to the minute, what it takes rounded up, what is left of it down: `17 min`, `1 h 05 min`. */
export function showMinutes(milliseconds: number, is: 'taken' | 'left' = 'taken'): string {
  const minutes = is === 'taken' ? Math.ceil(milliseconds / minute) : Math.floor(milliseconds / minute);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`;
}

/** `6 hours`, `1 hour`, `30 minutes`: a stretch in words, for whoever reads it at home. */
export function showHours(milliseconds: number): string {
  const minutes = Math.round(milliseconds / minute);
  if (minutes < 60 || minutes % 60 !== 0) return `${minutes} minutes`;
  return minutes === 60 ? '1 hour' : `${minutes / 60} hours`;
}
