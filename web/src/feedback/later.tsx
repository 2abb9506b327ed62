import { useEffect, useState, type ComponentType, type ReactNode } from 'react';

/**
 * A part of the page that is fetched once it is drawn. Where it cannot be had, as without a signal, the page goes on without it
 * and the next drawing asks again: no side show takes the page down.
 * @param instead stands there until it has come, and where it does not
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, instead: (failed: boolean) => ReactNode): ComponentType<P> {
  let known: ComponentType<P> | null = null;
  return function Later(props: P) {
    const [Part, setPart] = useState<ComponentType<P> | null>(() => known);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      if (Part) return;
      let isGone = false;
      load().then(
        (loaded) => {
          known = loaded;
          if (!isGone) setPart(() => loaded);
        },
        () => {
          if (!isGone) setFailed(true);
        },
      );
      return () => {
        isGone = true;
      };
    }, [Part]);
    return Part ? <Part {...props} /> : <>{instead(failed)}</>;
  };
}
