import type { TemperatureClass } from '@fonte/core/bottles';

/** What a box must be for the bottles in it. */
export const boxNames: Record<TemperatureClass, string> = {
  bacteria: 'Cold and dark, for bacteria',
  chilled: 'Cold, on ice',
  cool: '6 to 20 °C, no ice',
  any: 'No cooling',
};

/** A box holds whole litres; in m³. */
export const wholeLitres = (space: number): number => Math.ceil(space * 1000 - 1e-9) / 1000;
