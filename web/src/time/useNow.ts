import { useEffect, useState } from 'react';
import { now } from './clock.ts';

/** The time, anew every `every` ms. Derived from instants, so a tab that slept is right at once when it wakes. */
export function useNow(every = 1000): number {
  const [time, setTime] = useState(now);
  useEffect(() => {
    const tick = () => setTime(now());
    const timer = setInterval(tick, every);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [every]);
  return time;
}
