import { today } from '@fonte/core/round';
import { second } from '@fonte/core/time';
import { useEffect, useRef } from 'react';
import { useAnswer } from '../api/useAnswer.ts';
import { bellAwaits, ring } from '../time/bell.ts';
import { now } from '../time/clock.ts';

/** Longer ago than this, in ms, a clock that ended is old news: nobody is startled by it when a page is opened. */
const old = 5 * 60_000;

/** Rings once for every clock that ends, whichever page is open; what is over or was read meanwhile does not ring. */
export function useBells(isOn: boolean): void {
  const { data, mutate } = useAnswer(today, isOn ? {} : null, { refreshInterval: 20_000 });
  const rung = useRef(new Set<string>());
  useEffect(bellAwaits, []);
  useEffect(() => {
    const clocks = data?.clocks.first.map(({ item }) => item) ?? [];
    const endOf = ({ from, least }: (typeof clocks)[number]) => from + least * second;
    const nameOf = (clock: (typeof clocks)[number]) => `${clock.visit} ${clock.procedure ?? ''} ${clock.from}`;
    let [isGone, isAsking] = [false, false];
    const look = async () => {
      const over = clocks.filter((clock) => endOf(clock) <= now() && now() - endOf(clock) < old && !rung.current.has(nameOf(clock)));
      if (over.length === 0 || isAsking) return;
      isAsking = true;
      // What was answered a while ago may have been read in the meantime.
      const fresh = await mutate().finally(() => {
        isAsking = false;
      });
      if (isGone) return;
      for (const clock of over) {
        rung.current.add(nameOf(clock));
        if (fresh?.clocks.first.some(({ item }) => nameOf(item) === nameOf(clock))) await ring(`${clock.say}: ${clock.pointName}`);
      }
    };
    if (clocks.length === 0) return;
    const ticker = new Worker(new URL('../time/tick.worker.ts', import.meta.url), { type: 'module' });
    // Without a connection what was answered last is asked; where even that fails the next tick tries again.
    ticker.onmessage = () => void look().catch(() => undefined);
    return () => {
      isGone = true;
      ticker.terminate();
    };
  }, [data, mutate]);
}
