import type { ClockMet } from '@fonte/core/book';
import { useSyncExternalStore } from 'react';
import { now } from '../time/clock.ts';

/** Whether the server was reached when it was last asked, since when it is so, and how far the clocks were apart then. */
export interface Connection {
  isLost: boolean;
  /** ms, on the page's clock. */
  since: number;
  clock: ClockMet | null;
}

const key = 'fonte.clock';

function lastMet(): ClockMet | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as ClockMet | null;
  } catch {
    return null;
  }
}

let state: Connection = { isLost: false, since: now(), clock: lastMet() };
const listeners = new Set<() => void>();

function become(next: Connection): void {
  state = next;
  for (const changed of listeners) changed();
}

/** Clocks that were so close (ms) when they met before are not said to have moved: the way of a request takes as long. */
const jitter = 250;

/**
 * The server answered. What its clock said is compared with this device's at the middle of the way there and back.
 * @param sent when the request was sent, and `came` when the answer came, in ms on the page's clock
 */
export function met(serverNow: number, sent: number, came: number): void {
  const measured = Math.round((sent + came) / 2 - serverNow);
  const ahead = state.clock && Math.abs(state.clock.ahead - measured) < jitter ? state.clock.ahead : measured;
  const clock = { ahead, at: new Date(came).toISOString() };
  try {
    localStorage.setItem(key, JSON.stringify(clock));
  } catch {
    // It is measured again at the next contact.
  }
  if (state.isLost) become({ isLost: false, since: came, clock });
  else state = { ...state, clock };
}

/** The server could not be reached. */
export function lost(): void {
  if (!state.isLost) become({ ...state, isLost: true, since: now() });
}

export const connection = (): Connection => state;

export function onConnection(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}

/** Follows whether the server can be reached. */
export function useConnection(): Connection {
  return useSyncExternalStore(onConnection, connection);
}
