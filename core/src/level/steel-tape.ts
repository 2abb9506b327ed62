import { computed, type Computed } from '../working/index.ts';

const cutFromHold = computed(
  {
    formula: 'd = H − C + k',
    unit: 'm',
    shown: ['m', 3],
    source: 'USGS TM 1-A1 (2011), GWPD 1',
    inputs: {
      hold: { symbol: 'H', name: 'hold at the mark', unit: 'm', decimals: 3 },
      cut: { symbol: 'C', name: 'cut, the wetted length', unit: 'm', decimals: 3 },
      correction: { symbol: 'k', name: 'tape correction', unit: 'm', decimals: 3, usual: 0 },
    },
  },
  ({ hold, cut, correction }) => hold - cut + correction,
);

/**
 * Depth to water in m by chalked steel tape: the hold at the mark, less the wetted length, plus the tape's own
 * correction. All in m.
 * Source: USGS TM 1-A1 (2011), GWPD 1.
 * @throws RangeError when the cut is longer than the hold: callers ask again before they compute.
 * @example steelTapeDepth({ hold: 40, cut: 3.27 }).value // 36.73
 */
export function steelTapeDepth(given: { hold: number; cut: number; correction?: number }): Computed {
  if (given.cut > given.hold) throw new RangeError('The wetted length cannot be longer than the hold.');
  return cutFromHold(given);
}
