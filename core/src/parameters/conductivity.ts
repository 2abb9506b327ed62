import { computed, type Computed } from '../working/index.ts';

/** κ25 by κ20 of natural water. Source: ISO 7888:1985, table of factors. */
export const conductivityFrom20 = 1.116;

/** Viscosity of water beside that at 20 °C. Source: Korson, Drost-Hansen and Millero (1969), as ISO 7888 takes it (from memory). */
const viscosity = (temperature: number) => {
  const t = temperature - 20;
  return 10 ** -((1.1709 * t + 0.001827 * t ** 2) / (temperature + 89.93));
};

/**
 * What takes the conductivity of natural water at a temperature (°C, 0 to 36) to that at 25 °C: 1.116 at 20 °C, 1 at 25.
 * Source: ISO 7888:1985, table of factors; its curve after Wagner (1980), constants from memory.
 */
export const conductivityFactor = (temperature: number): number =>
  conductivityFrom20 * (0.037856 + 0.962144 * viscosity(temperature) ** 0.965078);

const byFactor = computed(
  {
    formula: 'K = k · f',
    unit: 'uS/cm',
    shown: ['uS/cm', 0],
    source: 'ISO 7888:1985, natural water (table of factors; from memory)',
    inputs: {
      measured: { symbol: 'k', name: 'conductivity as read', unit: 'uS/cm', decimals: 1 },
      factor: { symbol: 'f', name: 'factor at this temperature', unit: '1', decimals: 3 },
    },
  },
  ({ measured, factor }) => measured * factor,
);

/**
 * Conductivity at 25 °C in µS/cm from one that is not compensated, at a temperature in °C; by the same law as what is given at 20 °C.
 * @example Math.round(conductivityAt25({ measured: 500, temperature: 20 }).value) // 558
 */
export const conductivityAt25 = ({ measured, temperature }: { measured: number; temperature: number }): Computed =>
  byFactor({ measured, factor: conductivityFactor(temperature) });
