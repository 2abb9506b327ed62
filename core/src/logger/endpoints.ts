import { z } from 'zod';
import { BookEntry, Id } from '../book/index.ts';
import { boxRecorded, ColdCourse } from '../custody/index.ts';
import { doing, reading } from '../endpoints/index.ts';
import { dateOrders, LoggerRecord, seriesKinds } from '../registers/index.ts';
import { carriers, field, members } from '../roles/index.ts';
import { UnitId } from '../units/index.ts';

/** The largest file of a logger, in bytes: a reading a minute for two years. */
export const largestLoggerFile = 64 << 20;

const decimals = z.enum(['point', 'comma']);

export const LoggerLookAnswer = z.object({
  sha256: z.string(),
  header: z.array(z.string()),
  sample: z.array(z.array(z.string())),
  rows: z.number().int(),
  date: z.number().int().nullable(),
  time: z.number().int().nullable(),
  orders: z.array(z.enum(dateOrders)),
  isWritten: z.boolean(),
  columns: z.array(
    z.object({
      place: z.number().int(),
      decimals: decimals.nullable(),
      unit: UnitId.nullable(),
      shows: z.enum(seriesKinds).nullable(),
    }),
  ),
});
export type LoggerLookAnswer = z.infer<typeof LoggerLookAnswer>;

/** Kept before the entry that names it is written, so that a book never names what nobody has. */
export const keepLoggerFile = doing('/api/logger-files', {
  summary: 'Keep a file of a logger under its hash, and say what is in it and what has to be asked',
  by: carriers,
  body: 'file',
  answer: LoggerLookAnswer,
});

const places = z.array(z.object({ code: z.string(), line: z.number(), cell: z.string() }));
const ReadOf = z.object({
  rows: z.number().int(),
  readings: z.number().int(),
  /** ms since 1970 in UTC; null where nothing was read. */
  from: z.number().nullable(),
  to: z.number().nullable(),
  unread: z.object({ count: z.number().int(), byCode: z.record(z.string(), z.number()), first: places }),
});
export type ReadOf = z.infer<typeof ReadOf>;

/** Levels of a logger, thinned to what a screen shows, and how they came about. */
export const LoggerAnswer = z.object({
  water: ReadOf,
  air: ReadOf.nullable(),
  held: z
    .object({
      at: z.number(),
      hangs: z.number(),
      perDay: z.number(),
      ties: z.array(
        z.object({
          at: z.number(),
          depth: z.number(),
          head: z.number(),
          off: z.number(),
          isUsed: z.boolean(),
          why: z.enum(['moves', 'said']).optional(),
        }),
      ),
    })
    .nullable(),
  left: z.object({ noAir: z.number(), outOfWater: z.number(), outside: z.number() }),
  findings: z.array(
    z.object({
      code: z.string(),
      severity: z.enum(['note', 'question', 'stop']),
      field: z.string().optional(),
      data: z.record(z.string(), z.union([z.string(), z.number()])).optional(),
    }),
  ),
  /** Levels in all, and those of them that are shown: ms since 1970 in UTC, and m below the mark. */
  levels: z.number().int(),
  times: z.array(z.number()),
  depths: z.array(z.number()),
});
export type LoggerAnswer = z.infer<typeof LoggerAnswer>;

export const tryLogger = doing('/api/loggers/try', {
  summary: 'What levels a record of a logger would give if it were read so; nothing is written',
  by: field,
  body: LoggerRecord,
  answer: LoggerAnswer,
});

export const loggersAt = reading('/api/points/:point/loggers', {
  summary: 'Records of loggers of a well, by name',
  by: members,
  answer: z.array(LoggerRecord),
});

export const loggerLevelsOf = reading('/api/loggers/:id/levels', {
  summary: 'Levels of a record of a logger, thinned to what a screen shows',
  by: members,
  query: z.object({ most: z.coerce.number().int().min(10).max(20_000).default(2000) }),
  answer: LoggerAnswer,
});

export const loggerFile = reading('/api/loggers/:id/levels.csv', {
  summary: 'All levels of a record of a logger: time in UTC, depth below the mark and elevation, in m',
  by: members,
  answer: 'file',
});

const BoxRecordAsked = boxRecorded.payload.pick({ box: true, recording: true });

export const tryBoxRecord = doing('/api/rounds/:round/box-records/try', {
  summary: 'What a record of a box would say if it were read so; nothing is written',
  by: carriers,
  body: BoxRecordAsked,
  answer: boxRecorded.payload.pick({ box: true, gaps: true }).extend({ course: ColdCourse, read: ReadOf, outside: z.number().int() }),
});

export const writeBoxRecord = doing('/api/rounds/:round/box-records', {
  summary: 'Read a kept file as the record of a box, and write it down. The same id again writes nothing',
  by: carriers,
  body: BoxRecordAsked.extend({ id: Id }),
  answer: BookEntry,
});
