import { z } from 'zod';
import { entryKind } from '../../book/index.ts';
import { Recording } from '../../registers/index.ts';
import { carriers } from '../../roles/index.ts';

/** So many readings of a record stand in the book; of a longer one the coldest and the warmest of each stretch. */
export const mostReadings = 2000;

const moment = z.number().int();

/** Readings through time, oldest first: when (ms since 1970 in UTC), and how cold (°C). */
export const ColdCourse = z.array(z.tuple([moment, z.number().min(-60).max(90)])).max(mostReadings);
export type ColdCourse = z.infer<typeof ColdCourse>;

/** Stretches of a record in which nothing was recorded, oldest first: from and to (ms). */
export const RecordGaps = z.array(z.tuple([moment, moment])).max(500);
export type RecordGaps = z.infer<typeof RecordGaps>;

/** What a logger recorded that rode in a box: the file, how it is read, and what it says of the time in which bottles were filled and brought. */
export const boxRecorded = entryKind(
  'box-recorded',
  'Record of a box',
  z.object({
    box: z.object({ box: z.string().max(60), name: z.string().trim().min(1).max(120) }),
    recording: Recording,
    course: ColdCourse.min(2),
    gaps: RecordGaps,
    /** Readings of the file in that time, before it, and after it; rows that are none. */
    readings: z.number().int().min(2),
    outside: z.number().int().min(0),
    unread: z.number().int().min(0),
  }),
  { stands: 'in-book', by: carriers, madeBy: 'server', correction: 'strike', files: ({ recording }) => [recording.sha256] },
);
