import { haloaceticAcids5, trihalomethanes4 } from '../groups.ts';
import { asIon, listOf, plainSum, rowsOf, type LimitSet } from '../limit-set.ts';
import { withSentences } from '../sentences.ts';

const inorganic = '40 CFR 141.62(b)';
const radionuclide = '40 CFR 141.66';
const byProduct = '40 CFR 141.64(b)';
const disinfectant = rowsOf('health', '40 CFR 141.65(a)');
const action = rowsOf('action', '40 CFR 141.80(c)');
const secondary = rowsOf('aesthetic', '40 CFR 143.3');
const percentile = 'An action level: the 90th percentile of a round of samples counts, not one tap';
const average = 'As the average of a year';
const atPlace = 'As the average of a year at each place';

/** The day by which systems must meet the values of 2024 for PFAS. */
const pfasDay = '2029-04-26';
const pfasPlace = '40 CFR 141.61(d)';
const announced =
  'must be met from 26 April 2029. In 2025 the agency announced to give more time for PFOA and PFOS and to reconsider the others.';

/** Federal values of the United States, whole. The states may set stricter ones: local law comes first. */
export const usDrinkingWater3: LimitSet = withSentences({
  id: 'us-40-cfr',
  name: 'US drinking water',
  source: '40 CFR Part 141 (health, action levels) and Part 143 (secondary), values from memory',
  edition: '2026-3',
  from: '2006-01-23',
  comparison:
    'Numbers are compared as reported. For compliance the federal practice rounds a result to the digits of the value first: common practice; ask the authority where it decides.',
  rows: [
    ...listOf('health', '40 CFR 141.63', 'per100mL', { ecoli: 0 }, { note: 'With repeat samples, by 141.63(c)' }),
    ...listOf(
      'indicator',
      '40 CFR 141.859(a)',
      'per100mL',
      { coliforms: 0 },
      { note: 'Triggers repeat samples and, by their share, an assessment' },
    ),
    ...listOf(
      'indicator',
      '40 CFR 141.402(a)',
      'per100mL',
      { enterococci: 0, coliphages: 0 },
      { note: 'A sign of faeces in source water' },
    ),
    ...listOf(
      'indicator',
      '40 CFR 141.72',
      'permL',
      { heterotrophic: 500 },
      { note: 'Up to it a place without residual counts as one that has some' },
    ),

    ...listOf('health', '40 CFR 141.61(a)', 'mg/L', {
      vinylChloride: 0.002,
      benzene: 0.005,
      tetrachloromethane: 0.005,
      dichloroethane12: 0.005,
      trichloroethene: 0.005,
      dichlorobenzene14: 0.075,
      dichloroethene11: 0.007,
      trichloroethane111: 0.2,
      cisDichloroethene12: 0.07,
      dichloropropane12: 0.005,
      ethylbenzene: 0.7,
      chlorobenzene: 0.1,
      dichlorobenzene12: 0.6,
      styrene: 0.1,
      tetrachloroethene: 0.005,
      toluene: 1,
      transDichloroethene12: 0.1,
      xylenes: 10,
      dichloromethane: 0.005,
      trichlorobenzene124: 0.07,
      trichloroethane112: 0.005,
    }),
    ...listOf('health', '40 CFR 141.61(c)', 'mg/L', {
      alachlor: 0.002,
      atrazine: 0.003,
      carbofuran: 0.04,
      chlordane: 0.002,
      dibromochloropropane: 0.0002,
      d24: 0.07,
      dibromoethane12: 0.00005,
      heptachlor: 0.0004,
      heptachlorEpoxide: 0.0002,
      lindane: 0.0002,
      methoxychlor: 0.04,
      polychlorinatedBiphenyls: 0.0005,
      pentachlorophenol: 0.001,
      toxaphene: 0.003,
      fenoprop: 0.05,
      benzoAPyrene: 0.0002,
      dalapon: 0.2,
      ethylhexylAdipate: 0.4,
      ethylhexylPhthalate: 0.006,
      dinoseb: 0.007,
      diquat: 0.02,
      endothall: 0.1,
      endrin: 0.002,
      glyphosate: 0.7,
      hexachlorobenzene: 0.001,
      hexachlorocyclopentadiene: 0.05,
      oxamyl: 0.2,
      picloram: 0.5,
      simazine: 0.004,
      dioxin: 3e-8,
    }),
    ...listOf('health', inorganic, 'mg/L', {
      fluoride: 4,
      barium: 2,
      cadmium: 0.005,
      chromium: 0.1,
      mercury: 0.002,
      nitrateNitrite: 10,
      selenium: 0.05,
      antimony: 0.006,
      beryllium: 0.004,
      freeCyanide: 0.2,
      thallium: 0.002,
      arsenic: 0.01,
    }),
    ...listOf('health', inorganic, 'mg/L', { nitrate: 10 * asIon.nitrate }, { note: '10 mg/L as nitrogen' }),
    ...listOf('health', inorganic, 'mg/L', { nitrite: asIon.nitrite }, { note: '1 mg/L as nitrogen' }),
    ...listOf(
      'health',
      inorganic,
      'mg/L',
      { cyanide: 0.2 },
      { note: 'The value is of free cyanide, which is a part of it', kind: 'indicator' },
    ),
    ...listOf('health', inorganic, 'MFL', { asbestos: 7 }),

    ...listOf('health', byProduct, 'mg/L', { trihalomethanes: 0.08, haloaceticAcids: 0.06 }, { note: atPlace }),
    ...listOf('health', byProduct, 'mg/L', { bromate: 0.01, chlorite: 1 }),
    disinfectant('totalChlorine', 'mg/L', { most: 4 }, { note: average }),
    disinfectant('freeChlorine', 'mg/L', { most: 4 }, { note: average }),
    disinfectant('monochloramine', 'mg/L', { most: 4 }, { note: `${average}; given as chlorine` }),
    disinfectant('chlorineDioxide', 'mg/L', { most: 0.8 }),

    ...listOf('health', radionuclide, 'pCi/L', { radium: 5, grossAlpha: 15 }, { note: 'Gross alpha without radon and uranium' }),
    ...listOf('health', radionuclide, 'mrem', { betaDose: 4 }),
    ...listOf('health', '40 CFR 141.66(e)', 'ug/L', { uranium: 30 }),

    ...listOf(
      'indicator',
      pfasPlace,
      'ng/L',
      { pfoa: 4, pfos: 4, pfhxs: 10, pfna: 10, hfpoDa: 10 },
      { until: '2029-04-25', note: `A health value that ${announced}` },
    ),
    ...listOf(
      'health',
      pfasPlace,
      'ng/L',
      { pfoa: 4, pfos: 4, pfhxs: 10, pfna: 10, hfpoDa: 10 },
      { from: pfasDay, note: `${average}. ${announced}` },
    ),

    action('lead', 'ug/L', { most: 15 }, { until: '2027-10-31', note: `${percentile}; 10 µg/L from 1 November 2027` }),
    action('lead', 'ug/L', { most: 10 }, { from: '2027-11-01', note: percentile }),
    action('copper', 'mg/L', { most: 1.3 }, { note: percentile }),

    ...listOf('aesthetic', '40 CFR 143.3', 'mg/L', {
      chloride: 250,
      copper: 1,
      fluoride: 2,
      iron: 0.3,
      manganese: 0.05,
      silver: 0.1,
      sulfate: 250,
      surfactants: 0.5,
      dissolvedSolids: 500,
      zinc: 5,
    }),
    secondary('aluminium', 'mg/L', { most: 0.2 }, { note: '0.05 to 0.2 mg/L' }),
    secondary('colour', 'mg/L Pt', { most: 15 }),
    secondary('odour', 'dilution', { most: 3 }),
    secondary('ph', 'pH', { least: 6.5, most: 8.5 }),
  ],
  sums: [
    {
      id: 'nitrogen',
      name: 'Nitrate and nitrite together, 10 mg/L as nitrogen',
      place: '40 CFR 141.62(b)(9)',
      shares: [
        { parameter: 'nitrate', of: 10 * asIon.nitrate, unit: 'mg/L' },
        { parameter: 'nitrite', of: 10 * asIon.nitrite, unit: 'mg/L' },
      ],
    },
    plainSum({ id: 'trihalomethanes', name: 'Trihalomethanes, sum of 4', place: byProduct, unseen: 'none' }, trihalomethanes4, 80, 'ug/L'),
    plainSum({ id: 'haloacetic', name: 'Haloacetic acids, sum of 5', place: byProduct, unseen: 'none' }, haloaceticAcids5, 60, 'ug/L'),
    plainSum({ id: 'radium', name: 'Radium-226 and radium-228 together', place: radionuclide }, ['radium226', 'radium228'], 5, 'pCi/L'),
    {
      id: 'pfas-hazard',
      name: 'PFAS, hazard index of four',
      place: pfasPlace,
      unseen: 'none',
      kind: 'indicator',
      shares: [
        { parameter: 'hfpoDa', of: 10, unit: 'ng/L' },
        { parameter: 'pfbs', of: 2000, unit: 'ng/L' },
        { parameter: 'pfna', of: 10, unit: 'ng/L' },
        { parameter: 'pfhxs', of: 10, unit: 'ng/L' },
      ],
    },
  ],
});
