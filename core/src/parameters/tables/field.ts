import { conductivityFrom20 } from '../conductivity.ts';
import { rowsOfKind } from './row.ts';

const physical = rowsOfKind('physical', [0, 1000]);
const disinfectant = rowsOfKind('disinfectant', [0, 50], { unit: 'mg/L', isDisinfectant: true });

/** What is measured at the point, and how water looks and smells. Conductivity at 20 °C × 1.116 is that at 25 °C (ISO 7888:1985, table of factors; from memory). */
export const field = {
  temperature: physical('Temperature', null, null, { unit: 'degC', decimals: 1, possible: [-2, 100], usual: [4, 30] }),
  ph: physical('pH', null, null, { unit: 'pH', decimals: 2, possible: [0, 14], usual: [5, 9.5] }),
  conductivity: physical('Conductivity at 25 °C', null, null, {
    unit: 'uS/cm',
    decimals: 0,
    possible: [0, 200_000],
    usual: [30, 5000],
    expressedAs: { '20': conductivityFrom20, '25': 1 },
  }),
  oxygen: physical('Dissolved oxygen', null, null, { unit: 'mg/L', decimals: 2, possible: [0, 25], usual: [0.01, 13] }),
  turbidity: physical('Turbidity', null, null, { unit: 'NTU', decimals: 1, possible: [0, 10_000], usual: [0, 1000] }),
  redox: physical('Redox potential', null, null, { unit: 'mV', decimals: 0, possible: [-1000, 1200], usual: [-400, 800] }),
  freeChlorine: disinfectant('Free chlorine', null, null, { unit: 'mg/L', decimals: 2, possible: [0, 500], usual: [0, 4] }),
  monochloramine: disinfectant('Monochloramine', 'NH₂Cl', '10599-90-3', { unit: 'mg/L', decimals: 2, usual: [0, 4] }),
  totalChlorine: disinfectant('Total chlorine', null, null, { unit: 'mg/L', decimals: 2, possible: [0, 500], usual: [0, 5] }),
};

/** Read at a lab where they are read at all. */
export const looks = {
  chlorineDioxide: disinfectant('Chlorine dioxide', 'ClO₂', '10049-04-4', { unit: 'mg/L', decimals: 2 }),
  colour: physical('Colour', null, null, { unit: 'mg/L Pt', decimals: 0, possible: [0, 10_000] }),
  odour: physical('Odour', null, null, { unit: 'dilution', decimals: 0 }),
  taste: physical('Taste', null, null, { unit: 'dilution', decimals: 0 }),
  absorbance254: physical('Absorbance at 254 nm', null, null, { unit: '1/m', decimals: 1 }),
  absorbance436: physical('Absorbance at 436 nm', null, null, { unit: '1/m', decimals: 1 }),
  oxygenSaturation: physical('Oxygen saturation', null, null, { unit: '%', decimals: 0, possible: [0, 200], usual: [1, 120] }),
  salinity: physical('Salinity', null, null, { unit: 'g/kg', decimals: 1, possible: [0, 300] }),
  resistivity: physical('Resistivity at 25 °C', null, null, { unit: 'ohm.m', decimals: 1, possible: [0.05, 200_000] }),
  sar: physical('Sodium adsorption ratio', 'SAR', null, { unit: '1', decimals: 1 }),
};
