import { asIon, listOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const [salt, toxic] = ['Table 28', 'Table 30'];

const set: LimitSet = {
  id: 'livestock-fao-29',
  name: 'Livestock',
  source: 'FAO Irrigation and Drainage Paper 29 rev. 1 (Ayers and Westcot 1985), Tables 28 and 30, after NAS (1972), values from memory',
  edition: '2026-1',
  from: '1985-01-01',
  comparison: 'Numbers are compared as reported.',
  rows: [
    ...listOf('indicator', salt, 'mS/cm', { conductivity: 5 }, { note: 'Poultry drink less and their droppings turn watery' }),
    ...listOf(
      'operational',
      salt,
      'mS/cm',
      { conductivity: 8 },
      { note: 'Not for poultry; for pregnant, milking and young animals with care' },
    ),
    ...listOf(
      'indicator',
      'Table 29',
      'mg/L',
      { magnesium: 250 },
      { note: 'Poultry, pigs, milking cows; 400 for grown cattle, 500 for sheep' },
    ),
    ...listOf('operational', toxic, 'mg/L', {
      aluminium: 5,
      arsenic: 0.2,
      beryllium: 0.1,
      boron: 5,
      cadmium: 0.05,
      chromium: 1,
      cobalt: 1,
      copper: 0.5,
      fluoride: 2,
      lead: 0.1,
      mercury: 0.01,
      nitrateNitrite: 100,
      nitrate: 100 * asIon.nitrate,
      nitrite: 10 * asIon.nitrite,
      selenium: 0.05,
      vanadium: 0.1,
      zinc: 24,
    }),
    ...listOf('indicator', toxic, 'mg/L', { manganese: 0.05 }, { note: 'Insufficient data: it clogs drinkers' }),
  ],
  sums: [],
};

/** What animals bear. A veterinarian's word comes first. */
export const livestockGuidelines = withSentences(
  set,
  {},
  set.rows,
  () => 'Animals drink less, grow less or fall ill, by their kind and age. Ask a veterinarian.',
);
