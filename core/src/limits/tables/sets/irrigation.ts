import { asIon, listOf, rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const table1 = 'Table 1';
const table21 = 'Table 21';
const some = { note: 'From here on some crops need care' };
const severe = { note: 'Severe restriction on use' };
/** meq/L of an ion to mg/L: its molar mass by its charge (IUPAC 2021). */
const meq = { chloride: 35.45, bicarbonate: 61.017 };

const set: LimitSet = {
  id: 'irrigation-fao-29',
  name: 'Irrigation',
  source: 'FAO Irrigation and Drainage Paper 29 rev. 1 (Ayers and Westcot 1985), Tables 1 and 21, values from memory',
  edition: '2026-1',
  from: '1985-01-01',
  comparison: 'Numbers are compared as reported. Over the first value restrictions are slight to moderate, over the second severe.',
  rows: [
    ...listOf('indicator', table1, 'mS/cm', { conductivity: 0.7 }, some),
    ...listOf('operational', table1, 'mS/cm', { conductivity: 3 }, severe),
    ...listOf(
      'indicator',
      table1,
      'mg/L',
      { dissolvedSolids: 450, boron: 0.7, chloride: 4 * meq.chloride, nitrate: 5 * asIon.nitrate, bicarbonate: 1.5 * meq.bicarbonate },
      some,
    ),
    ...listOf(
      'operational',
      table1,
      'mg/L',
      { dissolvedSolids: 2000, boron: 3, chloride: 10 * meq.chloride, nitrate: 30 * asIon.nitrate, bicarbonate: 8.5 * meq.bicarbonate },
      severe,
    ),
    ...listOf(
      'indicator',
      table1,
      '1',
      { sar: 3 },
      { note: 'Sodium taken up from the surface; what it does to the soil depends on the conductivity too' },
    ),
    ...listOf('operational', table1, '1', { sar: 9 }, severe),
    rowsOf('indicator', table1)('ph', 'pH', { least: 6.5, most: 8.4 }, { note: 'The normal range' }),
    ...listOf(
      'operational',
      table21,
      'mg/L',
      {
        aluminium: 5,
        arsenic: 0.1,
        beryllium: 0.1,
        cadmium: 0.01,
        cobalt: 0.05,
        chromium: 0.1,
        copper: 0.2,
        fluoride: 1,
        iron: 5,
        lithium: 2.5,
        manganese: 0.2,
        molybdenum: 0.01,
        nickel: 0.2,
        lead: 5,
        selenium: 0.02,
        vanadium: 0.1,
        zinc: 2,
      },
      { note: 'For water that is used year after year on any soil' },
    ),
  ],
  sums: [],
};

/** What crops bear. Local soils, crops and ways of watering decide: an adviser's word comes first. */
export const irrigationGuidelines = withSentences(
  set,
  {},
  set.rows,
  () => 'Crops take harm, or the soil does: by the crop, the soil and the way of watering. Ask an adviser.',
);
