import { z } from 'zod';
import { Id } from './entry.ts';
import { entryKind } from './kind.ts';

/**
 * Words were taken away for good: of which entries, and the SHA-256 of what stands there since. Without such a record an entry
 * that has lost its salt counts as altered.
 */
export const madeUnreadable = entryKind(
  'made-unreadable',
  'Made unreadable',
  z.object({
    entries: z
      .array(z.object({ entry: Id, now: z.string().length(64) }))
      .min(1)
      .max(5000),
    why: z.string().max(200),
  }),
  { stands: 'in-book', by: ['server'], madeBy: 'server' },
);
