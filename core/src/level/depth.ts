import type { Computed } from '../working/index.ts';
import { showNumber } from '../units/index.ts';

/**
 * Depth to water below ground in m: depth below the measuring point less the mark's height above ground.
 * Source: USGS TM 1-A1 (2011), GWPD 4, the land-surface correction.
 */
export function depthBelowGround({ depth, stickUp }: { depth: number; stickUp: number }): Computed {
  const value = depth - stickUp;
  return {
    value,
    unit: 'm',
    working: {
      formula: 'depth below ground = depth below mark − stick-up',
      inputs: [
        { symbol: 'd', name: 'depth below mark', value: depth, unit: 'm', decimals: 3 },
        { symbol: 's', name: 'stick-up of the mark', value: stickUp, unit: 'm', decimals: 3 },
      ],
      steps: [`${showNumber(depth, 3)} − ${showNumber(stickUp, 3)} = ${showNumber(value, 3)} m`],
      source: 'USGS TM 1-A1 (2011), GWPD 4',
    },
  };
}

/**
 * Elevation of the water level in m above the datum of the mark.
 * Source: USGS TM 1-A1 (2011), GWPD 4.
 */
export function waterLevelElevation({ depth, elevation }: { depth: number; elevation: number }): Computed {
  const value = elevation - depth;
  return {
    value,
    unit: 'm',
    working: {
      formula: 'water level = elevation of mark − depth below mark',
      inputs: [
        { symbol: 'z', name: 'elevation of the mark', value: elevation, unit: 'm', decimals: 3 },
        { symbol: 'd', name: 'depth below mark', value: depth, unit: 'm', decimals: 3 },
      ],
      steps: [`${showNumber(elevation, 3)} − ${showNumber(depth, 3)} = ${showNumber(value, 3)} m`],
      source: 'USGS TM 1-A1 (2011), GWPD 4',
    },
  };
}
