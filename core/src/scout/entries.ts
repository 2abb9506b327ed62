import { z } from 'zod';
import { faultIds } from '../arrive/index.ts';
import { entryKind } from '../book/index.ts';
import { Arrow, KeptPicture } from '../pictures/index.ts';
import { field } from '../roles/index.ts';

/** A picture of a point, with the arrow at what it is about. */
export const ScoutedPicture = KeptPicture.extend({ arrow: Arrow.nullable().default(null) });
export type ScoutedPicture = z.infer<typeof ScoutedPicture>;

/** So many pictures are taken of a point at once, at the most. */
export const mostPictures = 8;

/**
 * Somebody looked at a point when no round was there: what it looks like, which outlet is used, what is odd about it. It stands in the
 * point's own book; it starts no clock and belongs to no plan.
 */
export const pointScouted = entryKind(
  'point-scouted',
  'Point looked at',
  z
    .object({
      pictures: z
        .array(ScoutedPicture)
        .max(mostPictures)
        .refine((all) => new Set(all.map(({ sha256 }) => sha256)).size === all.length, { error: 'A picture is there twice.' })
        .default([]),
      outlet: z.string().trim().max(120).meta({ title: 'Outlet that was used last time' }).default(''),
      found: z.array(z.enum(faultIds)).max(faultIds.length).meta({ title: 'What is odd about it' }).default([]),
      note: z.string().trim().max(600).meta({ title: 'Note' }).default(''),
    })
    .refine(({ pictures, outlet, found, note }) => pictures.length + outlet.length + found.length + note.length > 0, {
      path: ['note'],
      error: 'Take a picture, or write down what you see.',
    }),
  { stands: 'in-book', by: field, correction: 'strike', files: ({ pictures }) => pictures.map(({ sha256 }) => sha256) },
);
