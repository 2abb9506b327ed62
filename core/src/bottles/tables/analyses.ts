import type { ParameterId } from '../../parameters/index.ts';

export interface AnalysisRow {
  name: string;
  /** Bottle rules that this analysis needs, one bottle of each. */
  bottles: readonly string[];
  parameters: readonly ParameterId[];
}

/** What can be asked of a lab. Grouping by bottle is common practice; each lab has its own. */
export const analyses = {
  coliforms: { name: 'Coliforms + E. coli', bottles: ['bacteria'], parameters: ['coliforms', 'ecoli'] },
  general: {
    name: 'General chemistry',
    bottles: ['general'],
    parameters: [
      'ph',
      'conductivity',
      'turbidity',
      'calcium',
      'magnesium',
      'sodium',
      'potassium',
      'chloride',
      'sulfate',
      'alkalinity',
      'fluoride',
    ],
  },
  nutrients: { name: 'Nutrients', bottles: ['nitrogen', 'ammonium'], parameters: ['nitrate', 'nitrite', 'ammonium'] },
  metals: {
    name: 'Dissolved metals',
    bottles: ['metals'],
    parameters: [
      'iron',
      'manganese',
      'aluminium',
      'arsenic',
      'antimony',
      'boron',
      'cadmium',
      'chromium',
      'copper',
      'lead',
      'nickel',
      'selenium',
      'uranium',
    ],
  },
} as const satisfies Record<string, AnalysisRow>;
