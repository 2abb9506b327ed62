import type { AnalysisRow } from '../rule.ts';
import { analyses as before } from './bottles-2026-4/analyses.ts';

/** As the edition before; and what is taken beside another sample of the same outlet in one visit. */
export const analyses = {
  ...before,
  legionellaFlushed: { name: 'Legionella, after flushing', group: 'Germs', bottles: ['legionellaFlushed'] },
  leadFifth: { name: 'Lead, first and fifth litre', group: 'Metals', bottles: ['lead', 'leadFifth'] },
} as const satisfies Record<string, AnalysisRow>;
