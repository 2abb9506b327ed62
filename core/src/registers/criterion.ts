import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { parameter, ParameterId } from '../parameters/index.ts';
import { field } from '../roles/index.ts';

const figure = (title: string) => z.number().positive({ error: 'Must be more than 0.' }).max(100_000).meta({ title });

/** How far readings of one parameter may differ: in its own unit, in per cent, or by the larger of both. */
const OwnTolerance = z
  .object({
    parameter: ParameterId.meta({ title: 'Parameter' }),
    absolute: figure('± in its unit').optional(),
    percent: figure('± %').max(100, { error: 'Cannot be more than 100 %.' }).optional(),
    /** At or below it any reading holds. */
    floor: figure('Free at or below').optional(),
  })
  .refine(({ absolute, percent }) => absolute !== undefined || percent !== undefined, {
    path: ['absolute'],
    error: 'Say how far it may differ: in its unit, in per cent, or both for the larger.',
  })
  .refine(({ parameter: id, percent }) => percent === undefined || !['degC', 'pH', 'mV'].includes(parameter(id).unit), {
    path: ['percent'],
    error: 'A per cent of it means nothing: its zero is a convention. Give it in its unit.',
  });

/** A stability criterion of one's own. */
export const OwnCriterion = z.object({
  /** Its own book. */
  id: Id,
  name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Name' }),
  sets: z.number().int().min(2, { error: 'One set agrees with nothing: at least 2.' }).max(20).meta({ title: 'Sets that must agree' }),
  against: z.enum(['previous', 'median', 'spread']).meta({ title: 'Held against' }),
  /** Seconds between two sets that count. */
  seconds: z
    .number()
    .min(0)
    .max(7200, { error: 'Cannot be more than 120 min.' })
    .meta({ title: 'Least time between sets', units: ['min', 's'] }),
  /** Volumes of the method between two sets, where that is enough. */
  volumes: z.number().positive({ error: 'Must be more than 0.' }).max(20).meta({ title: 'Or so many volumes' }).optional(),
  tolerances: z
    .array(OwnTolerance)
    .min(1, { error: 'At least one parameter.' })
    .max(12)
    .superRefine((rows, issues) => {
      for (const [row, { parameter: id }] of rows.entries())
        if (rows.findIndex((one) => one.parameter === id) < row)
          issues.addIssue({ code: 'custom', path: [row, 'parameter'], message: 'It stands there already.' });
    }),
  source: z.string().trim().min(3, { error: 'Say where it is written.' }).max(300).meta({ title: 'Where it is written' }),
  outOfUse: z.string().trim().max(300).meta({ title: 'Out of use, and why' }).optional(),
});
export type OwnCriterion = z.infer<typeof OwnCriterion>;

export const criterionRegistered = entryKind('criterion-registered', 'Stability criterion registered', OwnCriterion, {
  stands: 'in-book',
  by: field,
});
