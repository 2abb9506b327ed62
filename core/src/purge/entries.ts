import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { EditionRef } from '../editions/index.ts';
import { sayFinding } from '../findings/index.ts';
import { questionReading, type ParameterId, readingFindings } from '../parameters/index.ts';
import { OwnCriterion } from '../registers/index.ts';
import { Typed, typedOf } from '../units/index.ts';
import { driveTrainFields, missingOf, pumpFields } from './pumping/gear.ts';
import { refOfOwn } from './stability/own.ts';
import { choiceOf, troubleIds } from './troubles.ts';

/** What a multi-parameter probe with a flow cell reads; chosen per visit. */
export const probeParameters = [
  'temperature',
  'ph',
  'conductivity',
  'oxygen',
  'turbidity',
  'redox',
] as const satisfies readonly ParameterId[];
export type ProbeParameter = (typeof probeParameters)[number];

const reason = (title: string) => z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title });

const byVolumes = {
  /** True inside diameter: from the pipe table or typed. */
  insideDiameter: typedOf('length', { title: 'True inside diameter', units: ['mm', 'in'], min: 0.005, max: 5 }),
  pipe: z.string().max(40).meta({ title: 'Casing' }).optional(),
  /** Bottom below the mark of the level, sounded on the spot where the register does not know it. */
  bottom: typedOf('length', { title: 'Bottom below the mark', units: ['m', 'ft'], min: 0.1, max: 2000 }).optional(),
  volumes: z.number().min(1).max(20).meta({ title: 'Volumes to remove' }),
};
const read = {
  parameters: z.array(z.enum(probeParameters)).min(1, { error: 'Choose at least one parameter.' }).meta({ title: 'Read at each set' }),
};
const judged = {
  /** The edition of the stability criterion. */
  criterion: EditionRef.meta({ title: 'Stable when' }),
  /** A criterion of one's own, whole, so that the book can be judged alone; `criterion` names it `own@` and its id. */
  own: OwnCriterion.optional(),
  ...read,
};

/** How a well is purged: each method with what it asks for, and nothing of another. */
export const PurgeChoice = z
  .discriminatedUnion('method', [
    z.object({
      method: z.literal('volumes').meta({ title: 'Method' }),
      ...byVolumes,
      /** The water of the filter pack is counted as well. */
      withPack: z.boolean().meta({ title: 'With the filter pack' }).optional(),
      ...pumpFields,
      ...judged,
    }),
    z.object({
      method: z.literal('low-flow'),
      ...driveTrainFields,
      mostDrawdown: typedOf('length', { title: 'The level may fall by', units: ['m', 'ft'], min: 0.005, max: 10 }),
      ...pumpFields,
      ...judged,
    }),
    /** Any flow that does not lower the level; the school that splits it at a manifold. */
    z.object({ method: z.literal('steady-level'), ...driveTrainFields, ...pumpFields, ...judged }),
    z.object({
      method: z.literal('dry'),
      recover: z.number().min(10).max(100).meta({ title: 'Recovered to' }),
      ...pumpFields,
      ...read,
    }),
    /** A supply well with its own pump: it runs already, or is run until it is stable. */
    z.object({ method: z.literal('running'), ranBefore: z.boolean(), ...judged }),
    z.object({
      method: z.literal('none'),
      /** A sampler that hung in the screen takes the water as it flows through, which a plan may ask for; left out of set-ups of before. */
      sampler: z.enum(['passive', 'other']).meta({ title: 'The sample is taken' }).optional(),
      reason: reason('Why there is no purge'),
    }),
  ])
  .refine(
    (chosen) => !('criterion' in chosen) || (chosen.own ? chosen.criterion === refOfOwn(chosen.own) : !chosen.criterion.startsWith('own@')),
    {
      path: ['criterion'],
      error: 'A criterion of one’s own goes with the name it is written by.',
    },
  )
  .superRefine((chosen, issues) => {
    if (chosen.method !== 'low-flow' && chosen.method !== 'steady-level') return;
    for (const path of missingOf(chosen))
      issues.addIssue({ code: 'custom', path: [path], message: 'Enter it, or the whole as one number.' });
  });
export type PurgeChoice = z.infer<typeof PurgeChoice>;
export type PurgeMethodId = PurgeChoice['method'];

/** At first there was one method. */
const judgedFirst = { criterion: EditionRef, ...read };
const onlyVolumes = z.object({ ...byVolumes, ...judgedFirst });
/** Then there were two, and nobody said what was pumped with. */
const twoMethods = z.discriminatedUnion('method', [
  z.object({ method: z.literal('volumes'), ...byVolumes, ...judgedFirst }),
  z.object({ method: z.literal('running'), ranBefore: z.boolean(), ...judgedFirst }),
]);

export const purgeSetUp = entryKind('purge-set-up', 'Purge set up', PurgeChoice, {
  stands: 'at-visit',
  by: field,
  correction: 'replace',
  earlier: [
    { payload: onlyVolumes, upgrade: (before: z.infer<typeof onlyVolumes>) => ({ method: 'volumes', ...before }) },
    { payload: twoMethods, upgrade: (before: z.infer<typeof twoMethods>) => before },
    // Nobody was asked yet how a sample without a purge is taken; then a drive train was its parts, and a pump had no name.
    { payload: PurgeChoice, upgrade: (before: PurgeChoice) => before },
    { payload: PurgeChoice, upgrade: (before: PurgeChoice) => before },
  ],
});

const values = z.partialRecord(z.enum(probeParameters), Typed).superRefine((readings, issues) => {
  for (const [id, typed] of Object.entries(readings)) {
    const stop = questionReading(id as ProbeParameter, typed).find((finding) => finding.severity === 'stop');
    if (stop) issues.addIssue({ code: 'custom', path: [id, 'text'], message: sayFinding(readingFindings, stop).says });
  }
  if (Object.keys(readings).length === 0) issues.addIssue({ code: 'custom', message: 'Enter at least one reading.' });
});

/** Depth to water below the mark while pumping, or while the well recovers. */
const level = typedOf('length', { title: 'Level while pumping', units: ['m', 'ft'], min: -20, max: 2000 });
const pumped = typedOf('volume', { title: 'Pumped so far', units: ['L', 'gal'], min: 0, max: 1000 });

const set = {
  values,
  level: level.optional(),
  note: z.string().max(300).meta({ title: 'Colour, odour, anything odd' }).optional(),
};

export const purgeReading = entryKind(
  'purge-reading',
  'Purge readings',
  z.object({
    /** Total pumped since the purge began, by marks; left out where flow and time tell it. */
    pumped: pumped.optional(),
    ...set,
  }),
  {
    stands: 'at-visit',
    by: field,
    correction: 'replace',
    // At first every set had its total.
    earlier: [{ payload: z.object({ pumped, ...set }), upgrade: (before: unknown) => before }],
  },
);

/** The pump was put on, stopped, or ran the well dry. */
export const pumpStates = ['on', 'off', 'ran-dry'] as const;
export const pumpSwitched = entryKind('pump-switched', 'Pump', z.object({ pump: z.enum(pumpStates).meta({ title: 'The pump' }) }), {
  stands: 'at-visit',
  by: field,
  correction: 'strike',
});

/** A flow, by how long known volumes took to catch. */
export const flowTimed = entryKind(
  'flow-timed',
  'Flow timed',
  z.object({
    timings: z
      .array(
        z.object({
          caught: typedOf('volume', { title: 'Caught', units: ['mL', 'L', 'gal'], min: 1e-5, max: 10 }),
          took: typedOf('duration', { title: 'Took', units: ['s', 'min'], min: 0.5, max: 7200 }),
        }),
      )
      .min(1, { error: 'Time it at least once.' })
      .max(10),
  }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);

/** The level while pumping or recovering, between sets of readings. */
export const pumpingLevelRead = entryKind('pumping-level-read', 'Level while pumping', z.object({ level }), {
  stands: 'at-visit',
  by: field,
  correction: 'replace',
});

/** Something went wrong, and what was decided. */
export const purgeDecided = entryKind(
  'purge-decided',
  'Purge decision',
  z
    .object({
      trouble: z.enum(troubleIds).meta({ title: 'What is wrong' }),
      choice: z.string().min(1, { error: 'Choose what to do.' }).max(40).meta({ title: 'What is done' }),
      reason: reason('Why'),
    })
    .refine(({ trouble, choice }) => choiceOf(trouble, choice) !== null, { path: ['choice'], error: 'Choose what to do.' }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);

/** How the flow was brought down for the bottles. */
const Filling = z.discriminatedUnion('how', [
  z.object({
    how: z.literal('slowed').meta({ title: 'The flow for the bottles' }),
    rate: typedOf('flow', { title: 'Slowed to', units: ['mL/min', 'L/min', 'gpm'], min: 1e-8, max: 1 }),
  }),
  /** At a manifold: the pump runs on as it did. */
  z.object({ how: z.literal('split') }),
  /** From a tap or bailer, or with no pump at all. */
  z.object({ how: z.literal('as-it-is') }),
]);
const endReason = z.string().trim().min(3).max(300).meta({ title: 'Why' }).optional();

export const purgeEnded = entryKind(
  'purge-ended',
  'Purge ended',
  z
    .object({
      flowCell: z
        .enum(['detached', 'none'], { error: 'Detach the flow cell before you fill bottles.' })
        .meta({ title: 'The flow cell is' }),
      /** Not said of purges of before. */
      filling: Filling.optional(),
      /** Why it ended short of the target or unstable. */
      reason: endReason,
    })
    .refine(({ filling }) => filling !== undefined, {
      path: ['filling', 'how'],
      error: 'Say how the flow was brought down for the bottles.',
    }),
  {
    stands: 'at-visit',
    by: field,
    correction: 'replace',
    earlier: [
      {
        payload: z.object({
          flowCellDetached: z.literal(true, { error: 'Detach the flow cell before you fill bottles.' }),
          reason: endReason,
        }),
        upgrade: ({ reason: why }: { reason?: string }) => ({ flowCell: 'detached', ...(why ? { reason: why } : {}) }),
      },
    ],
  },
);
