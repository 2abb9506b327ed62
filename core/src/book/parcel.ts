import { z } from 'zod';
import { Entry } from './entry.ts';

/**
 * What one device has and the server has not, as a file for a colleague's device: the entries as they were signed, and the
 * pictures that they name. Whoever hands it in, the entries stay those of their authors.
 */
export const Parcel = z.object({
  format: z.literal('fonte-entries'),
  /** The second has pictures of points that nobody visits in a round: a copy that does not know them must not leave them out. */
  version: z.literal([1, 2]),
  /** When and on what it was made, for people. */
  made: z.string().max(40),
  device: z.string().max(80),
  entries: z.array(Entry).max(20_000),
  files: z
    .array(
      z.object({
        sha256: z.string().regex(/^[0-9a-f]{64}$/),
        type: z.string().max(40),
        round: z.string().nullable(),
        point: z.string().optional(),
        base64: z.string(),
      }),
    )
    .max(2000),
});
export type Parcel = z.infer<typeof Parcel>;

/** Reads such a file. @throws Error when the text is none */
export function readParcel(text: string): Parcel {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    said = null;
  }
  const parcel = Parcel.safeParse(said);
  if (!parcel.success) throw new Error('This is no file of entries that Fonte has made.');
  return parcel.data;
}
