import { z } from 'zod';
import { entryKind, Id, type EarlierVersion } from '../book/index.ts';
import { samplers } from '../roles/index.ts';
import { Typed, typedOf } from '../units/index.ts';

const written = { stands: 'at-visit', by: samplers, correction: 'replace' } as const;
const reason = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why' });
/** The procedure of the visit that the run is. */
const procedure = z.string().min(1).max(60);
const at = { procedure, step: z.string().min(1).max(40) };

/** At first a visit had one run, of the one protocol that there was. */
function ofTheOneRun<P extends z.ZodType>(payload: P): EarlierVersion {
  return { payload, upgrade: (before: object) => ({ procedure: 'coliforms-distribution', ...before }) };
}

const start = { protocol: z.string().max(60), edition: z.string().max(20) };
export const runStarted = entryKind('run-started', 'Protocol started', z.object({ procedure, ...start }), {
  ...written,
  correction: 'strike',
  earlier: [{ payload: z.object(start), upgrade: (before: { protocol: string }) => ({ procedure: before.protocol, ...before }) }],
});

/** A run is given up before its bottles are full, and why. */
export const runGivenUp = entryKind('run-given-up', 'Protocol given up', z.object({ procedure, reason }), {
  ...written,
  correction: 'strike',
});

/**
 * The run goes back to a step that was closed: it and what came after it is done again, as when somebody drew water and the tap is
 * flushed again, or another choice is made. Only while its bottles are empty.
 */
export const stepReopened = entryKind('step-reopened', 'Step reopened', z.object({ ...at, reason }), written);

/** The clock of a step was started; its time is the entry's own, so it survives a reload. Started again only with a reason. */
export const clockStarted = entryKind('clock-started', 'Clock started', z.object({ ...at, reason: reason.optional() }), {
  ...written,
  earlier: [ofTheOneRun(z.object({ step: at.step }))],
});

/** At first nothing was measured until it was constant, and nothing asked about the past. */
const firstAnswers = [
  z.object({ type: z.literal('confirm') }),
  z.object({ type: z.literal('checks'), yes: z.array(z.string().max(40)).max(40), no: z.array(z.string().max(40)).max(40) }),
  z.object({ type: z.literal('choose'), option: z.string().max(40) }),
  z.object({ type: z.literal('clock') }),
  z.object({ type: z.literal('measure'), reading: Typed }),
  z.object({ type: z.literal('fill') }),
] as const;
const FirstAnswer = z.discriminatedUnion('type', firstAnswers);

/** Then nothing was counted, and no time was told in days. */
const secondAnswers = [
  ...firstAnswers,
  z.object({ type: z.literal('constant'), readings: z.array(Typed).min(1, { error: 'Measure at least once.' }).max(40) }),
  z.object({
    type: z.literal('since'),
    lasted: typedOf('duration', { title: 'For how long', units: ['h', 'min', 'd'], min: 0, max: 31_536_000 }),
  }),
] as const;
const SecondAnswer = z.discriminatedUnion('type', secondAnswers);

/** What a person answered to a step. */
export const StepAnswer = z.discriminatedUnion('type', [
  ...secondAnswers,
  z.object({ type: z.literal('times'), times: z.number().int().min(0).max(1000) }),
]);
export type StepAnswer = z.infer<typeof StepAnswer>;

const done = <A extends z.ZodType>(answer: A) => ({
  step: at.step,
  answer,
  /** Why the step departs from the protocol: a clock cut short, a check answered no. */
  departure: reason.optional(),
});
/** `test` is the field test whose reading was taken over. */
export const stepDone = entryKind('step-done', 'Step done', z.object({ procedure, ...done(StepAnswer), test: Id.optional() }), {
  ...written,
  earlier: [
    ofTheOneRun(z.object(done(FirstAnswer))),
    { payload: z.object({ procedure, ...done(FirstAnswer) }), upgrade: (before: unknown) => before },
    { payload: z.object({ procedure, ...done(SecondAnswer) }), upgrade: (before: unknown) => before },
  ],
});

const skipped = { step: at.step, departure: reason };
export const stepSkipped = entryKind('step-skipped', 'Step left out', z.object({ procedure, ...skipped }), {
  ...written,
  earlier: [ofTheOneRun(z.object(skipped))],
});
