import type { AnalysisRow } from '../rule.ts';

/** What can be asked of a lab. Grouping by bottle is common practice; each lab has its own. */
export const analyses2026 = {
  coliforms: { name: 'Coliforms + E. coli', bottles: ['bacteria'] },
  general: { name: 'General chemistry', bottles: ['general'] },
  nutrients: { name: 'Nutrients', bottles: ['nitrogen', 'ammonium'] },
  metals: { name: 'Dissolved metals', bottles: ['metals'] },
} as const satisfies Record<string, AnalysisRow>;
