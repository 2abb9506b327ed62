import { z } from 'zod';
import { analyses } from './tables/bottles-2026-5-analyses.ts';

/** What can be asked for in any edition. It stands apart from the bottles: the first page needs the names alone. */
export type AnalysisId = keyof typeof analyses;
export const analysisIds = Object.keys(analyses) as [AnalysisId, ...AnalysisId[]];
export const AnalysisId = z.enum(analysisIds);
