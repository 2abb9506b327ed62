import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { EditionRef } from '../editions/index.ts';
import { Mapping } from '../read/index.ts';
import { field } from '../roles/index.ts';
import { pointKindIds, waters } from './point.ts';

const said = (title: string) => z.string().trim().max(120).meta({ title }).optional();
type Water = keyof typeof waters;

/** A report of a sample that somebody else took, whole with the one way in which it is read: its file is kept, its results follow from both. */
export const BroughtReport = z.object({
  /** Its own book. */
  id: Id,
  name: z
    .string({ error: 'Say which water it is.' })
    .trim()
    .min(1, { error: 'Say which water it is.' })
    .max(120)
    .meta({ title: 'Which water' }),
  file: z.object(
    { sha256: z.string().regex(/^[0-9a-f]{64}$/), name: z.string().trim().min(1).max(200) },
    { error: 'Choose the file, or paste its text.' },
  ),
  sampled: z.iso.date({ error: 'A date such as 2026-11-23.' }).meta({ title: 'Sampled on' }),
  kind: z.enum(pointKindIds, { error: 'Say what kind of place it is.' }).meta({ title: 'Which kind' }),
  /** What it is used for decides what it is compared with. */
  water: z.enum(Object.keys(waters) as [Water, ...Water[]], { error: 'Say what water it is.' }).meta({ title: 'Water' }),
  whose: said('Whose water it is'),
  takenBy: said('Who took the sample'),
  /** The point of the register that it is filed under. */
  point: Id.meta({ title: 'Point of the register' }).optional(),
  limits: z.array(EditionRef).min(1, { error: 'Choose at least one set of limits.' }).max(6).meta({ title: 'Limits, the first one leads' }),
  /** What the file calls the sample. */
  sample: z.string({ error: 'Say which sample of the report it is.' }).trim().min(1).max(200).meta({ title: 'Sample in the report' }),
  mapping: Mapping,
  outOfUse: z.string().trim().max(300).meta({ title: 'Put aside, and why' }).optional(),
});
export type BroughtReport = z.infer<typeof BroughtReport>;

export const reportBrought = entryKind('report-brought', 'Report brought', BroughtReport, {
  stands: 'in-book',
  by: field,
  files: ({ file }) => [file.sha256],
});
