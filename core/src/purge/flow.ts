import { computed } from '../working/index.ts';

const source = 'Common practice';

/** Flow in m³/s from a caught volume in m³ and the seconds it took (both > 0). Common practice: bucket and watch. */
export const flowRate = computed(
  {
    formula: 'Q = V / t',
    unit: 'm3/s',
    shown: ['L/min', 3],
    source,
    inputs: {
      volume: { symbol: 'V', name: 'caught volume', unit: 'L', decimals: 3 },
      seconds: { symbol: 't', name: 'time', unit: 's', decimals: 0 },
    },
  },
  ({ volume, seconds }) => volume / seconds,
);

/** Seconds that a volume in m³ takes at a flow in m³/s (> 0). */
export const timeFor = computed(
  {
    formula: 't = V / Q',
    unit: 's',
    shown: ['min', 1],
    source,
    inputs: {
      volume: { symbol: 'V', name: 'volume', unit: 'L', decimals: 2 },
      flow: { symbol: 'Q', name: 'flow', unit: 'L/min', decimals: 3 },
    },
  },
  ({ volume, flow }) => volume / flow,
);

/** Minutes at which to read: multiples of the interval rounded up to whole minutes, for a person with a watch. */
export function readingClock(intervalSeconds: number, readings: number): number[] {
  const step = Math.ceil(intervalSeconds / 60 - 1e-9);
  return Array.from({ length: readings }, (_, index) => step * (index + 1));
}
