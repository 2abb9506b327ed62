import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';

const Moment = z.iso.datetime({ precision: 3 });

/**
 * A phone, tablet or computer that entries are written on. It has a key pair of its own and signs with it; who was signed in
 * on it stands here, so that a book proves by whom its entries are.
 */
export const Device = z.object({
  /** The device's own book. */
  id: Id,
  name: z.string().trim().min(1, { error: 'Give the device a name.' }).max(60).meta({ title: 'Name of this device' }),
  /** Its public key: the uncompressed P-256 point in base64url. */
  key: z.string().regex(/^B[A-Za-z0-9_-]{86}$/, { error: 'Not a public key.' }),
  /** Who was signed in on it, from when on. */
  people: z.array(z.object({ person: Id, since: Moment })).max(200),
  /** It was reported lost: what it sends from then on stands set aside. */
  revoked: z.object({ at: Moment, reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500) }).nullable(),
});
export type Device = z.infer<typeof Device>;

/** The server registers a device once it has proven that it holds its key, and whenever somebody else signs in on it. */
export const deviceRegistered = entryKind('device-registered', 'Device registered', Device, {
  stands: 'in-book',
  by: ['server'],
  madeBy: 'server',
});
