import { useSyncExternalStore } from 'react';

const key = 'fonte.labels-at-once';
const listeners = new Set<() => void>();
const read = () => localStorage.getItem(key) === 'yes';

/** Whether the next bottle waits until the one before has its label: for days on which several wells are open at once. */
export function useLabelsAtOnce() {
  const isOn = useSyncExternalStore((changed) => {
    listeners.add(changed);
    return () => listeners.delete(changed);
  }, read);
  const choose = (on: boolean) => {
    localStorage.setItem(key, on ? 'yes' : 'no');
    for (const changed of listeners) changed();
  };
  return { isOn, choose };
}
