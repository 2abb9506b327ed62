import { useSyncExternalStore } from 'react';

const key = 'fonte.limits';
const listeners = new Set<() => void>();
const read = (): string => localStorage.getItem(key) ?? '';

/** The set of limits (its id) that a person wants to see first wherever a round is compared with it; empty for the round's own order. */
export function useLeadingLimits() {
  const leading = useSyncExternalStore((changed) => {
    listeners.add(changed);
    return () => listeners.delete(changed);
  }, read);
  const chooseLeading = (id: string) => {
    localStorage.setItem(key, id);
    for (const changed of listeners) changed();
  };
  return { leading, chooseLeading };
}
