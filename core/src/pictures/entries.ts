import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { samplers } from '../roles/index.ts';

/** What a picture may be. Anything that can carry a script is none. */
export const pictureTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof pictureTypes)[number];

/** The largest picture that is kept, in bytes. */
export const largestPicture = 12 << 20;

/** A picture that is kept under its hash. */
export const KeptPicture = z.object({
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(pictureTypes),
  size: z.number().int().positive().max(largestPicture),
  /** What it shows, in a few words; may be empty. */
  shows: z.string().trim().max(200).meta({ title: 'What it shows, before you take it' }).default(''),
});

/** A picture was taken at a point. Its bytes are kept under their hash, which stands in the book and so under its chain. */
export const pictureTaken = entryKind('picture-taken', 'Picture taken', KeptPicture, {
  stands: 'at-visit',
  by: samplers,
  correction: 'strike',
  files: ({ sha256 }) => [sha256],
});

const part = z.number().min(0).max(1);
/** A place on a picture, as parts of its width and height from its upper left corner. */
export const PicturePlace = z.object({ x: part, y: part });
export type PicturePlace = z.infer<typeof PicturePlace>;

/** An arrow on a picture, from its tail to what it points at. */
export const Arrow = z.object({ tail: PicturePlace, tip: PicturePlace });
export type Arrow = z.infer<typeof Arrow>;

/** An arrow was drawn on a picture: this is the outlet, the crack, the mark. The last one stands; the picture itself stays as it was taken. */
export const arrowDrawn = entryKind('arrow-drawn', 'Arrow drawn', z.object({ picture: Id, arrow: Arrow }), {
  stands: 'at-visit',
  by: samplers,
  correction: 'strike',
});

/** Something that somebody wants to stand in the book, at whatever step; it changes nothing else. */
export const remarkMade = entryKind(
  'remark-made',
  'Remark',
  z.object({
    text: z.string().trim().min(2, { error: 'Say it in a few words.' }).max(600).meta({ title: 'Remark' }),
    /** What was being done, in the words of the page; may be empty. */
    about: z.string().trim().max(200).default(''),
  }),
  { stands: 'at-visit', by: samplers, correction: 'replace' },
);
