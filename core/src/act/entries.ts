import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { field } from '../roles/index.ts';

/** A follow-up was done: what was done, in a few words. */
export const actionDone = entryKind(
  'action-done',
  'Follow-up done',
  z.object({
    action: z.string().min(1).max(160),
    note: z.string().trim().min(3, { error: 'Say what was done, in a few words.' }).max(500).meta({ title: 'What was done' }),
  }),
  { stands: 'in-book', by: field, correction: 'replace' },
);
