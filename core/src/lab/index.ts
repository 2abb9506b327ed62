import { z } from 'zod';
import { Id } from '../book/index.ts';
import { bottleConditions, sealStates, type BottleCondition } from '../custody/index.ts';

/** What Fonte hands to a lab's intake desk: the form, bottle by bottle, in codes of the round's editions and never in a page's words. */
export const IntakeRequest = z.object({
  handOver: Id,
  /** The head of the round's book with the hand-over in it: the lab is its witness. */
  book: z.object({ id: Id, count: z.number().int().positive(), hash: z.string().regex(/^[0-9a-f]{64}$/) }),
  round: z.string(),
  system: z.string(),
  collector: z.string(),
  handedOverAt: z.iso.datetime(),
  count: z.number().int().positive(),
  /** What was typed for the form, or stands on every form for this lab. */
  said: z.record(z.string(), z.string()),
  boxes: z.array(
    z.object({
      box: z.string(),
      name: z.string(),
      /** °C; null where nobody read it. */
      temperature: z.number().nullable(),
      cooling: z.boolean(),
      seal: z.string(),
      sealIs: z.enum(Object.keys(sealStates) as [keyof typeof sealStates]),
    }),
  ),
  bottles: z.array(
    z.object({
      bottle: z.string(),
      box: z.string(),
      /** The label of the sample that it is a part of. */
      set: z.string(),
      point: z.string(),
      pointName: z.string(),
      /** The bottle's rule, such as `bacteria`, or the lab's own code for it. */
      kind: z.string(),
      collectedAt: z.iso.datetime(),
      sampleType: z.enum(['routine', 'special']),
      /** Sample, duplicate or blank. */
      purpose: z.string(),
      /** Chlorine as it was typed with its unit; `not-needed` where none is asked for, empty where it is missing. */
      residual: z.string(),
      /** The most chlorine that was measured, in mg/L; null where none was. */
      chlorine: z.number().nullable(),
      /** How long the water had stood, in s; null where it is not known or not asked for. */
      stood: z.number().nullable(),
      condition: z.enum(Object.keys(bottleConditions) as [BottleCondition]),
      /** The names of the analyses asked of it. */
      requests: z.array(z.string()),
      /** What the lab's form asks for of each bottle. */
      fields: z.record(z.string(), z.string()),
    }),
  ),
});
export type IntakeRequest = z.infer<typeof IntakeRequest>;

/** What the desk answers: a reference for the report, and each bottle that it has decided on, accepted or refused with its reason. */
export const IntakeAnswer = z.object({
  reference: z.string().min(1).max(60),
  bottles: z.array(z.object({ bottle: z.string().max(60), accepted: z.boolean(), reason: z.string().max(300).optional() })).max(2000),
});
export type IntakeAnswer = z.infer<typeof IntakeAnswer>;
