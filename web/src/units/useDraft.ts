import { newId } from '@fonte/core/book';
import { useCallback, useState } from 'react';
import { now } from '../time/clock.ts';
import { dropDraft, keepDraft, readDraft } from './drafts.ts';

interface Kept<T> {
  value: T;
  /** The id of the entry that the form will make: a form that is sent twice makes one entry. */
  id: string;
}

/** Whether a value has named parts. */
export const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A kept draft as the form has it now. One that an earlier version of the form kept lacks what is new in it: that comes from
 * the empty form, so that an update in mid-work neither loses what was typed nor breaks the page.
 */
export function keptDraft<T>(text: string | null, fresh: Kept<T>): Kept<T> {
  if (text === null) return fresh;
  try {
    const kept = JSON.parse(text) as Partial<Kept<T>> | null;
    if (typeof kept?.id !== 'string' || kept.value === undefined) return fresh;
    if (!isPlain(fresh.value)) return typeof kept.value === typeof fresh.value ? { value: kept.value, id: kept.id } : fresh;
    return isPlain(kept.value) ? { value: { ...fresh.value, ...kept.value }, id: kept.id } : fresh;
  } catch {
    return fresh;
  }
}

/**
 * What is being typed, kept until it is written down, so that neither a reload nor a dead battery loses it. With it is kept the id
 * of the entry it will become. `clear` forgets both once it stands in the book; `renew` gives what is typed another id, where its own
 * stands already with other words.
 * @param isSecret nothing of it is kept
 */
export function useDraft<T>(key: string, initial: T, isSecret = false): [T, (value: T) => void, () => void, string, () => string] {
  const [{ value, id }, setKept] = useState<Kept<T>>(() =>
    keptDraft(isSecret ? null : readDraft(key), { value: initial, id: newId(now()) }),
  );
  const keep = useCallback(
    (change: (kept: Kept<T>) => Kept<T>) => {
      setKept((kept) => {
        const changed = change(kept);
        if (!isSecret) keepDraft(key, JSON.stringify(changed), changed.id);
        return changed;
      });
    },
    [key, isSecret],
  );
  const change = useCallback((next: T) => keep(({ id }) => ({ value: next, id })), [keep]);
  const renew = useCallback(() => {
    const fresh = newId(now());
    keep(({ value }) => ({ value, id: fresh }));
    return fresh;
  }, [keep]);
  const clear = useCallback(() => {
    dropDraft(key);
    setKept({ value: initial, id: newId(now()) });
    // The initial value is a constant of the form.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return [value, change, clear, id, renew];
}
