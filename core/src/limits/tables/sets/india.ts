import { listOf, rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const [look, general, toxic, pesticide, radioactive, germs] = ['Table 1', 'Table 2', 'Table 3', 'Table 5', 'Table 4', 'Table 6'];
/** Over it the water is taken only where there is no other. */
const acceptable = { note: 'The acceptable limit: up to the permissible one where there is no other source' };
const permissible = { note: 'The permissible limit, where there is no other source' };

/** IS 10500: acceptable limits, and permissible ones for want of another source. */
export const indianStandard: LimitSet = withSentences({
  id: 'in-is-10500',
  name: 'Indian standard',
  source: 'IS 10500:2012 with amendments 1 to 4, values from memory',
  edition: '2026-1',
  from: '2012-05-01',
  comparison: 'Numbers are compared as reported.',
  rows: [
    ...listOf('health', germs, 'per100mL', { ecoli: 0, thermotolerant: 0 }),
    ...listOf('indicator', germs, 'per100mL', { coliforms: 0 }),

    ...listOf('aesthetic', look, 'mg/L Pt', { colour: 5 }, acceptable),
    ...listOf('indicator', look, 'mg/L Pt', { colour: 15 }, permissible),
    ...listOf('aesthetic', look, 'NTU', { turbidity: 1 }, acceptable),
    ...listOf('indicator', look, 'NTU', { turbidity: 5 }, permissible),
    ...listOf('aesthetic', look, 'mg/L', { dissolvedSolids: 500 }, acceptable),
    ...listOf('indicator', look, 'mg/L', { dissolvedSolids: 2000 }, permissible),
    rowsOf('indicator', look)('ph', 'pH', { least: 6.5, most: 8.5 }),

    ...listOf(
      'aesthetic',
      general,
      'mg/L',
      {
        aluminium: 0.03,
        calcium: 75,
        chloride: 250,
        copper: 0.05,
        magnesium: 30,
        manganese: 0.1,
        sulfate: 200,
        zinc: 5,
        surfactants: 0.2,
        phenols: 0.001,
      },
      acceptable,
    ),
    ...listOf(
      'indicator',
      general,
      'mg/L',
      {
        aluminium: 0.2,
        calcium: 200,
        chloride: 1000,
        magnesium: 100,
        manganese: 0.3,
        sulfate: 400,
        zinc: 15,
        surfactants: 1,
        phenols: 0.002,
        iron: 1,
        sulfide: 0.05,
      },
      permissible,
    ),
    ...listOf('aesthetic', general, 'mg/L CaCO3', { alkalinity: 200, hardness: 200 }, acceptable),
    ...listOf('indicator', general, 'mg/L CaCO3', { alkalinity: 600, hardness: 600 }, permissible),
    ...listOf('indicator', general, 'mg/L', { boron: 0.5, fluoride: 1 }, acceptable),
    ...listOf('health', general, 'mg/L', { boron: 2.4, fluoride: 1.5, copper: 1.5 }, permissible),
    ...listOf('health', general, 'mg/L', { barium: 0.7, nitrate: 45, selenium: 0.01, silver: 0.1, monochloramine: 4 }),

    ...listOf('health', toxic, 'mg/L', {
      cadmium: 0.003,
      cyanide: 0.05,
      lead: 0.01,
      mercury: 0.001,
      molybdenum: 0.07,
      nickel: 0.02,
      polychlorinatedBiphenyls: 0.0005,
      arsenic: 0.01,
      chromium: 0.05,
      uranium: 0.03,
      bromoform: 0.1,
      dibromochloromethane: 0.1,
      bromodichloromethane: 0.06,
      chloroform: 0.2,
    }),
    ...listOf('health', pesticide, 'ug/L', {
      alachlor: 20,
      atrazine: 2,
      aldrin: 0.03,
      dieldrin: 0.03,
      chlorpyrifos: 30,
      ddt: 1,
      d24: 30,
      lindane: 2,
      isoproturon: 9,
    }),
    ...listOf('indicator', radioactive, 'Bq/L', { grossAlpha: 0.1, grossBeta: 1 }),
  ],
  sums: [],
});
