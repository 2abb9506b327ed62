import { canonicalJson } from '@fonte/core/book';
import { keepLoggerFile, largestLoggerFile, loggerFile, loggerLevelsOf, loggersAt, tryLogger, type LoggerAnswer } from '@fonte/core/logger';
import type { LoggerRecord } from '@fonte/core/registers';
import { recordedUnits } from '@fonte/core/registers';
import { unit } from '@fonte/core/units';
import { LRUCache } from 'lru-cache';
import { thing } from '../book/registry.ts';
import { sha256 } from '../book/codec.ts';
import { keptFile } from '../book/named.ts';
import { takeUpload } from '../files/files.ts';
import { atOnce, Problem, route, SentFile, type Route } from '../http/index.ts';
import { levelsAt } from '../level/index.ts';
import type { LoggerJob } from '../read/index.ts';
import { allThings } from '../registers/index.ts';
import { boxRoutes, type BoxServices } from './boxes.ts';
import { refuse, refused, tooMuch } from './refuse.ts';

export type LoggerServices = BoxServices;

/** So many files are taken in at once; whoever comes then is asked to come again. */
const uploadsAtOnce = 2;
/** So many records are tried at once: each has a thread for seconds. */
const triesAtOnce = 4;
/** Levels that were worked out lately, by all that they hang on. */
const remembered = 40;

export function loggerRoutes(services: LoggerServices): Route[] {
  const { store, reader } = services;
  const known = new LRUCache<string, LoggerAnswer>({ max: remembered });

  /** The files of a record and the levels by hand at its point. @throws Problem 422 for a unit of something else, 410 for a file that is gone */
  const jobOf = async (record: LoggerRecord): Promise<LoggerJob> => {
    for (const [field, shows] of [['water', record.shows] as const, ['air', 'air'] as const]) {
      const of = record[field]?.unit;
      if (of && unit(of).dimension !== recordedUnits(shows))
        throw refuse(`${field}.unit`, 'logger-unit', 'That is no unit of what it records.');
    }
    const [water, air] = await Promise.all([keptFile(store, record.water.sha256), record.air ? keptFile(store, record.air.sha256) : null]);
    return { record, water, air, manual: await levelsAt(store, record.point) };
  };
  const levelsOf = async (record: LoggerRecord, most: number): Promise<LoggerAnswer> => {
    const job = await jobOf(record);
    const key = sha256(Buffer.from(canonicalJson({ record, manual: job.manual, most })));
    const answer = known.get(key) ?? (await reader.run('levels', { ...job, most }));
    if (!answer) throw tooMuch('water');
    if ('refusal' in answer) throw refused(answer.refusal.field, answer.refusal);
    known.set(key, answer);
    return answer;
  };
  const recordOf = async (id: string): Promise<LoggerRecord> => {
    const found = await thing(store, 'loggers', id);
    if (!found) throw new Problem(404, 'no-thing', 'There is no such record of a logger.');
    return found;
  };

  return [
    ...boxRoutes(services),
    route(
      keepLoggerFile,
      async ({ body, who, response }) => {
        const found = await reader.run('look', body);
        if (!found) throw tooMuch('file');
        if ('refusal' in found) throw refused('file', found.refusal);
        const hash = await takeUpload(services, who.person, body);
        response.status(201);
        return { sha256: hash, ...found.look };
      },
      { before: [atOnce(uploadsAtOnce)], largest: largestLoggerFile },
    ),
    route(tryLogger, ({ body }) => levelsOf(body, 2000), { before: [atOnce(triesAtOnce)] }),
    route(loggersAt, async ({ in: { point } }) =>
      (await allThings<LoggerRecord>(store, 'loggers')).filter((record) => record.point === point),
    ),
    route(loggerLevelsOf, async ({ in: { id }, query: { most } }) => levelsOf(await recordOf(id), most)),
    route(loggerFile, async ({ in: { id } }) => {
      const record = await recordOf(id);
      const point = await thing(store, 'points', record.point);
      const marks = point?.type === 'well' ? point.well.measuringPoints : [];
      const elevation = marks.find(({ name }) => name === record.mark)?.elevation ?? null;
      const text = await reader.run('file', { ...(await jobOf(record)), elevation });
      if (text === null) throw tooMuch('water');
      if (typeof text !== 'string') throw refused(text.refusal.field, text.refusal);
      return new SentFile(`${record.name.replace(/[^\p{L}\p{N}-]+/gu, '-')}-levels.csv`, Buffer.from(text));
    }),
  ];
}
