import { useCallback, useState } from 'react';

/**
 * What is being typed, kept in this tab until it is written down, so that a reload loses nothing. `clear` forgets it
 * once it stands in the book.
 */
export function useDraft<T>(key: string, initial: T): [T, (value: T) => void, () => void] {
  const name = `fonte.draft.${key}`;
  const [value, setValue] = useState<T>(() => {
    const kept = sessionStorage.getItem(name);
    if (kept === null) return initial;
    try {
      return JSON.parse(kept) as T;
    } catch {
      return initial;
    }
  });
  const change = useCallback(
    (next: T) => {
      sessionStorage.setItem(name, JSON.stringify(next));
      setValue(next);
    },
    [name],
  );
  const clear = useCallback(() => {
    sessionStorage.removeItem(name);
    setValue(initial);
    // The initial value is a constant of the form.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name]);
  return [value, change, clear];
}
