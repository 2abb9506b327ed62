import type { Computed } from '../working/index.ts';
import { showNumber } from '../units/index.ts';

/**
 * Depth to water in m by chalked steel tape: the hold at the mark, less the wetted length, plus the tape's own
 * correction. All in m.
 * Source: USGS TM 1-A1 (2011), GWPD 1.
 * @throws RangeError when the cut is longer than the hold: callers ask again before they compute.
 * @example steelTapeDepth({ hold: 40, cut: 3.27 }).value // 36.73
 */
export function steelTapeDepth({ hold, cut, correction = 0 }: { hold: number; cut: number; correction?: number }): Computed {
  if (cut > hold) throw new RangeError('The wetted length cannot be longer than the hold.');
  const value = hold - cut + correction;
  return {
    value,
    unit: 'm',
    working: {
      formula: 'depth below mark = hold − cut + tape correction',
      inputs: [
        { symbol: 'H', name: 'hold at the mark', value: hold, unit: 'm', decimals: 3 },
        { symbol: 'C', name: 'cut, the wetted length', value: cut, unit: 'm', decimals: 3 },
        { symbol: 'k', name: 'tape correction', value: correction, unit: 'm', decimals: 3 },
      ],
      steps: [`${showNumber(hold, 3)} − ${showNumber(cut, 3)} + ${showNumber(correction, 3)} = ${showNumber(value, 3)} m`],
      source: 'USGS TM 1-A1 (2011), GWPD 1',
    },
  };
}
