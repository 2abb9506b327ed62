import type { DayProblem, DayStop, Span } from '../src/day/index.ts';
import { minute } from '../src/time/index.ts';

/** Numbers that look random and are the same each time. */
export function dice(seed: number): (below: number) => number {
  let state = seed * 2_654_435_761 + 1;
  return (below) => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * below);
  };
}

const span = (from: number, to: number): Span => ({ from: from * minute, to: to * minute });

/** A made-up day from 08:00 (minute 480) on, in whole minutes; `tight` adds hours of being let in, bottles that age, and a pause. */
export function madeUpDay(seed: number, count: number, tight: boolean): DayProblem {
  const throwDice = dice(seed);
  const places = Array.from({ length: count + 2 }, () => [throwDice(60), throwDice(60)] as const);
  const travel = places.map(([x, y]) => places.map(([u, v]) => Math.ceil(Math.hypot(x - u, y - v)) * minute));
  const stops = Array.from({ length: count }, (_, number): DayStop => {
    const lasts = (10 + throwDice(35)) * minute;
    const opens = 480 + throwDice(240);
    const windows = !tight || throwDice(3) > 0 ? [] : [span(opens, opens + 60 + throwDice(180)), span(opens + 300, opens + 480)];
    const keeps = (120 + throwDice(360)) * minute;
    return {
      id: `${number}`,
      name: `Stop ${number}`,
      lasts,
      windows,
      bottles: tight && throwDice(3) === 0 ? [{ id: `B${number}`, filledAfter: lasts - 5 * minute, keeps }] : [],
      after: tight && number > 0 && throwDice(6) === 0 ? [throwDice(number)] : [],
    };
  });
  return {
    stops,
    travel,
    start: 480 * minute,
    intake: tight ? [span(480, 660), span(780, 1020)] : [span(0, 1440)],
    lunch: tight && throwDice(2) === 0 ? { ...span(690, 840), lasts: 30 * minute } : null,
  };
}
