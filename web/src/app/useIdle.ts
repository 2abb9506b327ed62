import { useEffect, useState } from 'react';

/** ms after the first drawing, by when the first page has what it came for. */
const settled = 2500;

/** Whether the page has had time to breathe: what nobody needs at first is fetched then. */
export function useIdle(): boolean {
  const [isIdle, setIdle] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIdle(true), settled);
    return () => clearTimeout(timer);
  }, []);
  return isIdle;
}
