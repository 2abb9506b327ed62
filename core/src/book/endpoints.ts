import { z } from 'zod';
import { doing, ProblemDocument, reading } from '../endpoints/index.ts';
import { BookEntry } from './entry.ts';
import { everybody, members } from '../roles/index.ts';

/** So many entries are taken in one request: a day without signal of a whole team. */
export const largestBatch = 2000;

/** What the device's clock says as it sends. */
const SentAt = z.iso.datetime({ precision: 3 }).nullable().default(null);

/** An entry that stands in the book, and why it stands aside there; null where it fits. */
export const Taken = z.object({
  entry: BookEntry,
  aside: z
    .object({
      code: z.string(),
      field: z.string(),
      data: z
        .record(z.string(), z.union([z.string(), z.number()]))
        .readonly()
        .optional(),
    })
    .nullable(),
});

export const bookEntries = reading('/api/books/:book/entries', {
  summary: 'The entries of a book in order, after a number',
  by: everybody,
  query: z.object({ after: z.coerce.number().int().min(0).catch(0).default(0) }),
  answer: z.array(BookEntry),
});

export const bookExport = reading('/api/books/:book/export', {
  summary: 'A book with its head, to be handed out and verified alone; with the pictures and files of its entries where `with` says so',
  by: members,
  query: z.object({ with: z.literal('files').optional() }),
  answer: 'file',
});

export const appendEntry = doing('/api/books/:book/entries', {
  summary: 'Append an entry; sending it again is harmless. 201 for a new one, 200 for one that stood there',
  by: everybody,
  /** The entry, with what the device's clock says as it sends; what is wrong with the entry is told path by path. */
  body: z.looseObject({ sentAt: SentAt }),
  answer: Taken,
});

export const appendEntries = doing('/api/entries', {
  summary: 'Append entries of many books in one transaction; each has its own answer',
  by: everybody,
  body: z.object({ sentAt: SentAt, entries: z.array(z.unknown()).min(1).max(largestBatch) }),
  answer: z.object({
    results: z.array(z.union([Taken.extend({ status: z.number() }), z.object({ status: z.number(), problem: ProblemDocument })])),
  }),
});
