import { z } from 'zod';
import { sampleKinds } from '../bottles/index.ts';
import { reading } from '../endpoints/index.ts';
import { ParameterId } from '../parameters/index.ts';
import { members } from '../roles/index.ts';

/** A result of a system, in the parameter's own unit. */
export const ResultOfSystem = z.object({
  round: z.string(),
  point: z.string(),
  pointName: z.string(),
  bottle: z.string(),
  /** What the bottle was for, by its rule. */
  rule: z.string(),
  /** What the bottle was for compliance. */
  sample: z.enum(sampleKinds),
  parameter: ParameterId,
  form: z.enum(['value', 'below', 'above', 'absent', 'present', 'uncountable']),
  value: z.number().nullable(),
  reportingLimit: z.number().nullable(),
  /** When the bottle was filled, in ms since 1970 in UTC. */
  at: z.number(),
});
export type ResultOfSystem = z.infer<typeof ResultOfSystem>;

export const listSystems = reading('/api/systems', {
  summary: 'The systems and sites that rounds were planned for, by name',
  by: members,
  answer: z.array(z.string()),
});

export const resultsOfSystem = reading('/api/systems/results', {
  summary: 'The results of a system from a day on, oldest first',
  by: members,
  query: z.object({ system: z.string().min(1).max(120), from: z.iso.date() }),
  answer: z.array(ResultOfSystem),
});
