import { nitrateAndNitrite } from '../groups.ts';
import { listOf, rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const mav = 'Maximum acceptable values';
const aesthetic = 'Aesthetic Values for Drinking Water Notice 2022';

/** New Zealand: the drinking water standards of 2022 with the aesthetic values. */
export const newZealandStandards: LimitSet = withSentences({
  id: 'nz-dwsnz',
  name: 'New Zealand standards',
  source: 'Water Services (Drinking Water Standards for New Zealand) Regulations 2022; Aesthetic Values Notice 2022, values from memory',
  edition: '2026-1',
  from: '2022-11-14',
  comparison: 'Numbers are compared as reported.',
  rows: [
    ...listOf('health', mav, 'per100mL', { ecoli: 0 }),
    ...listOf('indicator', mav, 'per100mL', { coliforms: 0 }, { note: 'By the quality assurance rules, after treatment', isTreated: true }),
    ...listOf('health', mav, 'mg/L', {
      antimony: 0.02,
      arsenic: 0.01,
      barium: 1.5,
      boron: 2.4,
      bromate: 0.01,
      cadmium: 0.004,
      chlorate: 0.8,
      chlorite: 0.8,
      freeChlorine: 5,
      chromium: 0.05,
      copper: 2,
      cyanide: 0.6,
      fluoride: 1.5,
      lead: 0.01,
      manganese: 0.4,
      mercury: 0.007,
      monochloramine: 3,
      nickel: 0.08,
      nitrate: 50,
      nitrite: 3,
      selenium: 0.04,
      uranium: 0.03,
    }),
    ...listOf('aesthetic', aesthetic, 'mg/L', {
      chloride: 250,
      copper: 1,
      iron: 0.3,
      manganese: 0.04,
      sodium: 200,
      sulfate: 250,
      dissolvedSolids: 1000,
      zinc: 1.5,
      ammonium: 1.5,
    }),
    ...listOf('aesthetic', aesthetic, 'mg/L CaCO3', { hardness: 200 }),
    ...listOf('aesthetic', aesthetic, 'mg/L Pt', { colour: 10 }),
    ...listOf('aesthetic', aesthetic, 'NTU', { turbidity: 5 }),
    rowsOf('aesthetic', aesthetic)('ph', 'pH', { least: 7, most: 8.5 }),
  ],
  sums: [nitrateAndNitrite(mav)],
});
