import { z } from 'zod';
import type { Because } from '../due/index.ts';
import { ParameterId } from '../parameters/index.ts';
import { askedSamples, type AskedSample } from './tables/samples.ts';

/** What is to be done and why: what a rule of the edition says, a call to a lab that refused, another sample for one that it refused or nobody found. */
export const Task = z.discriminatedUnion('code', [
  z.object({
    code: z.literal('rule'),
    rule: z.string(),
    do: z.string(),
    parameters: z.array(ParameterId),
    inDoubt: z.array(z.string()).optional(),
  }),
  z.object({ code: z.literal('resample'), how: z.enum(['refused', 'missing']), bottle: z.string(), reason: z.string() }),
  z.object({ code: z.literal('call-lab'), lab: z.string(), reference: z.string(), bottles: z.array(z.string()) }),
]);
export type Task = z.infer<typeof Task>;

/** Something that must be done by a deadline (ms). Its id is stable: one rule at one point. */
export const FollowUp = z.object({
  id: z.string(),
  visit: z.string(),
  pointName: z.string(),
  task: Task,
  due: z.number(),
  /** People may drink what is over a value for health: overdue, it comes before everything else. */
  isHealth: z.boolean().default(false),
  source: z.string(),
  done: z.object({ at: z.number(), note: z.string(), entry: z.string() }).nullable(),
});
export type FollowUp = z.infer<typeof FollowUp>;

/** What a task asks to be sampled; null where it asks for something else. */
export function askedSample(task: Task): AskedSample | null {
  if (task.code === 'resample') return { as: 'resample', at: 'point' };
  if (task.code === 'call-lab') return null;
  return Object.hasOwn(askedSamples, task.rule) ? askedSamples[task.rule]! : null;
}

/** What asks for a sample that a follow-up of a round wants; null where it wants none. */
export function becauseOf({ id, task, pointName, due }: FollowUp, round: string): Because | null {
  const asked = askedSample(task);
  return asked && { as: asked.as, round, action: id, of: task.code === 'resample' ? task.bottle : pointName, by: due };
}
