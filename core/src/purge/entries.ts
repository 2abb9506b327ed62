import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { EditionRef } from '../editions/index.ts';
import { sayFinding } from '../findings/index.ts';
import { questionReading, type ParameterId, readingFindings } from '../parameters/index.ts';
import { Typed, typedOf } from '../units/index.ts';

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

const byVolumes = {
  /** True inside diameter: from the pipe table or typed. */
  insideDiameter: typedOf('length', { title: 'True inside diameter', units: ['mm', 'in'], min: 0.005, max: 5 }),
  pipe: z.string().max(40).meta({ title: 'Casing' }).optional(),
  /** Bottom below the mark of the level, sounded on the spot where the register does not know it. */
  bottom: typedOf('length', { title: 'Bottom below the mark', units: ['m', 'ft'], min: 0.1, max: 2000 }).optional(),
  volumes: z.number().min(1).max(20).meta({ title: 'Volumes to remove' }),
};
const judged = {
  /** The edition of the stability criterion. */
  criterion: EditionRef.meta({ title: 'Stable when' }),
  parameters: z.array(z.enum(probeParameters)).min(1, { error: 'Choose at least one parameter.' }).meta({ title: 'Read at each set' }),
};

/** How a well is purged: each method with what it asks for, and nothing of another. */
export const PurgeChoice = z.discriminatedUnion('method', [
  z.object({ method: z.literal('volumes').meta({ title: 'Method' }), ...byVolumes, ...judged }),
  /** A supply well with its own pump: it runs already, or is run until it is stable. */
  z.object({ method: z.literal('running'), ranBefore: z.boolean(), ...judged }),
]);
export type PurgeChoice = z.infer<typeof PurgeChoice>;
export type PurgeMethodId = PurgeChoice['method'];

/** At first there was one method. */
const onlyVolumes = z.object({ ...byVolumes, ...judged });

export const purgeSetUp = entryKind('purge-set-up', 'Purge set up', PurgeChoice, {
  stands: 'at-visit',
  by: field,
  correction: 'replace',
  earlier: [{ payload: onlyVolumes, upgrade: (before: z.infer<typeof onlyVolumes>) => ({ method: 'volumes', ...before }) }],
});

const values = z.partialRecord(z.enum(probeParameters), Typed).superRefine((readings, issues) => {
  for (const [id, typed] of Object.entries(readings)) {
    const stop = questionReading(id as ProbeParameter, typed).find((finding) => finding.severity === 'stop');
    if (stop) issues.addIssue({ code: 'custom', path: [id, 'text'], message: sayFinding(readingFindings, stop).says });
  }
  if (Object.keys(readings).length === 0) issues.addIssue({ code: 'custom', message: 'Enter at least one reading.' });
});

export const purgeReading = entryKind(
  'purge-reading',
  'Purge readings',
  z.object({
    /** Total pumped since the purge began. */
    pumped: typedOf('volume', { title: 'Pumped so far', units: ['L', 'gal'], min: 0, max: 1000 }),
    values,
    /** Depth to water below the mark while pumping. */
    level: typedOf('length', { title: 'Level while pumping', units: ['m', 'ft'], min: -20, max: 2000 }).optional(),
    note: z.string().max(300).meta({ title: 'Colour, odour, anything odd' }).optional(),
  }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);

export const purgeEnded = entryKind(
  'purge-ended',
  'Purge ended',
  z.object({
    flowCellDetached: z.literal(true, { error: 'Detach the flow cell before you fill bottles.' }),
    /** Why it ended short of the target or unstable. */
    reason: z.string().trim().min(3).max(300).meta({ title: 'Why' }).optional(),
  }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);
