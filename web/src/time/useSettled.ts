import { useEffect, useState } from 'react';

/** Longer than the two taps of a double tap are apart, in ms. */
const doubleTap = 450;

/**
 * Whether what is shown has stood for a moment. A button that takes the place of another one under the finger is not to be
 * pressed by the second half of a double tap.
 */
export function useSettled(): boolean {
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), doubleTap);
    return () => clearTimeout(timer);
  }, []);
  return settled;
}
