import { useSyncExternalStore } from 'react';
import { begin, type Played, type WellGear, type WellName, type WellShape } from '@fonte/core/simulation';
import { now } from '../time/clock.ts';
import { simulate, type SimulatedDevices } from './simulated.ts';

/** The devices that are connected, by visit; they stay so from page to page, and over a reload. */
const connected = new Map<string, SimulatedDevices>();
const listeners = new Set<() => void>();
const tell = () => {
  for (const listener of listeners) listener();
};
const keyOf = (visit: string) => `fonte.well.${visit}`;

function kept(visit: string): Played | null {
  const text = sessionStorage.getItem(keyOf(visit));
  return text === null ? null : (JSON.parse(text) as Played);
}
const keep = (visit: string) => (played: Played) => sessionStorage.setItem(keyOf(visit), JSON.stringify(played));

function devicesAt(visit: string): SimulatedDevices | null {
  const known = connected.get(visit);
  if (known) return known;
  const played = kept(visit);
  if (!played) return null;
  const devices = simulate(played, keep(visit));
  connected.set(visit, devices);
  return devices;
}

export function connect(visit: string, well: WellName, shape: WellShape, gear: WellGear): void {
  disconnect(visit);
  const played = begin(well, shape, gear, now(), visit);
  keep(visit)(played);
  connected.set(visit, simulate(played, keep(visit)));
  tell();
}

export function disconnect(visit: string): void {
  connected.get(visit)?.disconnect();
  connected.delete(visit);
  sessionStorage.removeItem(keyOf(visit));
  tell();
}

/** The devices at a visit, or null while none are connected. */
export function useDevices(visit: string): SimulatedDevices | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => devicesAt(visit),
  );
}
