import { useState } from 'react';

export interface Asked {
  /** Opens it, each time as a new one. */
  ask: () => void;
  /** What a dialog that is fetched when it is first asked for is told; null before that. `key` is another each time. */
  dialog: { key: number; open: boolean; close: () => void } | null;
}

/** A dialog that is not there before it is asked for. */
export function useAsked(): Asked {
  const [{ times, isOpen }, set] = useState({ times: 0, isOpen: false });
  return {
    ask: () => set({ times: times + 1, isOpen: true }),
    dialog: times === 0 ? null : { key: times, open: isOpen, close: () => set({ times, isOpen: false }) },
  };
}
