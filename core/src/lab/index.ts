import { z } from 'zod';
import { Id } from '../book/index.ts';
import { bottleConditions, type BottleCondition } from '../custody/index.ts';

/** What Fonte sends to a lab's intake desk: the form, bottle by bottle, in codes of the round's editions and never in a page's words. */
export const IntakeRequest = z.object({
  handOver: Id,
  /** The head of the round's book with the hand-over in it: the lab is its witness. */
  book: z.object({ id: Id, count: z.number().int().positive(), hash: z.string().regex(/^[0-9a-f]{64}$/) }),
  round: z.string(),
  system: z.string(),
  collector: z.string(),
  handedOverAt: z.iso.datetime(),
  coolerTemperature: z.number(),
  seal: z.string(),
  count: z.number().int().positive(),
  bottles: z.array(
    z.object({
      bottle: z.string(),
      point: z.string(),
      pointName: z.string(),
      /** The bottle's rule, such as `bacteria`. */
      rule: z.string(),
      collectedAt: z.iso.datetime(),
      sampleType: z.enum(['routine', 'special']),
      /** Sample, duplicate or blank. */
      purpose: z.string(),
      /** Free chlorine as it was typed with its unit; `not-needed` where none is asked for, empty where it is missing. */
      residual: z.string(),
      condition: z.enum(Object.keys(bottleConditions) as [BottleCondition]),
      /** The analyses asked of it, such as `nutrients`. */
      requests: z.array(z.string()),
    }),
  ),
});
export type IntakeRequest = z.infer<typeof IntakeRequest>;

/** What the desk answers: a reference for the report, and each bottle accepted or refused with its reason. */
export const IntakeAnswer = z.object({
  reference: z.string().min(1).max(60),
  bottles: z.array(z.object({ bottle: z.string().max(60), accepted: z.boolean(), reason: z.string().max(300).optional() })).max(2000),
});
export type IntakeAnswer = z.infer<typeof IntakeAnswer>;
