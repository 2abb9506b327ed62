import { eachOther, pesticideList, polycyclic4, trihalomethanes4, nitrateAndNitrite } from '../groups.ts';
import { conductivityFrom20, listOf, plainSum, rowsOf, type LimitSet } from '../limit-set.ts';
import { noneWanted, withSentences } from '../sentences.ts';

const [tableA, tableB, national, indicators] = [
  'Schedule 1, Table A',
  'Schedule 1, Table B',
  'Schedule 1, Table B, national',
  'Schedule 2',
];

const set: LimitSet = {
  id: 'england-2016',
  name: 'English regulations',
  source: 'The Water Supply (Water Quality) Regulations 2016 (S.I. 2016/614), Schedules 1 and 2, values from memory',
  edition: '2026-1',
  from: '2016-06-27',
  comparison: 'Numbers are compared as reported.',
  rows: [
    ...listOf('health', tableA, 'per100mL', { ecoli: 0, enterococci: 0 }),
    ...listOf('health', tableB, 'ug/L', {
      acrylamide: 0.1,
      antimony: 5,
      arsenic: 10,
      benzene: 1,
      benzoAPyrene: 0.01,
      bromate: 10,
      cadmium: 5,
      chromium: 50,
      cyanide: 50,
      dichloroethane12: 3,
      epichlorohydrin: 0.1,
      lead: 10,
      mercury: 1,
      nickel: 20,
      polycyclicSum: 0.1,
      selenium: 10,
      chloroethenes: 10,
      trihalomethanes: 100,
      vinylChloride: 0.5,
      pesticidesSum: 0.5,
      aldrin: 0.03,
      dieldrin: 0.03,
      heptachlor: 0.03,
      heptachlorEpoxide: 0.03,
      ...eachOther(0.1),
    }),
    ...listOf('health', tableB, 'mg/L', { boron: 1, copper: 2, fluoride: 1.5, nitrate: 50, nitrite: 0.5 }),
    rowsOf('health', tableB)('nitrite', 'mg/L', { most: 0.1 }, { at: ['entry-point'], note: 'As it leaves the treatment works' }),
    ...listOf('health', national, 'ug/L', { tetrachloromethane: 3 }),
    ...listOf('aesthetic', national, 'ug/L', { aluminium: 200, iron: 200, manganese: 50 }),
    ...listOf('aesthetic', national, 'mg/L', { sodium: 200 }),
    ...listOf('aesthetic', national, 'mg/L Pt', { colour: 20 }),
    ...listOf('aesthetic', national, 'NTU', { turbidity: 4 }),
    ...listOf('indicator', indicators, 'NTU', { turbidity: 1 }, { at: ['entry-point'], note: 'As it leaves the treatment works' }),
    ...listOf('indicator', indicators, 'per100mL', { coliforms: 0, clostridium: 0 }),
    ...listOf('indicator', indicators, 'mg/L', { ammonium: 0.5, chloride: 250, sulfate: 250 }),
    ...listOf('indicator', indicators, 'uS/cm', { conductivity: 2500 * conductivityFrom20 }, { note: '2500 µS/cm at 20 °C' }),
    rowsOf('indicator', indicators)('ph', 'pH', { least: 6.5, most: 9.5 }),
    ...listOf('indicator', indicators, 'Bq/L', { radon: 100, tritium: 100 }),
    ...listOf('indicator', indicators, 'mSv', { indicativeDose: 0.1 }),
  ],
  sums: [
    nitrateAndNitrite(`${tableB}, note to nitrate`),
    plainSum({ id: 'trihalomethanes', name: 'Trihalomethanes, sum of 4', place: tableB, unseen: 'none' }, trihalomethanes4, 100, 'ug/L'),
    plainSum({ id: 'polycyclic', name: 'Polycyclic aromatics, sum of 4', place: tableB, unseen: 'none' }, polycyclic4, 0.1, 'ug/L'),
    plainSum(
      { id: 'chloroethenes', name: 'Tetrachloroethene and trichloroethene', place: tableB, unseen: 'none' },
      ['tetrachloroethene', 'trichloroethene'],
      10,
      'ug/L',
    ),
    plainSum({ id: 'pesticides', name: 'Pesticides, together', place: tableB, unseen: 'none', isOpen: true }, pesticideList, 0.5, 'ug/L'),
  ],
};

/** The Water Supply (Water Quality) Regulations 2016 for England. Private supplies have regulations of their own with the same values. */
export const englishRegulations = withSentences(set, {}, set.rows, noneWanted);
