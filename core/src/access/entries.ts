import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';

/** The one book in which it stands who was let in, who was not, and what was taken away. */
export const accessBook = '00000000-0000-4000-8000-0000000acce5';

/** What happens at the door. */
export const accessEvents = [
  'set-up',
  'invited',
  'joined',
  'signed-in',
  'sign-in-failed',
  'signed-out',
  'proven',
  'person-changed',
  'passphrase-changed',
  'passkey-added',
  'passkey-removed',
  'device-added',
  'device-revoked',
  'access-ended',
  'made-unreadable',
] as const;
export type AccessEvent = (typeof accessEvents)[number];

/** Something happened at the door. Written by the server only; never with what was typed there. */
export const accessNoted = entryKind(
  'access-noted',
  'At the door',
  z.object({
    event: z.enum(accessEvents),
    /** Who it happened to, and who did it where that is somebody else; null where nobody knows. */
    person: Id.nullable(),
    by: Id.nullable().default(null),
    device: Id.nullable().default(null),
    /** How they proved who they are, or why not. */
    how: z.string().max(500).default(''),
  }),
  { stands: 'in-book', by: ['server'], madeBy: 'server' },
);
