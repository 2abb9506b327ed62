import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { waterStates } from './entries.ts';
import { members } from '../roles/index.ts';

/** A level of the record of a well: depth in m below the mark, elevation in m above the datum, null where that of the mark is not known. */
export const LevelOfRecord = z.object({
  round: z.string(),
  /** ms since 1970 in UTC. */
  at: z.number(),
  measuringPoint: z.string(),
  depth: z.number(),
  elevation: z.number().nullable(),
  water: z.enum(waterStates),
});
export type LevelOfRecord = z.infer<typeof LevelOfRecord>;

export const besideLevels = reading('/api/points/:point/beside', {
  summary: 'The nearest wells with their levels at rest',
  by: members,
  answer: z.array(z.object({ id: z.string(), name: z.string(), away: z.number(), levels: z.array(LevelOfRecord) })),
});

export const levelRecord = reading('/api/points/:point/levels', {
  summary: 'The level record of a well, oldest first',
  by: members,
  answer: z.array(LevelOfRecord),
});
