import { useCallback, useRef, useState } from 'react';
import { ApiProblem, explain } from '../api/call.ts';

/** Runs one thing at a time and keeps what went wrong with it, so that a double tap does nothing twice. */
export function useAction() {
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const running = useRef(false);
  const run = useCallback(async (action: () => Promise<void>): Promise<boolean> => {
    if (running.current) return false;
    running.current = true;
    setBusy(true);
    setError(null);
    try {
      await action();
      return true;
    } catch (failure) {
      setError(failure);
      return false;
    } finally {
      running.current = false;
      setBusy(false);
    }
  }, []);
  /** Why the field at a path of the payload was refused. */
  const at = (path: string) => (error instanceof ApiProblem ? error.at(`payload.${path}`) : undefined);
  return { busy, run, at, say: error === null ? null : explain(error), forget: () => setError(null) };
}
