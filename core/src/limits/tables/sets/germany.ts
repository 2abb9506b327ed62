import { eachOther, haloaceticAcids5, pesticideList, pfas20, pfas4, polycyclic4, trihalomethanes4, nitrateAndNitrite } from '../groups.ts';
import { listOf, plainSum, rowsOf, type LimitSet } from '../limit-set.ts';
import { noneWanted, withSentences } from '../sentences.ts';

const [germs, partI, partII, indicators] = ['Anlage 1 Teil I', 'Anlage 2 Teil I', 'Anlage 2 Teil II', 'Anlage 3 Teil I'];
const first = rowsOf('health', partI);
const second = rowsOf('health', partII);
const indicator = rowsOf('indicator', indicators);
const [day2026, day2028, day2030, day2036] = ['2026-01-12', '2028-01-12', '2030-01-12', '2036-01-12'];

const set: LimitSet = {
  id: 'de-trinkwv',
  name: 'German drinking water ordinance',
  source: 'Trinkwasserverordnung of 20 June 2023, Anlagen 1 to 4, values from memory',
  edition: '2026-1',
  from: '2023-06-24',
  comparison: 'Numbers are compared as reported.',
  rows: [
    ...listOf('health', germs, 'per100mL', { ecoli: 0, enterococci: 0 }),
    ...listOf('health', partI, 'mg/L', {
      acrylamide: 0.0001,
      benzene: 0.001,
      boron: 1,
      bromate: 0.01,
      cyanide: 0.05,
      dichloroethane12: 0.003,
      fluoride: 1.5,
      nitrate: 50,
      mercury: 0.001,
      selenium: 0.01,
      chloroethenes: 0.01,
      uranium: 0.01,
      pesticidesSum: 0.0005,
    }),
    ...listOf('health', partI, 'ug/L', { aldrin: 0.03, dieldrin: 0.03, heptachlor: 0.03, heptachlorEpoxide: 0.03, ...eachOther(0.1) }),
    first('chromium', 'ug/L', { most: 25 }, { until: '2030-01-11', note: '5 µg/L from 12 January 2030' }),
    first('chromium', 'ug/L', { most: 5 }, { from: day2030 }),
    first('pfasSum20', 'ug/L', { most: 0.1 }, { from: day2026 }),
    first('pfasSum4', 'ug/L', { most: 0.02 }, { from: day2028 }),
    rowsOf('indicator', partI)('pfasSum4', 'ug/L', { most: 0.02 }, { until: '2028-01-11', note: 'A health value from 12 January 2028' }),

    ...listOf('health', partII, 'mg/L', {
      antimony: 0.005,
      benzoAPyrene: 0.00001,
      bisphenolA: 0.0025,
      cadmium: 0.003,
      chlorate: 0.07,
      chlorite: 0.2,
      epichlorohydrin: 0.0001,
      copper: 2,
      nickel: 0.02,
      nitrite: 0.5,
      polycyclicSum: 0.0001,
      trihalomethanes: 0.05,
      vinylChloride: 0.0005,
    }),
    second('nitrite', 'mg/L', { most: 0.1 }, { at: ['entry-point'], note: 'As it leaves the treatment works' }),
    ...listOf('health', partII, 'ug/L', { haloaceticAcids: 60, microcystin: 1 }, { from: day2026 }),
    second('arsenic', 'ug/L', { most: 10 }, { until: '2036-01-11', note: '4 µg/L from 12 January 2036' }),
    second('arsenic', 'ug/L', { most: 4 }, { from: day2036 }),
    second('lead', 'ug/L', { most: 10 }, { until: '2028-01-11', note: '5 µg/L from 12 January 2028' }),
    second('lead', 'ug/L', { most: 5 }, { from: day2028 }),

    ...listOf('indicator', indicators, 'mg/L', {
      aluminium: 0.2,
      ammonium: 0.5,
      chloride: 250,
      iron: 0.2,
      manganese: 0.05,
      sodium: 200,
      sulfate: 250,
      oxidisability: 5,
    }),
    ...listOf('indicator', indicators, 'per100mL', { coliforms: 0, clostridium: 0 }),
    ...listOf('indicator', indicators, 'permL', { plateCount22: 100, plateCount36: 100 }, { note: 'At the consumer’s tap' }),
    indicator('absorbance436', '1/m', { most: 0.5 }),
    indicator('conductivity', 'uS/cm', { most: 2790 }, { note: 'At 25 °C' }),
    indicator('ph', 'pH', { least: 6.5, most: 9.5 }),
    indicator('turbidity', 'NTU', { most: 1 }, { at: ['entry-point'], note: 'As it leaves the treatment works' }),
    ...listOf(
      'action',
      'Anlage 3 Teil II',
      'per100mL',
      { legionella: 100 },
      { note: 'The technical action value, from it on: over it the system is assessed' },
    ),
    ...listOf('indicator', 'Anlage 4', 'Bq/L', { radon: 100, tritium: 100 }),
    ...listOf('indicator', 'Anlage 4', 'mSv', { indicativeDose: 0.1 }),
  ],
  sums: [
    nitrateAndNitrite(`${partI}, note to nitrate`),
    plainSum({ id: 'trihalomethanes', name: 'Trihalomethanes, sum of 4', place: partII, unseen: 'none' }, trihalomethanes4, 50, 'ug/L'),
    plainSum(
      { id: 'haloacetic', name: 'Haloacetic acids, sum of 5', place: partII, unseen: 'none', from: day2026 },
      haloaceticAcids5,
      60,
      'ug/L',
    ),
    plainSum({ id: 'polycyclic', name: 'Polycyclic aromatics, sum of 4', place: partII, unseen: 'none' }, polycyclic4, 0.1, 'ug/L'),
    plainSum(
      { id: 'chloroethenes', name: 'Tetrachloroethene and trichloroethene', place: partI, unseen: 'none' },
      ['tetrachloroethene', 'trichloroethene'],
      10,
      'ug/L',
    ),
    plainSum({ id: 'pfas-20', name: 'PFAS, sum of 20', place: partI, unseen: 'none', from: day2026 }, pfas20, 0.1, 'ug/L'),
    plainSum({ id: 'pfas-4', name: 'PFAS, sum of 4', place: partI, unseen: 'none', from: day2028 }, pfas4, 0.02, 'ug/L'),
    plainSum({ id: 'pesticides', name: 'Pesticides, together', place: partI, unseen: 'none', isOpen: true }, pesticideList, 0.5, 'ug/L'),
  ],
};

/** The German drinking water ordinance of 2023, with what it announces. */
export const germanOrdinance = withSentences(set, {}, set.rows, noneWanted);
