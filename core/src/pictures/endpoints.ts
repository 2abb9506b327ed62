import { z } from 'zod';
import { doing, reading } from '../endpoints/index.ts';
import { Arrow, pictureTypes } from './entries.ts';
import { everybody, members, samplers } from '../roles/index.ts';

/** Kept before the entry that names it is written, so that a book never names what nobody has. */
export const keepPicture = doing('/api/rounds/:round/pictures', {
  summary: 'Keep a picture under its hash. JPEG, PNG or WebP, told by its bytes',
  by: samplers,
  body: 'file',
  answer: z.object({ sha256: z.string(), type: z.enum(pictureTypes), size: z.number().int() }),
});

export const pictureFile = reading('/api/rounds/:round/pictures/:sha256', {
  summary: 'A picture that the book of the round names',
  by: everybody,
  answer: 'file',
});

/** A picture that was taken at a point, whenever and in whatever round; null where none was there. */
export const PictureOfRecord = z.object({
  round: z.string().nullable(),
  visit: z.string().nullable(),
  /** ms since 1970 in UTC. */
  at: z.number(),
  sha256: z.string(),
  shows: z.string(),
  arrow: Arrow.nullable(),
});
export type PictureOfRecord = z.infer<typeof PictureOfRecord>;

export const pictureRecord = reading('/api/points/:point/pictures', {
  summary: 'Pictures that were taken at a point, newest first, at most twelve',
  by: members,
  answer: z.array(PictureOfRecord),
});
