import { z } from 'zod';
import { AnalysisId } from '../bottles/index.ts';
import { Because } from './because.ts';

/**
 * What became of an analysis at a visit, as far as a programme counts it: planned in a round that is open; taken as a routine sample;
 * or owed still, as it was special, spoilt, or refused by the lab, or as the well was dry.
 */
export const sampleStates = ['planned', 'taken', 'special', 'spoilt', 'refused', 'dry'] as const;

export const SampleOfRecord = z.object({
  round: z.string(),
  visit: z.string(),
  point: z.string(),
  analysis: AnalysisId,
  /** The day of collection, or the planned one, by the round's wall clock. */
  date: z.string(),
  state: z.enum(sampleStates),
  /** What asked for it, where no programme did. */
  because: Because.nullable(),
});
export type SampleOfRecord = z.infer<typeof SampleOfRecord>;
