import { convert, showNumber } from '../units/index.ts';
import type { Computed } from '../working/index.ts';

/** Height of the water column in m. Negative when the level is below the bottom, which callers have asked about. */
export function waterColumn({ bottom, depth }: { bottom: number; depth: number }): Computed {
  const value = bottom - depth;
  return {
    value,
    unit: 'm',
    working: {
      formula: 'water column = depth of the bottom − depth to water',
      inputs: [
        { symbol: 'B', name: 'bottom below the mark', value: bottom, unit: 'm', decimals: 3 },
        { symbol: 'd', name: 'depth to water below the mark', value: depth, unit: 'm', decimals: 3 },
      ],
      steps: [`${showNumber(bottom, 3)} − ${showNumber(depth, 3)} = ${showNumber(value, 3)} m`],
      source: 'US EPA Region 4, groundwater sampling procedure',
    },
  };
}

/**
 * Volume of water standing in a casing in m³: π/4 · d² · column, with the true inside diameter. Both in m, ≥ 0.
 * Source: geometry; tables of the kind in the US EPA Region 4 groundwater sampling procedure.
 * @example casingVolume({ insideDiameter: 0.05, column: 1 }).value * 1000 // 1.9635 L
 */
export function casingVolume({ insideDiameter, column }: { insideDiameter: number; column: number }): Computed {
  const value = (Math.PI / 4) * insideDiameter ** 2 * column;
  return {
    value,
    unit: 'm3',
    working: {
      formula: 'one volume = π/4 · d² · water column',
      inputs: [
        { symbol: 'd', name: 'true inside diameter', value: convert(insideDiameter, 'm', 'mm'), unit: 'mm', decimals: 1 },
        { symbol: 'h', name: 'water column', value: column, unit: 'm', decimals: 3 },
      ],
      steps: [
        `area π/4 · ${showNumber(insideDiameter, 4)}² = ${showNumber((Math.PI / 4) * insideDiameter ** 2 * 1e4, 2)} cm²`,
        `× ${showNumber(column, 3)} m = ${showNumber(value * 1000, 2)} L`,
      ],
      source: 'Geometry',
    },
  };
}

/**
 * Water in the filter pack in m³: porosity × annulus × saturated length of the pack. Lengths in m, porosity 0..1.
 * Source: geometry; adding the pack to the casing volume is a school of its own (common practice).
 */
export function filterPackVolume({
  bore,
  casingOutside,
  saturated,
  porosity,
}: {
  bore: number;
  casingOutside: number;
  saturated: number;
  porosity: number;
}): Computed {
  const annulus = (Math.PI / 4) * (bore ** 2 - casingOutside ** 2);
  const value = porosity * annulus * saturated;
  return {
    value,
    unit: 'm3',
    working: {
      formula: 'pack volume = porosity · π/4 · (bore² − casing²) · saturated length',
      inputs: [
        { symbol: 'D', name: 'bore', value: convert(bore, 'm', 'mm'), unit: 'mm', decimals: 1 },
        { symbol: 'd', name: 'outside of the casing', value: convert(casingOutside, 'm', 'mm'), unit: 'mm', decimals: 1 },
        { symbol: 'h', name: 'saturated length', value: saturated, unit: 'm', decimals: 3 },
        { symbol: 'n', name: 'porosity', value: porosity, unit: '1', decimals: 2 },
      ],
      steps: [
        `${showNumber(porosity, 2)} · ${showNumber(annulus * 1e4, 1)} cm² · ${showNumber(saturated, 3)} m = ${showNumber(value * 1000, 2)} L`,
      ],
      source: 'Geometry',
    },
  };
}

/** Inside diameter in m of a hose that holds `volume` m³ over `length` m. */
export function hoseDiameter({ length, volume }: { length: number; volume: number }): Computed {
  const value = Math.sqrt((4 * volume) / (Math.PI * length));
  return {
    value,
    unit: 'm',
    working: {
      formula: 'd = √(4 · volume / (π · length))',
      inputs: [
        { symbol: 'V', name: 'volume', value: volume * 1000, unit: 'L', decimals: 2 },
        { symbol: 'L', name: 'length', value: length, unit: 'm', decimals: 2 },
      ],
      steps: [`√(4 · ${showNumber(volume, 5)} / (π · ${showNumber(length, 2)})) = ${showNumber(value * 1000, 1)} mm`],
      source: 'Geometry',
    },
  };
}
