import { useEffect, useState } from 'react';

/** Whether something has been so for a while (ms): what passes in a moment moves nothing on the page under a finger. */
export function useLasting(is: boolean, least: number): boolean {
  const [lasts, setLasts] = useState(false);
  useEffect(() => {
    if (!is) return;
    const timer = setTimeout(() => setLasts(true), least);
    return () => {
      clearTimeout(timer);
      setLasts(false);
    };
  }, [is, least]);
  return is && lasts;
}
