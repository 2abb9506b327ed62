import { eachOther, haloaceticAcids5, pesticideList, pfas20, polycyclic4, trihalomethanes4, nitrateAndNitrite } from '../groups.ts';
import { conductivityFrom20, listOf, plainSum, rowsOf, type LimitSet } from '../limit-set.ts';
import { noneWanted, withSentences } from '../sentences.ts';

const [partA, partB, partC, partD] = ['Annex I, Part A', 'Annex I, Part B', 'Annex I, Part C', 'Annex I, Part D'];
const old = 'Directive 98/83/EC, Annex I, Part B';
const chemical = rowsOf('health', partB);
const indicator = rowsOf('indicator', partC);

/** The first day of Part B of 2020/2184 (Article 26), and the day by which what is new in it must be met (Article 25). */
const [applied, mustBeMet, lead2036] = ['2023-01-12', '2026-01-12', '2036-01-12'];
const before = { until: '2023-01-11' };
const since = { from: applied };
const fromDay = { from: mustBeMet };
const withDioxide = '0.70 mg/L where chlorine dioxide or the like disinfects';

const set: LimitSet = {
  id: 'eu-2020-2184',
  name: 'EU drinking water',
  source: 'Directive (EU) 2020/2184, Annex I, OJ L 435, 23.12.2020; Directive 98/83/EC before 2023; 2013/51/Euratom, values from memory',
  edition: '2026-3',
  from: '2020-12-23',
  comparison: 'Numbers are compared as reported: the Directive names no rounding.',
  rows: [
    ...listOf('health', partA, 'per100mL', { ecoli: 0, enterococci: 0 }),

    ...listOf('health', partB, 'ug/L', {
      acrylamide: 0.1,
      arsenic: 10,
      benzene: 1,
      benzoAPyrene: 0.01,
      bromate: 10,
      cadmium: 5,
      cyanide: 50,
      dichloroethane12: 3,
      epichlorohydrin: 0.1,
      mercury: 1,
      nickel: 20,
      vinylChloride: 0.5,
      polycyclicSum: 0.1,
      chloroethenes: 10,
      trihalomethanes: 100,
    }),
    ...listOf('health', partB, 'mg/L', { copper: 2, fluoride: 1.5, nitrate: 50 }),
    chemical('nitrite', 'mg/L', { most: 0.5 }, { note: '0.10 mg/L as it leaves the treatment works' }),
    chemical('nitrite', 'mg/L', { most: 0.1 }, { at: ['entry-point'], note: 'As it leaves the treatment works' }),

    ...listOf('health', old, 'ug/L', { antimony: 5, selenium: 10 }, before),
    ...listOf('health', old, 'mg/L', { boron: 1 }, before),
    chemical('antimony', 'ug/L', { most: 10 }, since),
    chemical('boron', 'mg/L', { most: 1.5 }, { ...since, note: '2.4 mg/L where desalinated water or the geology is the source' }),
    chemical('selenium', 'ug/L', { most: 20 }, { ...since, note: '30 µg/L where the geology is the source' }),
    chemical('chromium', 'ug/L', { most: 50 }, { until: '2036-01-11', note: '25 µg/L from 12 January 2036' }),
    chemical('chromium', 'ug/L', { most: 25 }, { from: lead2036 }),
    chemical('lead', 'ug/L', { most: 10 }, { until: '2036-01-11', note: '5 µg/L from 12 January 2036' }),
    chemical('lead', 'ug/L', { most: 5 }, { from: lead2036 }),

    ...listOf('health', partB, 'ug/L', { bisphenolA: 2.5, haloaceticAcids: 60, microcystin: 1, uranium: 30 }, fromDay),
    ...listOf(
      'health',
      partB,
      'ug/L',
      { pfasSum20: 0.1, pfasTotal: 0.5 },
      { ...fromDay, note: 'A member state uses one of the two, or both' },
    ),
    chemical('chlorate', 'mg/L', { most: 0.25 }, { ...fromDay, note: withDioxide }),
    chemical('chlorite', 'mg/L', { most: 0.25 }, { ...fromDay, note: withDioxide }),

    ...listOf('health', partB, 'ug/L', { aldrin: 0.03, dieldrin: 0.03, heptachlor: 0.03, heptachlorEpoxide: 0.03 }),
    ...listOf('health', partB, 'ug/L', eachOther(0.1), { note: 'Each pesticide, and what of it breaks down to something that matters' }),
    chemical('pesticidesSum', 'ug/L', { most: 0.5 }),

    ...listOf('indicator', partC, 'ug/L', { aluminium: 200, iron: 200, manganese: 50 }),
    ...listOf('indicator', partC, 'mg/L', { ammonium: 0.5, chloride: 250, sodium: 200, sulfate: 250, oxidisability: 5 }),
    ...listOf('indicator', partC, 'per100mL', { coliforms: 0 }),
    indicator('clostridium', 'per100mL', { most: 0 }, { note: 'Where the risk assessment calls for it: water that surface water reaches' }),
    indicator(
      'conductivity',
      'uS/cm',
      { most: 2500 * conductivityFrom20 },
      { note: '2500 µS/cm at 20 °C, which is 2790 at 25 °C (× 1.116, ISO 7888:1985)' },
    ),
    indicator('ph', 'pH', { least: 6.5, most: 9.5 }),

    ...listOf(
      'action',
      partD,
      'perL',
      { legionella: 1000 },
      { note: 'For the risk assessment of water in buildings; acting below it is allowed' },
    ),
    ...listOf(
      'indicator',
      '2013/51/Euratom, Annex I',
      'Bq/L',
      { radon: 100, tritium: 100 },
      { note: 'A parametric value: over it the risk is assessed' },
    ),
    ...listOf(
      'indicator',
      '2013/51/Euratom, Annex III',
      'Bq/L',
      { grossAlpha: 0.1, grossBeta: 1 },
      { note: 'A screening level for the indicative dose' },
    ),
    ...listOf('indicator', '2013/51/Euratom, Annex I', 'mSv', { indicativeDose: 0.1 }),
  ],
  sums: [
    nitrateAndNitrite('Annex I, Part B, note to nitrate'),
    plainSum({ id: 'trihalomethanes', name: 'Trihalomethanes, sum of 4', place: partB, unseen: 'none' }, trihalomethanes4, 100, 'ug/L'),
    plainSum(
      { id: 'haloacetic', name: 'Haloacetic acids, sum of 5', place: partB, unseen: 'none', from: mustBeMet },
      haloaceticAcids5,
      60,
      'ug/L',
    ),
    plainSum({ id: 'polycyclic', name: 'Polycyclic aromatics, sum of 4', place: partB, unseen: 'none' }, polycyclic4, 0.1, 'ug/L'),
    plainSum(
      { id: 'chloroethenes', name: 'Tetrachloroethene and trichloroethene', place: partB, unseen: 'none' },
      ['tetrachloroethene', 'trichloroethene'],
      10,
      'ug/L',
    ),
    plainSum(
      { id: 'pfas-20', name: 'PFAS, sum of 20', place: `${partB}; Annex III, Part B, point 3`, unseen: 'none', from: mustBeMet },
      pfas20,
      0.1,
      'ug/L',
    ),
    plainSum({ id: 'pesticides', name: 'Pesticides, together', place: partB, unseen: 'none', isOpen: true }, pesticideList, 0.5, 'ug/L'),
  ],
};

/**
 * Directive (EU) 2020/2184, Annex I, whole, with the values of 98/83/EC for samples before it applied, and Directive 2013/51/Euratom.
 * Member states may set stricter ones: local law comes first. What is to be "acceptable and without abnormal change" has no number.
 */
export const euDrinkingWater3 = withSentences(set, {}, set.rows, noneWanted);
