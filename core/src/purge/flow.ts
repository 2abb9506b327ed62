import { showNumber } from '../units/index.ts';
import type { Computed } from '../working/index.ts';

/** Flow in m³/s from a caught volume in m³ and the seconds it took (both > 0). Common practice: bucket and watch. */
export function flowRate({ volume, seconds }: { volume: number; seconds: number }): Computed {
  const value = volume / seconds;
  return {
    value,
    unit: 'm3/s',
    working: {
      formula: 'flow = caught volume / time',
      inputs: [
        { symbol: 'V', name: 'caught volume', value: volume * 1000, unit: 'L', decimals: 3 },
        { symbol: 't', name: 'time', value: seconds, unit: 's', decimals: 0 },
      ],
      steps: [`${showNumber(volume * 1000, 3)} L / ${showNumber(seconds, 0)} s · 60 = ${showNumber(value * 6e4, 3)} L/min`],
      source: 'Common practice',
    },
  };
}

/** Seconds that a volume in m³ takes at a flow in m³/s (> 0). */
export function timeFor({ volume, flow }: { volume: number; flow: number }): Computed {
  const value = volume / flow;
  return {
    value,
    unit: 's',
    working: {
      formula: 'time = volume / flow',
      inputs: [
        { symbol: 'V', name: 'volume', value: volume * 1000, unit: 'L', decimals: 2 },
        { symbol: 'Q', name: 'flow', value: flow * 6e4, unit: 'L/min', decimals: 3 },
      ],
      steps: [`${showNumber(volume * 1000, 2)} L / ${showNumber(flow * 6e4, 3)} L/min = ${showNumber(value / 60, 1)} min`],
      source: 'Common practice',
    },
  };
}

/** Minutes at which to read: multiples of the interval rounded up to whole minutes, for a person with a watch. */
export function readingClock(intervalSeconds: number, readings: number): number[] {
  const step = Math.ceil(intervalSeconds / 60 - 1e-9);
  return Array.from({ length: readings }, (_, index) => step * (index + 1));
}
