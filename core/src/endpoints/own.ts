import { z } from 'zod';
import { members } from '../roles/index.ts';
import { doing, reading } from './endpoint.ts';

/** What stands of the copies that the server makes of its database. Times are in ms since 1970. */
export const Backup = z.object({
  /** When the newest was begun that was found whole; null where there is none. */
  last: z.number().nullable(),
  /** What went wrong since then. */
  failed: z.object({ at: z.number(), why: z.string() }).nullable(),
  isLate: z.boolean(),
});
export type Backup = z.output<typeof Backup>;

/** What the server says of itself. Times are in ms since 1970. */
export const health = reading('/api/health', {
  summary: 'Does the server store what it is given? 503 where it does not. With the age of its last backup; null where it makes none',
  by: 'anybody',
  answer: z.object({
    status: z.enum(['ok', 'failing']),
    code: z.string().optional(),
    since: z.number().optional(),
    backup: Backup.nullable(),
  }),
});

export const description = reading('/api/openapi.json', {
  summary: 'This description',
  by: 'anybody',
  answer: z.looseObject({ openapi: z.string() }),
});

/** Only the demo has it: nobody wants to wait for a made-up tap. */
export const moveClock = doing('/api/demo/clock', {
  summary: 'Move the demo’s clock on',
  by: members,
  body: z.object({
    seconds: z
      .number()
      .positive()
      .max(40 * 86_400, { error: 'The demo clock goes forward, up to 40 days.' }),
  }),
  answer: z.object({ now: z.number() }),
});
