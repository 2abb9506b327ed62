import { rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const microbiological = rowsOf('health', 'Table 7.10');
const guideline = rowsOf('health', 'Annex 3, Table A3.3');
const indicator = rowsOf('indicator', 'Chapter 11');
const acceptability = rowsOf('aesthetic', 'Chapter 10');

const provisional = 'Provisional';

/**
 * Guideline values of the World Health Organization that the analyses here touch. They are no law anywhere: a country makes
 * its own of them.
 */
export const whoGuidelines: LimitSet = {
  id: 'who-gdwq',
  name: 'WHO guideline values',
  source: 'WHO Guidelines for drinking-water quality, 4th edition with the first and second addenda (2022), values from memory',
  edition: '2026-1',
  from: '2022-03-21',
  rows: [
    microbiological('ecoli', 'per100mL', { most: 0 }),
    indicator('coliforms', 'per100mL', { most: 0 }, { note: 'After disinfection: else the treatment does not do' }),

    guideline('antimony', 'ug/L', { most: 20 }),
    guideline('arsenic', 'ug/L', { most: 10 }, { note: provisional }),
    guideline('boron', 'mg/L', { most: 2.4 }),
    guideline('cadmium', 'ug/L', { most: 3 }),
    guideline('chromium', 'ug/L', { most: 50 }),
    guideline('copper', 'mg/L', { most: 2 }),
    guideline('fluoride', 'mg/L', { most: 1.5 }),
    guideline('lead', 'ug/L', { most: 10 }, { note: provisional }),
    guideline('manganese', 'ug/L', { most: 80 }, { note: `${provisional}; set for infants fed by bottle` }),
    guideline('nickel', 'ug/L', { most: 70 }),
    guideline('nitrate', 'mg/L', { most: 50 }, { note: 'For infants fed by bottle, short-term' }),
    guideline('nitrite', 'mg/L', { most: 3 }, { note: 'For infants fed by bottle, short-term' }),
    guideline('selenium', 'ug/L', { most: 40 }, { note: provisional }),
    guideline('uranium', 'ug/L', { most: 30 }, { note: provisional }),

    acceptability('aluminium', 'ug/L', { most: 200 }, { note: '100 to 200 µg/L is within reach of a works' }),
    acceptability('chloride', 'mg/L', { most: 250 }, { note: 'Taste' }),
    acceptability('iron', 'ug/L', { most: 300 }, { note: 'Taste, stains' }),
    acceptability('sodium', 'mg/L', { most: 200 }, { note: 'Taste' }),
    acceptability('sulfate', 'mg/L', { most: 250 }, { note: 'Taste' }),
  ],
  sums: [
    {
      id: 'nitrogen',
      name: 'Nitrate and nitrite together',
      place: 'Annex 3, Table A3.3, note to nitrate',
      shares: [
        { parameter: 'nitrate', of: 50, unit: 'mg/L' },
        { parameter: 'nitrite', of: 3, unit: 'mg/L' },
      ],
    },
  ],
};

/** As before, with a sentence to each value. */
export const whoGuidelines2 = withSentences(whoGuidelines, {
  edition: '2026-2',
  comparison: 'Numbers are compared as reported: the guidelines name no rounding.',
});
