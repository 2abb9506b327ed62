import type { AnalysisRow } from '../rule.ts';
import { analyses2026 } from './analyses.ts';

/** As the edition before, with lead and copper at the tap. */
export const analyses = {
  ...analyses2026,
  lead: { name: 'Lead and copper at the tap', bottles: ['lead'] },
} as const satisfies Record<string, AnalysisRow>;
