import { useSyncExternalStore } from 'react';

const query = '(pointer: coarse), (max-width: 760px)';

/** Whether numbers are typed on the page's own pad: with a finger, or on a screen as narrow as a phone's. */
export function usePad(): boolean {
  return useSyncExternalStore(
    (changed) => {
      const media = matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    () => matchMedia(query).matches,
  );
}
