import type { LevelOfRecord } from '../level/index.ts';
import { decodeText } from '../read/index.ts';
import type { LoggerRecord } from '../registers/index.ts';
import type { LoggerAnswer, ReadOf } from './endpoints.ts';
import { loggerLevels, type LoggerLevels } from './levels.ts';
import { readRecording, type Recorded } from './reading/read.ts';
import type { LoggerRefusal } from './reading/table.ts';
import { thinned } from './thin.ts';

/** A record of a logger with all its levels. */
export interface LoggerRead {
  levels: LoggerLevels;
  water: Recorded;
  air: Recorded | null;
}

/** Reads the files of a record and makes levels of them. */
export function readLogger(
  record: LoggerRecord,
  files: { water: Uint8Array; air: Uint8Array | null },
  manual: readonly LevelOfRecord[],
): LoggerRead | { refusal: LoggerRefusal & { field: 'water' | 'air' } } {
  const water = readRecording(decodeText(files.water).text, record.water, record.shows);
  if ('refusal' in water) return { refusal: { ...water.refusal, field: 'water' } };
  const air = record.air && files.air ? readRecording(decodeText(files.air).text, record.air, 'air') : null;
  if (air && 'refusal' in air) return { refusal: { ...air.refusal, field: 'air' } };
  const recorded = air?.recorded ?? null;
  return { levels: loggerLevels(record, water.recorded, recorded, manual), water: water.recorded, air: recorded };
}

export const readOf = ({ rows, times, unread }: Recorded): ReadOf => ({
  rows,
  readings: times.length,
  from: times[0] ?? null,
  to: times.at(-1) ?? null,
  unread: { ...unread, first: unread.first.map(({ code, line, cell }) => ({ code, line, cell })) },
});

/** The levels thinned to what a screen shows. */
export function loggerAnswer({ levels, water, air }: LoggerRead, most: number): LoggerAnswer {
  const { times, values: depths } = thinned(levels.times, levels.depths, most);
  const { held, left, findings } = levels;
  return { water: readOf(water), air: air && readOf(air), held, left, findings, levels: levels.times.length, times, depths };
}
