import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { AnalysisId } from '../bottles/index.ts';
import { periods } from './tables/periods.ts';

export type PeriodId = keyof typeof periods;
export const periodIds = Object.keys(periods) as [PeriodId, ...PeriodId[]];
export const periodName = (id: PeriodId): string => periods[id].name;

const date = z.iso.date({ error: 'A date such as 2026-01-01.' });

/** What has to be sampled where, and how often. */
export const Programme = z
  .object({
    /** Its own book. */
    id: Id,
    name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Name' }),
    points: z.array(Id).min(1, { error: 'Choose at least one point.' }).max(500).meta({ title: 'Points' }),
    analyses: z.array(AnalysisId).min(1, { error: 'Choose at least one analysis.' }).max(60).meta({ title: 'Analyses' }),
    times: z
      .number({ error: 'Enter a number.' })
      .int({ error: 'A whole number.' })
      .min(1, { error: 'At least once.' })
      .max(1000, { error: 'Not more than 1000 times.' })
      .meta({ title: 'How often' }),
    per: z.enum(periodIds).meta({ title: 'In each' }),
    /** At every point so often, or so often over all of them together. */
    counts: z.enum(['each', 'together']).meta({ title: 'Counted' }),
    /** The only months in which it is sampled, 1 is January; all of them where it is left out. */
    months: z.array(z.number().int().min(1).max(12)).min(1).max(12).meta({ title: 'Only in' }).optional(),
    from: date.meta({ title: 'From' }),
    until: date.meta({ title: 'Until' }).optional(),
    source: z.string().trim().max(300).meta({ title: 'Where it stands' }).default(''),
  })
  .refine(({ from, until }) => until === undefined || from <= until, { path: ['until'], error: 'It ends before it begins.' });
export type Programme = z.infer<typeof Programme>;

export const programmeRegistered = entryKind('programme-registered', 'Programme registered', Programme, {
  stands: 'in-book',
  by: ['coordinator'],
});
