import { z } from 'zod';
import { BookEntry, Entry } from '../book/index.ts';
import { doing, reading } from '../endpoints/index.ts';
import { ParameterId } from '../parameters/index.ts';
import { LabResult, ReadFault } from './entries.ts';
import { Mapping } from './mapping.ts';
import { BroughtAsked, BroughtDraft } from './brought.ts';
import { OtherRound, ReportDraft } from './report.ts';
import { field, members } from '../roles/index.ts';

/** A report that is kept: its hash, and why it could not be read, or null. */
const Kept = z.object({ sha256: z.string(), fault: ReadFault.nullable() });

export const fetchReports = doing('/api/rounds/:round/reports/fetch', {
  summary: 'Fetch the reports that the lab’s desk has for a round',
  by: field,
  answer: z.object({ reports: z.array(Kept) }),
});

export const takeReport = doing('/api/rounds/:round/reports', {
  summary: 'Take a report in as a file. One that cannot be read is kept as well, and says why',
  by: field,
  query: z.object({
    name: z.string().max(200).default('report.csv'),
    /** Typed off a sheet of paper on the page. */
    from: z.enum(['upload', 'typed']).default('upload'),
  }),
  body: 'file',
  answer: Kept,
});

export const reportFile = reading('/api/rounds/:round/reports/:sha256/file', {
  summary: 'The kept file as it came, to be saved',
  by: members,
  answer: 'file',
});

export const draftReport = doing('/api/rounds/:round/reports/:sha256/draft', {
  summary: 'Read a report and propose its columns',
  by: members,
  body: z.object({ mapping: Mapping.optional() }),
  answer: ReportDraft.extend({ elsewhere: z.array(OtherRound) }),
});

export const readReportWith = doing('/api/rounds/:round/reports/:sha256/read', {
  summary: 'Write down what a report says, read anew by the server with the columns that a person confirmed, in that person’s name',
  by: field,
  body: z.object({ id: Entry.shape.id, mapping: Mapping }),
  answer: BookEntry,
});

/** A result of a point, in the parameter's own unit, with the day its bottle was filled. */
export const ResultOfRecord = z.object({
  round: z.string(),
  bottle: z.string(),
  parameter: ParameterId,
  form: LabResult.shape.form,
  value: z.number().nullable(),
  /** What it was by the limits of its round. */
  verdict: z.string(),
  /** When the bottle was filled, in ms since 1970 in UTC. */
  at: z.number(),
});
export type ResultOfRecord = z.infer<typeof ResultOfRecord>;

export const resultRecord = reading('/api/points/:point/results', {
  summary: 'The results of a point through time, oldest first',
  by: members,
  answer: z.array(ResultOfRecord),
});

/** Kept before the entry that names it is written, so that a book never names what nobody has. */
export const keepBrought = doing('/api/report-files', {
  summary: 'Keep a report that somebody brought under its hash',
  by: field,
  body: 'file',
  answer: z.object({ sha256: z.string() }),
});

export const tryBrought = doing('/api/reports/try', {
  summary: 'What a report that somebody brought says if it is read so; nothing is written',
  by: members,
  body: BroughtAsked.extend({ sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  answer: BroughtDraft,
});

export const readBroughtReport = reading('/api/reports/:id/read', {
  summary: 'What a report that was brought says, read as it was written down',
  by: members,
  answer: BroughtDraft,
});

export const broughtFile = reading('/api/reports/:id/file', {
  summary: 'The kept file of a report that was brought, to be saved',
  by: members,
  answer: 'file',
});
