import { computed } from '../working/index.ts';

const source = 'USGS TM 1-A1 (2011), GWPD 4';
const depth = { symbol: 'd', name: 'depth below mark', unit: 'm', decimals: 3 } as const;

/**
 * Depth to water below ground in m: depth below the measuring point less the mark's height above ground, both in m.
 * Source: USGS TM 1-A1 (2011), GWPD 4, the land-surface correction.
 */
export const depthBelowGround = computed(
  {
    formula: 'g = d − s',
    unit: 'm',
    shown: ['m', 3],
    source,
    inputs: { depth, stickUp: { symbol: 's', name: 'stick-up of the mark', unit: 'm', decimals: 3 } },
  },
  (given) => given.depth - given.stickUp,
);

/**
 * Elevation of the water level in m above the datum of the mark. Source: USGS TM 1-A1 (2011), GWPD 4.
 */
export const waterLevelElevation = computed(
  {
    formula: 'w = z − d',
    unit: 'm',
    shown: ['m', 3],
    source,
    inputs: { elevation: { symbol: 'z', name: 'elevation of the mark', unit: 'm', decimals: 3 }, depth },
  },
  (given) => given.elevation - given.depth,
);
