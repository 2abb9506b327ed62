import { computed, type Computed } from '../working/index.ts';

const source = 'Benson and Krause (1984); Standard Methods 4500-O, table 4500-O:I';

/**
 * Oxygen in fresh water in balance with moist air at 1 atm, in mg/L, at a temperature in °C from 0 to 40.
 * Source: Benson and Krause (1984), as in the tables of the USGS; ± 0.1 %.
 */
export function oxygenAtSea(temperature: number): number {
  const t = temperature + 273.15;
  return Math.exp(-139.34411 + 1.575701e5 / t - 6.642308e7 / t ** 2 + 1.2438e10 / t ** 3 - 8.621949e11 / t ** 4);
}

/** How much of that there is at another pressure, in atm: the vapour of the water takes its part of the air. */
export function pressurePart(temperature: number, atm: number): number {
  const t = temperature + 273.15;
  const vapour = Math.exp(11.8571 - 3840.7 / t - 216961 / t ** 2);
  const theta = 0.000975 - 1.426e-5 * temperature + 6.436e-8 * temperature ** 2;
  return (atm * (1 - vapour / atm) * (1 - theta * atm)) / ((1 - vapour) * (1 - theta));
}

/** The air's pressure at an elevation, in atm. Source: ICAO standard atmosphere (Doc 7488). @param elevation in m, sea level where it is not known */
export const pressureAt = (elevation = 0): number => (1 - 2.25577e-5 * elevation) ** 5.25588;

const atPressure = computed(
  {
    formula: 'S = C · f',
    unit: 'mg/L',
    shown: ['mg/L', 2],
    source,
    inputs: {
      atSea: { symbol: 'C', name: 'saturation at 1 atm', unit: 'mg/L', decimals: 3 },
      part: { symbol: 'f', name: 'part of it at this pressure', unit: '1', decimals: 4 },
    },
  },
  ({ atSea, part }) => atSea * part,
);

/**
 * Oxygen in balance with the air in mg/L, at a temperature in °C and an elevation in m.
 * @example oxygenSaturation(20, 0).value // 9.09
 */
export const oxygenSaturation = (temperature: number, elevation?: number): Computed =>
  atPressure({ atSea: oxygenAtSea(temperature), part: pressurePart(temperature, pressureAt(elevation)) });
