import { newId, type BookEntry } from '@fonte/core/book';
import { boxRecorded } from '@fonte/core/custody';
import type { LoggerLookAnswer } from '@fonte/core/logger';
import { bottleFilled } from '@fonte/core/fill';
import { bottlesBoxed } from '@fonte/core/prepare';
import { fold, recordedBottles, recordFindings } from '@fonte/core/round';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../core/test/at-the-well.ts';
import { idOf } from '../../core/test/script.ts';
import { derivation } from '../src/app/rooms.ts';
import { verifyStore } from '../src/book/verify.ts';
import { bench, type Bench } from './bench-server.ts';

const minute = 60_000;
const [nitrogen, metals] = ['261123A-MW3-N', '261123A-MW3-M'];
const box = { id: idOf(57), name: 'Blue box', holds: 0.03 };
const named = { box: box.id, name: box.name };

let at: Bench;
let filledAt: number;
beforeEach(async () => {
  at = await bench();
  const { script } = at;
  const known = script.entries.length;
  const well = atTheWell(() => script);
  well.purged();
  script.write(bottlesBoxed, { box, bottles: [nitrogen, metals] });
  for (const bottle of [nitrogen, metals]) script.atWell(bottleFilled, { bottle });
  filledAt = script.now;
  script.now += 90 * minute;
  for (const entry of script.entries.slice(known)) expect((await at.post(entry)).status).toBe(201);
});
afterEach(() => at.close());

/** A reading each five minutes from 80 minutes before the last filling to 85 after it; without those that `torn` names. */
function text(degrees: (minutes: number) => number, torn: (minutes: number) => boolean = () => false): string {
  const rows = Array.from({ length: 34 }, (_, place) => place * 5 - 80)
    .filter((minutes) => !torn(minutes))
    .map((minutes) => `${new Date(filledAt + minutes * minute).toISOString().slice(0, 19)},${degrees(minutes).toFixed(2)}`);
  return `Date,Temperature [°C]\n${rows.join('\n')}\n`;
}

async function brought(file: string, said: object = {}) {
  const kept = await at.api.post('/api/logger-files').set('content-type', 'application/octet-stream').send(file);
  const look = kept.body as LoggerLookAnswer;
  const recording = {
    sha256: look.sha256,
    name: 'box.csv',
    date: look.date,
    order: look.orders[0],
    clock: { goes: 'fixed', offset: 0 },
    value: 1,
    decimals: 'point',
    unit: look.columns[0]?.unit,
    ...said,
  };
  return { look, body: { id: newId(at.script.now), box: named, recording } };
}
const url = (path = '') => `/api/rounds/${at.script.book}/box-records${path}`;
const round = async () => fold(await at.entries())!;

describe('a logger’s file of a box', () => {
  it('is read by the server and stands in the book, with how long each bottle was too warm', async () => {
    // From the twentieth minute after filling on it grows a degree in five minutes: 6 °C are passed in the thirtieth; it ends in the 85th.
    const { look, body } = await brought(text((minutes) => 4 + Math.max(0, minutes - 20) / 5));
    expect(look).toMatchObject({ columns: [{ unit: 'degC', shows: 'cold', decimals: 'point' }] });
    const tried = await at.api.post(url('/try')).send(body);
    expect([tried.status, (tried.body as { read: { readings: number } }).read.readings]).toEqual([200, 34]);
    expect((await at.entries()).some(boxRecorded.is)).toBe(false);

    const written = await at.api.post(url()).send(body);
    expect(written.status).toBe(201);
    const [record] = (await round()).custody.records;
    expect(record).toMatchObject({ entry: body.id, box: named, readings: 30, outside: 4, gaps: [], unread: 0 });
    const worst = recordedBottles(await round(), record!, at.script.now)[0]!;
    expect([worst.bottle.id, worst.band?.most, Math.round(worst.out.above / minute)]).toEqual([nitrogen, 6, 55]);
    expect(await verifyStore(at.store, derivation)).toEqual([]);
    // A lost answer, and once more.
    expect(((await at.api.post(url()).send(body)).body as BookEntry).hash).toBe((written.body as BookEntry).hash);
    expect((await at.entries()).filter(boxRecorded.is)).toHaveLength(1);
    const other = { ...body, recording: { ...body.recording, name: 'other.csv' } };
    expect((await at.api.post(url()).send(other)).status).toBe(409);
  });

  it('says what it leaves out, and never counts a gap as cold', async () => {
    const { body } = await brought(
      text(
        () => 5,
        (minutes) => minutes > 10 && minutes < 60,
      ),
    );
    await at.api.post(url()).send(body);
    const state = await round();
    const found = recordFindings(state, state.custody.records[0]!, at.script.now);
    expect(found).toMatchObject([{ code: 'record-unseen', data: { gaps: 1 } }]);
  });

  it.each([
    ['of another day', { clock: { goes: 'fixed', offset: 840 } }, 422, 'recording'],
    ['in a unit of something else', { unit: 'kPa' }, 422, 'recording.unit'],
    ['that nobody kept', { sha256: 'f'.repeat(64) }, 410, undefined],
  ])('is refused %s, at its field', async (_, said, status, path) => {
    const { body } = await brought(
      text(() => 4),
      said,
    );
    const answer = await at.api.post(url()).send(body);
    expect([answer.status, (answer.body as { errors?: { path: string }[] }).errors?.[0]?.path]).toEqual([status, path]);
    expect((await at.entries()).some(boxRecorded.is)).toBe(false);
  });

  it('is refused for a box that this round does not have, and from who is not signed in', async () => {
    const { body } = await brought(text(() => 4));
    const answer = await at.api.post(url()).send({ ...body, box: { box: idOf(99), name: 'Blue box' } });
    expect([answer.status, (answer.body as { errors: { path: string }[] }).errors[0]!.path]).toEqual([422, 'box']);
    expect((await at.nobody.post(url()).send(body)).status).toBe(401);
  });

  it('cannot be written by a device of itself', async () => {
    const { body } = await brought(text(() => 4));
    await at.api.post(url()).send(body);
    const record = (await at.entries()).find(boxRecorded.is);
    at.script.now += minute;
    const forged = at.script.make(boxRecorded, {
      ...boxRecorded.payload.parse(record!.payload),
      course: [
        [filledAt, 4],
        [filledAt + minute, 4],
      ],
    });
    expect((await at.post(forged)).status).toBe(403);
  });
});
