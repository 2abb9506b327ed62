import { newId, writeEntry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import type { LoggerAnswer, LoggerLookAnswer } from '@fonte/core/logger';
import { loggerRegistered, type LoggerRecord } from '@fonte/core/registers';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { signed } from '../../core/test/keys.ts';
import { plainRecording } from '../../core/test/recording.ts';
import { phone, technician, wellPoint } from '../../core/test/script.ts';
import { verifyStore } from '../src/book/verify.ts';
import { derivation } from '../src/app/rooms.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const upload = (text: string | Buffer) => at.api.post('/api/logger-files').set('content-type', 'application/octet-stream').send(text);
const minute = 60_000;

/** A vented logger, 5 m over its sensor at first and a millimetre less with every quarter of an hour. */
function rows(from: number, count: number): string {
  const row = (place: number) => {
    const time = new Date(from + place * 15 * minute).toISOString().slice(0, 16).replace('T', ' ');
    return `${time};${(5 - place / 1000).toFixed(3)}`;
  };
  return `Time;Water column [m]\n${Array.from({ length: count }, (_, place) => row(place)).join('\n')}\n`;
}

function recordOf(look: LoggerLookAnswer, said: Partial<LoggerRecord> = {}): LoggerRecord {
  return {
    id: newId(at.script.now),
    name: 'L-7',
    point: wellPoint.id,
    mark: wellPoint.well.measuringPoints[0]!.name,
    shows: 'head',
    water: { ...plainRecording, sha256: look.sha256, name: 'L-7.csv', unit: 'm' },
    density: 999.7,
    line: 'constant',
    without: [],
    ...said,
  };
}

/** Two readings that agree, which is a level of the record. */
async function byHand(depth: string): Promise<number> {
  const mark = wellPoint.well.measuringPoints[0]!.name;
  for (let i = 0; i < 2; i++)
    await at.post(at.script.atWell(levelRead, { measuringPoint: mark, depth: { text: depth, unit: 'm' }, water: 'static' }));
  const [level] = (await at.api.get(`/api/points/${wellPoint.id}/levels`)).body as { at: number }[];
  return level!.at;
}

const register = (record: LoggerRecord) =>
  at.post(
    signed(writeEntry({ book: record.id, author: technician.id, device: phone, now: at.script.now, offset: 0 }, loggerRegistered, record)),
    record.id,
  );

describe('a logger’s record', () => {
  it('is kept, looked at, tried and written down; its levels are held to the one by hand', async () => {
    const read = await byHand('7.412');
    const begins = Math.floor(read / (15 * minute)) * 15 * minute - 20 * 15 * minute;
    const look = (await upload(rows(begins, 100))).body as LoggerLookAnswer;
    expect(look).toMatchObject({ rows: 100, date: 0, orders: ['ymd'], columns: [{ place: 1, unit: 'm', shows: 'head' }] });
    const record = recordOf(look);
    const tried = await at.api.post('/api/loggers/try').send(record);
    const answer = tried.body as LoggerAnswer;
    expect([tried.status, answer.levels, answer.findings]).toEqual([200, 100, []]);
    // 20 quarters of an hour after it began there were 4.98 m over the sensor.
    expect(answer.held!.hangs).toBeCloseTo(7.412 + 4.98, 2);
    expect(answer.depths[99]! - answer.depths[0]!).toBeCloseTo(0.099, 6);
    expect((await register(record)).status).toBe(201);
    expect((await at.api.get(`/api/points/${wellPoint.id}/loggers`)).body).toEqual([record]);
    expect((await at.api.get(`/api/points/${newId(0)}/loggers`)).body).toEqual([]);
    // The well of the script has no place on the map: it has no neighbours.
    expect((await at.api.get(`/api/points/${wellPoint.id}/beside`)).body).toEqual([]);
    const levels = (await at.api.get(`/api/loggers/${record.id}/levels?most=10`)).body as LoggerAnswer;
    expect([levels.times.length, levels.levels]).toEqual([10, 100]);
    const file = await at.api.get(`/api/loggers/${record.id}/levels.csv`);
    expect(file.headers['content-disposition']).toBe('attachment; filename=L-7-levels.csv');
    const lines = (file.body as Buffer).toString().trim().split('\n');
    expect([lines.length, lines[0]]).toEqual([101, 'time_utc,depth_m,elevation_m']);
    expect(await verifyStore(at.store, derivation)).toEqual([]);
  });

  it('is judged anew once another level by hand is there', async () => {
    const look = (await upload(rows(at.script.now - 10 * 15 * minute, 100))).body as LoggerLookAnswer;
    const record = recordOf(look, { hangs: 12 });
    await register(record);
    const before = (await at.api.get(`/api/loggers/${record.id}/levels`)).body as LoggerAnswer;
    expect([before.held!.hangs, before.held!.ties]).toEqual([12, []]);
    await byHand('7.3');
    const after = (await at.api.get(`/api/loggers/${record.id}/levels`)).body as LoggerAnswer;
    expect(after.held!.ties).toHaveLength(1);
    expect(after.findings).toContainEqual(expect.objectContaining({ code: 'hangs-elsewhere' }));
  });

  it.each([
    ['nothing', '', 'logger-empty'],
    ['a page', '<!doctype html><script>alert(1)</script>', 'logger-no-readings'],
    ['a PDF', '%PDF-1.7\n', 'logger-not-text'],
    ['a file cut in two by its commas', 'T,P\n2026-11-23 09:00,1,5\n2026-11-23 09:15,1,6\n2026-11-23 09:30,1,7\n', 'logger-columns-differ'],
  ])('is not %s', async (_, text, code) => {
    const answer = await upload(text);
    expect([answer.status, (answer.body as { type: string }).type]).toEqual([422, `urn:fonte:problem:${code}`]);
  });

  it('is refused where it says what cannot be: at its field', async () => {
    const look = (await upload(rows(at.script.now, 10))).body as LoggerLookAnswer;
    const record = recordOf(look);
    const refused = async (said: object) => {
      const { status, body } = await at.api.post('/api/loggers/try').send({ ...record, ...said });
      return [status, (body as { errors?: { path: string }[] }).errors?.map(({ path }) => path)];
    };
    expect(await refused({ water: { ...record.water, unit: 'kPa' } })).toEqual([422, ['water.unit']]);
    expect(await refused({ shows: 'absolute' })).toEqual([422, ['air']]);
    expect(await refused({ water: { ...record.water, sha256: 'f'.repeat(64) } })).toEqual([410, []]);
    expect(await refused({ water: { ...record.water, clock: { goes: 'wall', zone: 'Nowhere/Land' } } })).toEqual([
      422,
      ['water.clock.zone'],
    ]);
  });

  it('is for those who are signed in, and is not there where nobody brought one in', async () => {
    expect((await at.nobody.post('/api/logger-files').set('content-type', 'application/octet-stream').send('x')).status).toBe(401);
    expect((await at.nobody.get(`/api/loggers/${newId(0)}/levels`)).status).toBe(401);
    expect((await at.api.get(`/api/loggers/${newId(0)}/levels`)).status).toBe(404);
  });
});
