import { computed } from '../working/index.ts';

/** Standard acceleration of free fall in m/s². Source: SI Brochure, 9th ed. (2019), 3rd CGPM (1901); places differ by up to 0.3 %. */
const gravity = 9.80665;

/**
 * Metres of water over a sensor from pressures in Pa (that of the air is 0 where the sensor is vented) and the density of the water in
 * kg/m³. Source: hydrostatics; USGS TWRI 8-A3 (2004), Freeman and others, on submersible pressure transducers.
 */
export const headOver = (pressure: number, air: number, density: number, fall = gravity): number => (pressure - air) / (density * fall);

/** The same with its working. */
export const waterHead = computed(
  {
    formula: 'h = (p − b) / (ρ · g)',
    unit: 'm',
    shown: ['m', 3],
    source: 'USGS TWRI 8-A3 (2004)',
    inputs: {
      pressure: { symbol: 'p', name: 'pressure at the sensor', unit: 'Pa', decimals: 0 },
      air: { symbol: 'b', name: 'pressure of the air', unit: 'Pa', decimals: 0 },
      density: { symbol: 'ρ', name: 'density of the water', unit: 'kg/m3', decimals: 1 },
      gravity: { symbol: 'g', name: 'acceleration of free fall', unit: 'm/s2', decimals: 5, usual: gravity },
    },
  },
  (given) => headOver(given.pressure, given.air, given.density, given.gravity),
);

/** How deep the sensor hangs below the mark, in m: a level by hand and the water over the sensor at that moment, both in m. */
export const hangsBelow = computed(
  {
    formula: 'c = d + h',
    unit: 'm',
    shown: ['m', 3],
    source: 'USGS TWRI 8-A3 (2004)',
    inputs: {
      depth: { symbol: 'd', name: 'depth by hand below the mark', unit: 'm', decimals: 3 },
      head: { symbol: 'h', name: 'water over the sensor', unit: 'm', decimals: 3 },
    },
  },
  ({ depth, head }) => depth + head,
);
