import type { UnitId } from '../../units/index.ts';

export interface ParameterRow {
  name: string;
  /** The unit results are kept and compared in. */
  unit: UnitId;
  decimals: number;
  /** What nature and instruments can produce; outside it the number is refused as a slip. In `unit`. */
  possible: readonly [number, number];
  /** What fresh groundwater and drinking water usually show; outside it the number is asked about. In `unit`. */
  usual?: readonly [number, number];
  /** What labs usually find in groundwater and drinking water where they find anything: outside it the unit may be wrong. In `unit`. */
  usualAtLab?: readonly [number, number];
  /**
   * The ways in which a result is expressed, each with the factor that takes it to the kept one. A report has to say which.
   */
  expressedAs?: Readonly<Record<string, number>>;
  /** It may hang on particles: what passed a filter is another result than all of it. */
  isBound?: true;
}

/** Nitrogen compounds are given as nitrogen or as the ion, which is kept. */
const nitrogen = (perN: number) => ({ N: perN, ion: 1 });

/**
 * What is measured in the field or reported by a lab. Ranges are common practice. Factors between expressions are
 * ratios of molar masses (IUPAC 2021: N 14.007, O 15.999, H 1.008): NO3/N 62.004/14.007, NO2/N 46.005/14.007,
 * NH4/N 18.039/14.007. Conductivity at 20 °C × 1.116 is that at 25 °C (ISO 7888:1985, table of factors; from memory).
 */
export const parameters = {
  temperature: { name: 'Temperature', unit: 'degC', decimals: 1, possible: [-2, 100], usual: [4, 30] },
  ph: { name: 'pH', unit: 'pH', decimals: 2, possible: [0, 14], usual: [5, 9.5] },
  conductivity: {
    name: 'Conductivity at 25 °C',
    unit: 'uS/cm',
    decimals: 0,
    possible: [0, 200_000],
    usual: [30, 5000],
    expressedAs: { '20': 1.116, '25': 1 },
  },
  oxygen: { name: 'Dissolved oxygen', unit: 'mg/L', decimals: 2, possible: [0, 25], usual: [0.01, 13] },
  turbidity: { name: 'Turbidity', unit: 'NTU', decimals: 1, possible: [0, 10_000], usual: [0, 1000] },
  redox: { name: 'Redox potential', unit: 'mV', decimals: 0, possible: [-1000, 1200], usual: [-400, 800] },
  freeChlorine: { name: 'Free chlorine', unit: 'mg/L', decimals: 2, possible: [0, 500], usual: [0, 4] },
  monochloramine: { name: 'Monochloramine', unit: 'mg/L', decimals: 2, possible: [0, 50], usual: [0, 4] },
  totalChlorine: { name: 'Total chlorine', unit: 'mg/L', decimals: 2, possible: [0, 500], usual: [0, 5] },

  coliforms: { name: 'Coliform bacteria', unit: 'per100mL', decimals: 0, possible: [0, 1e9] },
  ecoli: { name: 'E. coli', unit: 'per100mL', decimals: 0, possible: [0, 1e9] },

  calcium: { name: 'Calcium', unit: 'mg/L', decimals: 1, possible: [0, 5000], usualAtLab: [0.005, 1000] },
  magnesium: { name: 'Magnesium', unit: 'mg/L', decimals: 1, possible: [0, 5000], usualAtLab: [0.005, 500] },
  sodium: { name: 'Sodium', unit: 'mg/L', decimals: 1, possible: [0, 20_000], usualAtLab: [0.005, 5000] },
  potassium: { name: 'Potassium', unit: 'mg/L', decimals: 1, possible: [0, 5000], usualAtLab: [0.005, 500] },
  chloride: { name: 'Chloride', unit: 'mg/L', decimals: 1, possible: [0, 30_000], usualAtLab: [0.005, 10_000] },
  sulfate: { name: 'Sulfate', unit: 'mg/L', decimals: 1, possible: [0, 10_000], usualAtLab: [0.005, 3000] },
  alkalinity: { name: 'Alkalinity', unit: 'mg/L CaCO3', decimals: 0, possible: [0, 5000], usualAtLab: [0.5, 1500] },
  fluoride: { name: 'Fluoride', unit: 'mg/L', decimals: 2, possible: [0, 200], usualAtLab: [0.005, 20] },

  nitrate: {
    name: 'Nitrate (as NO₃)',
    unit: 'mg/L',
    decimals: 1,
    possible: [0, 5000],
    usualAtLab: [0.005, 1000],
    expressedAs: nitrogen(62.004 / 14.007),
  },
  nitrite: {
    name: 'Nitrite (as NO₂)',
    unit: 'mg/L',
    decimals: 3,
    possible: [0, 500],
    usualAtLab: [0.0005, 50],
    expressedAs: nitrogen(46.005 / 14.007),
  },
  ammonium: {
    name: 'Ammonium (as NH₄)',
    unit: 'mg/L',
    decimals: 3,
    possible: [0, 1000],
    usualAtLab: [0.0005, 100],
    expressedAs: nitrogen(18.039 / 14.007),
  },

  arsenic: { name: 'Arsenic', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 500], isBound: true },
  boron: { name: 'Boron', unit: 'mg/L', decimals: 2, possible: [0, 1e3], usualAtLab: [0.0005, 20], isBound: true },
  cadmium: { name: 'Cadmium', unit: 'ug/L', decimals: 2, possible: [0, 1e6], usualAtLab: [0.01, 50], isBound: true },
  chromium: { name: 'Chromium', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 500], isBound: true },
  copper: { name: 'Copper', unit: 'mg/L', decimals: 3, possible: [0, 1e3], usualAtLab: [0.0005, 10], isBound: true },
  iron: { name: 'Iron', unit: 'ug/L', decimals: 0, possible: [0, 1e7], usualAtLab: [0.1, 50_000], isBound: true },
  lead: { name: 'Lead', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 500], isBound: true },
  manganese: { name: 'Manganese', unit: 'ug/L', decimals: 0, possible: [0, 1e6], usualAtLab: [0.1, 10_000], isBound: true },
  aluminium: { name: 'Aluminium', unit: 'ug/L', decimals: 0, possible: [0, 1e6], usualAtLab: [0.1, 20_000], isBound: true },
  nickel: { name: 'Nickel', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 1000], isBound: true },
  antimony: { name: 'Antimony', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 100], isBound: true },
  selenium: { name: 'Selenium', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 500], isBound: true },
  uranium: { name: 'Uranium', unit: 'ug/L', decimals: 1, possible: [0, 1e6], usualAtLab: [0.01, 1000], isBound: true },
} as const satisfies Record<string, ParameterRow>;
