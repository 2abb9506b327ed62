import { readBrought, readReport, type BottlesByLabel, type BroughtAsked, type Mapping, type Remembered } from '@fonte/core/read';
import {
  coldRecord,
  loggerAnswer,
  loggerText,
  lookThrough,
  readLogger,
  readOf,
  readRecording,
  type ColdRecord,
  type LoggerAnswer,
  type LoggerLook,
  type LoggerRefusal,
  type ReadOf,
} from '@fonte/core/logger';
import type { LevelOfRecord } from '@fonte/core/level';
import type { LoggerRecord, Recording } from '@fonte/core/registers';
import { decodeText } from '@fonte/core/read';
import { tableIn } from './formats/index.ts';

export interface ReadJob {
  bytes: Uint8Array;
  bottles: BottlesByLabel;
  mapping?: Mapping;
  remembered: readonly Remembered[];
}

/** Reads one report. */
export async function report({ bytes, bottles, mapping, remembered }: ReadJob): Promise<ReturnType<typeof readReport>> {
  return readReport(await tableIn(bytes), bottles, mapping, remembered);
}

/** Reads a report of a sample that nobody here took. */
export async function brought({ bytes, asked }: { bytes: Uint8Array; asked: BroughtAsked }): Promise<ReturnType<typeof readBrought>> {
  return readBrought(await tableIn(bytes), asked);
}

/** Looks through a file of a logger. */
export function look(bytes: Uint8Array): { look: LoggerLook } | { refusal: LoggerRefusal } {
  return lookThrough(decodeText(bytes).text);
}

export interface LoggerJob {
  record: LoggerRecord;
  water: Uint8Array;
  air: Uint8Array | null;
  manual: readonly LevelOfRecord[];
}
export type LoggerRefused = { refusal: LoggerRefusal & { field: 'water' | 'air' } };

/** Makes levels of a record of a logger, thinned to at most so many. */
export function levels({ record, water, air, manual, most }: LoggerJob & { most: number }): LoggerAnswer | LoggerRefused {
  const read = readLogger(record, { water, air }, manual);
  return 'refusal' in read ? read : loggerAnswer(read, most);
}

/** All levels of a record as a file. */
export function file({ elevation, ...job }: LoggerJob & { elevation: number | null }): string | LoggerRefused {
  const read = readLogger(job.record, job, job.manual);
  return 'refusal' in read ? read : loggerText(read.levels, elevation);
}

export interface ColdJob {
  bytes: Uint8Array;
  recording: Recording;
  /** ms. */
  from: number;
  to: number;
}

/** What a record of a box says of a time. */
export function cold({ bytes, recording, from, to }: ColdJob): (ColdRecord & { read: ReadOf }) | { refusal: LoggerRefusal } {
  const found = readRecording(decodeText(bytes).text, recording, 'cold');
  return 'refusal' in found ? found : { ...coldRecord(found.recorded, from, to), read: readOf(found.recorded) };
}
