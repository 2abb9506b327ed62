import { useSyncExternalStore } from 'react';
import type { UnitId } from '@fonte/core/units';

/** What units a person sees and types first. The record keeps what was typed, whatever is chosen here. */
export type UnitSystem = 'metric' | 'us';

const key = 'fonte.units';
const listeners = new Set<() => void>();
const read = (): UnitSystem => (localStorage.getItem(key) === 'us' ? 'us' : 'metric');

export function useUnitSystem() {
  const system = useSyncExternalStore((changed) => {
    listeners.add(changed);
    return () => listeners.delete(changed);
  }, read);
  const chooseSystem = (chosen: UnitSystem) => {
    localStorage.setItem(key, chosen);
    for (const changed of listeners) changed();
  };
  return { system, chooseSystem, units: preferred[system] };
}

/** The preferred unit of each kind of quantity with its usual decimals. */
export const preferred: Record<UnitSystem, { depth: [UnitId, number]; volume: [UnitId, number]; diameter: [UnitId, number] }> = {
  metric: { depth: ['m', 3], volume: ['L', 1], diameter: ['mm', 1] },
  us: { depth: ['ft', 2], volume: ['gal', 2], diameter: ['in', 3] },
};

/** The unit of a system in whose place another is used; itself where it belongs to both. */
export function counterpart(unit: UnitId, system: UnitSystem): UnitId {
  const kinds = Object.keys(preferred.metric) as (keyof (typeof preferred)['metric'])[];
  const kind = kinds.find((one) => Object.values(preferred).some((units) => units[one][0] === unit));
  return kind ? preferred[system][kind][0] : unit;
}
