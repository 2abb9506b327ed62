import { z } from 'zod';
import { doing, reading } from '../endpoints/index.ts';
import { keepPicture } from '../pictures/index.ts';
import { field, members } from '../roles/index.ts';
import { pointScouted } from './entries.ts';

export const scoutedAt = reading('/api/points/:point/scouted', {
  summary: 'What was seen at a point without a round, newest first, at most twenty',
  by: members,
  answer: z.array(pointScouted.payload.safeExtend({ entry: z.string(), at: z.number() })),
});

/** Kept before the entry that names it is written, like those of a round. */
export const keepPointPicture = doing('/api/points/:point/pictures', {
  summary: 'Keep a picture of a point under its hash. JPEG, PNG or WebP, told by its bytes',
  by: field,
  body: 'file',
  answer: keepPicture.answer,
});

export const pointPicture = reading('/api/points/:point/pictures/:sha256', {
  summary: 'A picture that the book of the point names',
  by: members,
  answer: 'file',
});
