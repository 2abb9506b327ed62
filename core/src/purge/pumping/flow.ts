import { computed, type Computed } from '../../working/index.ts';

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

/** The mean of several flows in m³/s, each of one timing. Common practice: time it more than once. */
export const meanFlow = computed(
  {
    formula: 'Q = S / n',
    unit: 'm3/s',
    shown: ['L/min', 3],
    source,
    inputs: {
      sum: { symbol: 'S', name: 'sum of the flows', unit: 'L/min', decimals: 3 },
      count: { symbol: 'n', name: 'timings', unit: '1', decimals: 0 },
    },
  },
  ({ sum, count }) => sum / count,
);

/** Several timings as one flow, and how far they are apart as a part of it (0 of a single one). Volumes in m³, times in s, both > 0. */
export function flowOf(timings: readonly { volume: number; seconds: number }[]): { flow: Computed; spread: number } {
  const flows = timings.map((one) => flowRate(one));
  const [only] = flows;
  if (flows.length === 1) return { flow: only!, spread: 0 };
  const flow = meanFlow({ sum: flows.reduce((sum, { value }) => sum + value, 0), count: flows.length });
  const values = flows.map(({ value }) => value);
  return { flow, spread: (Math.max(...values) - Math.min(...values)) / flow.value };
}

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
