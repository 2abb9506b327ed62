import { z } from 'zod';
import { Id } from '../book/index.ts';

/** Why a sample is taken that no programme asks for. */
export const causes = {
  repeat: { name: 'Repeat sample', isCounted: false },
  triggered: { name: 'Triggered sample', isCounted: false },
  /** In place of one that the lab refused: it counts as that one would have. */
  resample: { name: 'Sample taken again', isCounted: true },
} as const;
export type CauseId = keyof typeof causes;
const causeIds = Object.keys(causes) as [CauseId, ...CauseId[]];

/** What asks for a sample: a follow-up of another round, by when, and what it was about. */
export const Because = z.object({
  as: z.enum(causeIds),
  round: Id,
  /** The follow-up's id there. */
  action: z.string().min(1).max(160),
  /** Label of the bottle or name of the point that it began with. */
  of: z.string().min(1).max(160),
  /** ms since 1970 in UTC. */
  by: z.number().int(),
});
export type Because = z.infer<typeof Because>;
