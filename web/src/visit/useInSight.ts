import { useEffect, type RefObject } from 'react';

/** On a phone what is asked now stands at the top of the screen, not below the head of the page. */
export function useInSight(part: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    if (window.matchMedia('(max-width: 760px)').matches) part.current?.scrollIntoView({ block: 'start' });
  }, [part]);
}
