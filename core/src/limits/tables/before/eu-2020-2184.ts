import { rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const microbiological = rowsOf('health', 'Annex I, Part A');
const chemical = rowsOf('health', 'Annex I, Part B');
const indicator = rowsOf('indicator', 'Annex I, Part C');

/** κ20 = κ25 / 1.116. Source: ISO 7888, from memory. */
const per25 = 1.116;

/** Values of the Directive that the analyses here touch. Member states may set stricter ones: local law comes first. */
export const euDrinkingWater: LimitSet = {
  id: 'eu-2020-2184',
  name: 'EU drinking water',
  source: 'Directive (EU) 2020/2184, Annex I, OJ L 435, 23.12.2020',
  edition: '2026-1',
  from: '2020-12-23',
  rows: [
    microbiological('ecoli', 'per100mL', { most: 0 }),

    chemical('antimony', 'ug/L', { most: 10 }),
    chemical('arsenic', 'ug/L', { most: 10 }),
    chemical('boron', 'mg/L', { most: 1.5 }, { note: '2.4 mg/L where desalinated water or the geology is the source' }),
    chemical('cadmium', 'ug/L', { most: 5 }),
    chemical('chromium', 'ug/L', { most: 50 }, { until: '2036-01-11', note: '25 µg/L from 12 January 2036' }),
    chemical('chromium', 'ug/L', { most: 25 }, { from: '2036-01-12' }),
    chemical('copper', 'mg/L', { most: 2 }),
    chemical('fluoride', 'mg/L', { most: 1.5 }),
    chemical('lead', 'ug/L', { most: 10 }, { until: '2036-01-11', note: '5 µg/L from 12 January 2036' }),
    chemical('lead', 'ug/L', { most: 5 }, { from: '2036-01-12' }),
    chemical('nickel', 'ug/L', { most: 20 }),
    chemical('nitrate', 'mg/L', { most: 50 }),
    chemical('nitrite', 'mg/L', { most: 0.5 }, { note: '0.10 mg/L as it leaves the treatment works' }),
    chemical('selenium', 'ug/L', { most: 20 }, { note: '30 µg/L where the geology is the source' }),
    chemical('uranium', 'ug/L', { most: 30 }),

    indicator('aluminium', 'ug/L', { most: 200 }),
    indicator('ammonium', 'mg/L', { most: 0.5 }),
    indicator('chloride', 'mg/L', { most: 250 }),
    indicator('coliforms', 'per100mL', { most: 0 }),
    indicator(
      'conductivity',
      'uS/cm',
      { most: 2500 * per25 },
      { note: '2500 µS/cm at 20 °C, which is 2790 at 25 °C (× 1.116, ISO 7888, from memory)' },
    ),
    indicator('ph', 'pH', { least: 6.5, most: 9.5 }),
    indicator('iron', 'ug/L', { most: 200 }),
    indicator('manganese', 'ug/L', { most: 50 }),
    indicator('sodium', 'mg/L', { most: 200 }),
    indicator('sulfate', 'mg/L', { most: 250 }),
  ],
  sums: [
    {
      id: 'nitrogen',
      name: 'Nitrate and nitrite together',
      place: 'Annex I, Part B, note to nitrate',
      shares: [
        { parameter: 'nitrate', of: 50, unit: 'mg/L' },
        { parameter: 'nitrite', of: 3, unit: 'mg/L' },
      ],
    },
  ],
};

/** As before, with a sentence to each value; uranium only from the day on which its value must be met (Article 25). */
export const euDrinkingWater2 = withSentences(
  euDrinkingWater,
  { edition: '2026-2', comparison: 'Numbers are compared as reported: the Directive names no rounding.' },
  euDrinkingWater.rows.map((row) => {
    if (row.parameter === 'uranium') return { ...row, from: '2026-01-12' };
    return row.parameter === 'conductivity'
      ? { ...row, note: '2500 µS/cm at 20 °C, which is 2790 at 25 °C (× 1.116, ISO 7888:1985)' }
      : row;
  }),
);
