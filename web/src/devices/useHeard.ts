import type { Listen } from '@fonte/core/devices';
import { useEffect, useState } from 'react';

/** The latest reading of a device; null before the first, and without one. */
export function useHeard<R>(device: { listen: Listen<R> } | null): R | null {
  const [heard, setHeard] = useState<R | null>(null);
  useEffect(() => device?.listen(setHeard), [device]);
  return device ? heard : null;
}
