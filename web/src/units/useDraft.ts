import { newId } from '@fonte/core/book';
import { useCallback, useState } from 'react';
import { now } from '../time/clock.ts';

interface Kept<T> {
  value: T;
  /** The id of the entry that the form will make: a form that is sent twice makes one entry. */
  id: string;
}

/**
 * What is being typed, kept in this tab until it is written down, so that a reload loses nothing. With it is kept the id of
 * the entry it will become. `clear` forgets both once it stands in the book.
 */
export function useDraft<T>(key: string, initial: T): [T, (value: T) => void, () => void, string] {
  const name = `fonte.draft.${key}`;
  const [{ value, id }, setKept] = useState<Kept<T>>(() => {
    const text = sessionStorage.getItem(name);
    const fresh = { value: initial, id: newId(now()) };
    if (text === null) return fresh;
    try {
      const kept = JSON.parse(text) as Kept<T>;
      return typeof kept.id === 'string' ? kept : fresh;
    } catch {
      return fresh;
    }
  });
  const change = useCallback(
    (next: T) => {
      setKept((kept) => {
        const changed = { value: next, id: kept.id };
        sessionStorage.setItem(name, JSON.stringify(changed));
        return changed;
      });
    },
    [name],
  );
  const clear = useCallback(() => {
    sessionStorage.removeItem(name);
    setKept({ value: initial, id: newId(now()) });
    // The initial value is a constant of the form.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name]);
  return [value, change, clear, id];
}
