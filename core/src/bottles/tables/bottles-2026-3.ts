import type { BottleRule } from '../rule.ts';
import { rules as before } from './bottles-2026-2.ts';

/**
 * As the edition before: the shortest clock of the general bottle is turbidity's, and it takes no air; acid-preserved metals need no
 * cooling, and are filtered at wells only: at a tap people drink what hangs on particles. Holding of bacteria by ISO 19458
 * (from memory, as are the figures of Table II that are new here).
 */
export const rules = {
  ...before,
  bacteria: {
    ...before.bacteria,
    source:
      'ISO 19458:2006 (sterile bottle, thiosulfate, air space; 12 h recommended, 18 h at most); 24 h: common practice of many labs, the lab’s own time comes first',
  },
  general: {
    ...before.general,
    fill: 'To the brim, cap without a bubble',
    mark: 0.99,
    headspace: 'No air: it changes pH and alkalinity',
    holdingHours: 48,
    holdingFor: 'Turbidity. pH does not wait at all (15 minutes): measure it in the field',
    source: '40 CFR 136.3 Table II (turbidity 48 h, alkalinity 14 d, pH 15 min, cool ≤ 6 °C); rinse and fill: common practice',
  },
  metals: {
    ...before.metals,
    name: 'Metals',
    filter: '0.45 µm in line. Waste first: 20 mL through a disc, 500 mL through a capsule, or as its maker says',
    filterAt: 'well',
    temperature: 'any',
    temperatureText: 'Needs no cooling once it is acid',
    source: '40 CFR 136.3 Table II (metals: HNO3 to pH < 2, 6 months; dissolved: filter 0.45 µm first); filter waste: common practice',
  },
} as const satisfies Record<string, BottleRule>;
