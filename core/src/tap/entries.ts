import { z } from 'zod';
import { entryKind, field } from '../book/index.ts';
import { Typed } from '../units/index.ts';

const at = { step: z.string().min(1).max(40) };
const written = { stands: 'at-visit', by: field, correction: 'replace' } as const;

export const runStarted = entryKind(
  'run-started',
  'Protocol started',
  z.object({
    protocol: z.string().max(60),
    edition: z.string().max(20),
  }),
  { ...written, correction: 'strike' },
);

/** The clock of a step was started; its time is the entry's own, so it survives a reload. */
export const clockStarted = entryKind('clock-started', 'Clock started', z.object(at), written);

/** What a person answered to a step. */
export const StepAnswer = z.discriminatedUnion('type', [
  z.object({ type: z.literal('confirm') }),
  z.object({ type: z.literal('checks'), yes: z.array(z.string().max(40)).max(40), no: z.array(z.string().max(40)).max(40) }),
  z.object({ type: z.literal('choose'), option: z.string().max(40) }),
  z.object({ type: z.literal('clock') }),
  z.object({ type: z.literal('measure'), reading: Typed }),
  z.object({ type: z.literal('fill') }),
]);
export type StepAnswer = z.infer<typeof StepAnswer>;

export const stepDone = entryKind(
  'step-done',
  'Step done',
  z.object({
    ...at,
    answer: StepAnswer,
    /** Why the step departs from the protocol: a clock cut short, a check answered no. */
    departure: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).optional(),
  }),
  written,
);

export const stepSkipped = entryKind(
  'step-skipped',
  'Step left out',
  z.object({
    ...at,
    departure: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300),
  }),
  written,
);
