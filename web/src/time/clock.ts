import { instantAt, type Clock, type Instant } from '@fonte/core/time';

/** How far the server's clock is from the device's: not zero only where the demo has moved it. */
let moved = 0;

/** The page's one source of the time, in ms since 1970 in UTC. */
export const now: Clock = () => Date.now() + moved;

/** Follows the server's clock; only the demo does so. */
export function follow(serverNow: number): void {
  moved = serverNow - Date.now();
}

/** Moves the page's clock on, once the server's was; only the demo does so. */
export function moveOn(milliseconds: number): void {
  moved += milliseconds;
}

/** The offset of the device's wall clock from UTC at a moment, in minutes. */
export function offsetAt(milliseconds: number): number {
  return -new Date(milliseconds).getTimezoneOffset() || 0;
}

export function instantNow(): Instant {
  return instantAt(now(), offsetAt(now()));
}
