import { rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const microbiological = rowsOf('health', '40 CFR 141.63');
const inorganic = rowsOf('health', '40 CFR 141.62(b)');
const radionuclide = rowsOf('health', '40 CFR 141.66(e)');
const disinfectant = rowsOf('health', '40 CFR 141.65(a)');
const action = rowsOf('action', '40 CFR 141.80(c)');
const trigger = rowsOf('indicator', '40 CFR 141.859(a)');
const secondary = rowsOf('aesthetic', '40 CFR 143.3');

const percentile = 'An action level: the 90th percentile of a round of samples counts, not one tap';
/** N to the ion: 62.004/14.007 and 46.005/14.007, molar masses of IUPAC 2021. The rule gives nitrogen. */
const [nitratePerN, nitritePerN] = [62.004 / 14.007, 46.005 / 14.007];

/**
 * Federal values of the United States that the analyses here touch. The states may set stricter ones: local law comes first.
 */
export const usDrinkingWater: LimitSet = {
  id: 'us-40-cfr',
  name: 'US drinking water',
  source: '40 CFR Part 141 (health, action levels) and Part 143 (secondary), values from memory',
  edition: '2026-1',
  from: '2006-01-23',
  rows: [
    microbiological('ecoli', 'per100mL', { most: 0 }, { note: 'With repeat samples, by 141.63(c)' }),
    trigger('coliforms', 'per100mL', { most: 0 }, { note: 'Triggers repeat samples and, by their share, an assessment' }),

    inorganic('antimony', 'ug/L', { most: 6 }),
    inorganic('arsenic', 'ug/L', { most: 10 }),
    inorganic('cadmium', 'ug/L', { most: 5 }),
    inorganic('chromium', 'ug/L', { most: 100 }),
    inorganic('fluoride', 'mg/L', { most: 4 }),
    inorganic('nitrate', 'mg/L', { most: 10 * nitratePerN }, { note: '10 mg/L as nitrogen' }),
    inorganic('nitrite', 'mg/L', { most: 1 * nitritePerN }, { note: '1 mg/L as nitrogen' }),
    inorganic('selenium', 'ug/L', { most: 50 }),
    radionuclide('uranium', 'ug/L', { most: 30 }),
    disinfectant('totalChlorine', 'mg/L', { most: 4 }, { note: 'As the average of a year' }),

    action('lead', 'ug/L', { most: 15 }, { until: '2027-10-31', note: `${percentile}; 10 µg/L from 1 November 2027` }),
    action('lead', 'ug/L', { most: 10 }, { from: '2027-11-01', note: percentile }),
    action('copper', 'mg/L', { most: 1.3 }, { note: percentile }),

    secondary('aluminium', 'ug/L', { most: 200 }, { note: '50 to 200 µg/L' }),
    secondary('chloride', 'mg/L', { most: 250 }),
    secondary('copper', 'mg/L', { most: 1 }),
    secondary('fluoride', 'mg/L', { most: 2 }),
    secondary('iron', 'ug/L', { most: 300 }),
    secondary('manganese', 'ug/L', { most: 50 }),
    secondary('ph', 'pH', { least: 6.5, most: 8.5 }),
    secondary('sulfate', 'mg/L', { most: 250 }),
  ],
  sums: [
    {
      id: 'nitrogen',
      name: 'Nitrate and nitrite together, 10 mg/L as nitrogen',
      place: '40 CFR 141.62(b)(9)',
      shares: [
        { parameter: 'nitrate', of: 10 * nitratePerN, unit: 'mg/L' },
        { parameter: 'nitrite', of: 10 * nitritePerN, unit: 'mg/L' },
      ],
    },
  ],
};

/** As before, with a sentence to each value. */
export const usDrinkingWater2 = withSentences(usDrinkingWater, {
  edition: '2026-2',
  comparison:
    'Numbers are compared as reported. For compliance the federal practice rounds a result to the digits of the value first: common practice; ask the authority where it decides.',
});
