import { z } from 'zod';
import { doing, reading } from '../endpoints/index.ts';
import { pictureTypes } from './entries.ts';
import { everybody, samplers } from '../roles/index.ts';

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
