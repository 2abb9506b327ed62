import type { ParameterId } from '../../parameters/index.ts';

export interface BottleRule {
  name: string;
  /** Letter on the label. */
  letter: string;
  /** Place in the filling order; bacteria first, at a tap right after disinfection. */
  order: number;
  container: string;
  /** Nominal volume in mL. */
  volume: number;
  preservative: { name: string; hazard: string } | null;
  rinse: string;
  fill: string;
  /** Where the fill mark is drawn, as a part of the bottle's height up to the neck. */
  mark: number;
  headspace: string;
  filter: string | null;
  /** The only kind of point at which it is filtered; at every one where this is left out. */
  filterAt?: 'well' | 'tap';
  mix: string | null;
  /** Temperature class: the lab says what the cooler may have; `any` needs no cooling and takes no harm from it. */
  temperature: 'bacteria' | 'chilled' | 'any';
  temperatureText: string;
  /** Hours from collection to the start of analysis. */
  holdingHours: number;
  holdingFor: string;
  parameters: readonly ParameterId[];
  source: string;
}

const day = 24;

export const rules2026 = {
  bacteria: {
    name: 'Bacteria',
    letter: 'B',
    order: 1,
    container: 'Sterile plastic, sealed',
    volume: 125,
    preservative: { name: 'Sodium thiosulfate', hazard: 'Leave the powder or drop in: it takes up the chlorine.' },
    rinse: 'Never rinse',
    fill: 'Past the 100 mL line, below the neck',
    mark: 0.84,
    headspace: 'Leave about 2 cm of air',
    filter: null,
    mix: null,
    temperature: 'bacteria',
    temperatureText: 'Dark, in the cooler at once',
    holdingHours: 24,
    holdingFor: 'Coliforms and E. coli',
    parameters: ['coliforms', 'ecoli'],
    source: 'ISO 19458 (bottle, thiosulfate, air space; from memory); 24 h: common practice of many labs',
  },
  general: {
    name: 'General',
    letter: 'G',
    order: 5,
    container: 'Polyethylene',
    volume: 500,
    preservative: null,
    rinse: 'Rinse three times with the sample',
    fill: 'To the shoulder',
    mark: 0.9,
    headspace: 'A little air',
    filter: null,
    mix: null,
    temperature: 'chilled',
    temperatureText: '≤ 6 °C, not frozen',
    holdingHours: 14 * day,
    holdingFor: 'Alkalinity, the shortest of this bottle that a lab does',
    parameters: [
      'ph',
      'conductivity',
      'turbidity',
      'calcium',
      'magnesium',
      'sodium',
      'potassium',
      'chloride',
      'sulfate',
      'alkalinity',
      'fluoride',
    ],
    source: '40 CFR 136.3 Table II (alkalinity 14 d, cool ≤ 6 °C); rinse and fill: common practice',
  },
  nitrogen: {
    name: 'Nitrate, nitrite',
    letter: 'N',
    order: 3,
    container: 'Polyethylene',
    volume: 250,
    preservative: null,
    rinse: 'Rinse three times with the sample',
    fill: 'To the shoulder',
    mark: 0.9,
    headspace: 'A little air',
    filter: null,
    mix: null,
    temperature: 'chilled',
    temperatureText: '≤ 6 °C, not frozen',
    holdingHours: 48,
    holdingFor: 'Nitrate and nitrite, unpreserved',
    parameters: ['nitrate', 'nitrite'],
    source: '40 CFR 136.3 Table II (nitrate 48 h, nitrite 48 h, cool ≤ 6 °C)',
  },
  ammonium: {
    name: 'Ammonium',
    letter: 'A',
    order: 4,
    container: 'Polyethylene',
    volume: 250,
    preservative: { name: 'Sulfuric acid to pH < 2', hazard: 'Acid: gloves and eye protection, open slowly, keep upright.' },
    rinse: 'Never rinse',
    fill: 'To the shoulder, do not overflow',
    mark: 0.9,
    headspace: 'A little air',
    filter: null,
    mix: 'Invert gently three times',
    temperature: 'chilled',
    temperatureText: '≤ 6 °C, not frozen',
    holdingHours: 28 * day,
    holdingFor: 'Ammonium',
    parameters: ['ammonium'],
    source: '40 CFR 136.3 Table II (ammonia: H2SO4 to pH < 2, 28 d, cool ≤ 6 °C)',
  },
  metals: {
    name: 'Dissolved metals',
    letter: 'M',
    order: 2,
    container: 'Acid-washed polyethylene',
    volume: 250,
    preservative: { name: 'Nitric acid to pH < 2', hazard: 'Strong acid: gloves and eye protection, open slowly, keep upright.' },
    rinse: 'Never rinse',
    fill: 'To the shoulder, do not overflow',
    mark: 0.9,
    headspace: 'A little air',
    filter: '0.45 µm in line; let the first 20 mL go to waste',
    mix: 'Invert gently three times',
    temperature: 'chilled',
    temperatureText: 'In the cooler with the rest',
    holdingHours: 180 * day,
    holdingFor: 'Metals except mercury',
    parameters: [
      'iron',
      'manganese',
      'aluminium',
      'arsenic',
      'antimony',
      'boron',
      'cadmium',
      'chromium',
      'copper',
      'lead',
      'nickel',
      'selenium',
      'uranium',
    ],
    source: '40 CFR 136.3 Table II (dissolved metals: filter 0.45 µm, HNO3 to pH < 2, 6 months)',
  },
} as const satisfies Record<string, BottleRule>;
