import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { samplers } from '../roles/index.ts';

/** What a picture may be. Anything that can carry a script is none. */
export const pictureTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof pictureTypes)[number];

/** The largest picture that is kept, in bytes. */
export const largestPicture = 12 << 20;

/** A picture was taken at a point. Its bytes are kept under their hash, which stands in the book and so under its chain. */
export const pictureTaken = entryKind(
  'picture-taken',
  'Picture taken',
  z.object({
    sha256: z.string().regex(/^[0-9a-f]{64}$/),
    type: z.enum(pictureTypes),
    size: z.number().int().positive().max(largestPicture),
    /** What it shows, in a few words; may be empty. */
    shows: z.string().trim().max(200).meta({ title: 'What it shows, before you take it' }).default(''),
  }),
  { stands: 'at-visit', by: samplers, correction: 'strike', files: ({ sha256 }) => [sha256] },
);
