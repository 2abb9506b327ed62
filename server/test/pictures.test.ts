import { isGood, newId, struck, writeEntry } from '@fonte/core/book';
import { pictureTaken } from '@fonte/core/pictures';
import { personRegistered, type Person } from '@fonte/core/registers';
import { pointScouted } from '@fonte/core/scout';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { phone, tapPoint, technician } from '../../core/test/script.ts';
import { derivation } from '../src/app/rooms.ts';
import { serverPen } from '../src/book/books.ts';
import { sha256 } from '../src/book/codec.ts';
import { verifyFile } from '../src/book/export.ts';
import { verifyStore } from '../src/book/verify.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

/** One white pixel. */
const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==', 'base64');
const url = (round = at.script.book) => `/api/rounds/${round}/pictures`;
const upload = (body: Buffer | string, round?: string) =>
  at.api.post(url(round)).set('content-type', 'application/octet-stream').send(body);
const take = async () => {
  const kept = (await upload(png)).body as { sha256: string; type: 'image/png'; size: number };
  await at.post(at.script.atTap(pictureTaken, { ...kept, shows: 'outlet' }));
  return kept.sha256;
};

describe('a book that is handed out with its files', () => {
  const handedOut = async (query = '?with=files') => (await at.api.get(`/api/books/${at.script.book}/export${query}`)).text;

  it('holds their bytes, and whoever gets it checks them alone', async () => {
    const hash = await take();
    const text = await handedOut();
    expect(JSON.parse(text)).toMatchObject({ version: 3, files: { [hash]: png.toString('base64') } });
    expect((await verifyFile(text, null)).files).toEqual({ named: 1, faults: [] });
  });

  it('is not whole where a file is another, is none, or was left out; without them nothing is said of them', async () => {
    const hash = await take();
    const file = JSON.parse(await handedOut()) as { files: Record<string, string>; entries: { seq: number }[] };
    const found = async (files: unknown) => {
      const verified = await verifyFile(JSON.stringify({ ...file, files }), null);
      return [isGood(verified), verified.files?.faults.map(({ seq, code }) => `${seq} ${code}`)];
    };
    const last = file.entries.at(-1)!.seq;
    expect(await found(file.files)).toEqual([true, []]);
    expect(await found({ [hash]: Buffer.from('another').toString('base64') })).toEqual([false, [`${last} altered`]]);
    expect(await found({ [hash]: 'no base64!' })).toEqual([false, [`${last} altered`]]);
    expect(await found({})).toEqual([false, [`${last} missing`]]);
    const without = await handedOut('');
    expect(JSON.parse(without)).toMatchObject({ version: 2, files: null });
    const verified = await verifyFile(without, null);
    expect([isGood(verified), verified.files]).toEqual([true, null]);
  });
});

describe('a picture', () => {
  it('is kept under its hash and shown as what its bytes are', async () => {
    const kept = await upload(png);
    expect([kept.status, kept.body]).toEqual([201, { sha256: sha256(png), type: 'image/png', size: png.length }]);
    const hash = await take();
    const shown = await at.api.get(`${url()}/${hash}`);
    expect([shown.status, shown.type, Buffer.compare(shown.body as Buffer, png)]).toEqual([200, 'image/png', 0]);
    expect(shown.headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'content-security-policy': "sandbox; default-src 'none'",
      'cache-control': 'private, max-age=31536000, immutable',
    });
  });

  it.each([
    ['a drawing that could run a script', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'no-picture'],
    ['a page', '<!doctype html><script>alert(1)</script>', 'no-picture'],
    ['nothing', '', 'picture-empty'],
  ])('is not %s', async (_, body, code) => {
    const answer = await upload(body);
    expect([answer.status, (answer.body as { type: string }).type]).toEqual([422, `urn:fonte:problem:${code}`]);
  });

  it('belongs to a round, and is shown once its book names it and in no other', async () => {
    expect((await upload(png, newId(0))).status).toBe(404);
    await upload(png);
    expect((await at.api.get(`${url()}/${sha256(png)}`)).status).toBe(404);
    const hash = await take();
    expect((await at.api.get(`${url(newId(0))}/${hash}`)).status).toBe(404);
    // What is kept for another reason is no picture of this round.
    expect((await at.api.get(`${url()}/${'a'.repeat(64)}`)).status).toBe(404);
  });

  it('that has not come cannot be named', async () => {
    const named = await at.post(at.script.atTap(pictureTaken, { sha256: 'a'.repeat(64), type: 'image/png', size: 70, shows: 'outlet' }));
    expect([named.status, (named.body as { type: string }).type]).toEqual([422, 'urn:fonte:problem:file-missing']);
  });

  it('that no entry names takes room of whoever sent it, in bounds, and goes after a day', async () => {
    const home: Person = { id: newId(at.script.now), name: 'House at the bend', initials: 'HB', role: 'householder' };
    await at.books.appendOwn(writeEntry(serverPen(home.id, at.script.now), personRegistered, home));
    const household = await at.as(home, phone, { round: at.script.book });
    // Different pictures: what stands after the end of a picture is not looked at.
    const send = async (number: number) => {
      const bytes = Buffer.concat([png, Buffer.from([number])]);
      return (await household.post(url()).set('content-type', 'application/octet-stream').send(bytes)).status;
    };
    for (let number = 0; number < 12; number += 1) expect(await send(number)).toBe(201);
    expect(await send(12)).toBe(429);
    // The same again takes no more room; what is named makes room; others are not held up.
    expect(await send(11)).toBe(201);
    const first = sha256(Buffer.concat([png, Buffer.from([0])]));
    await at.post(at.script.atTap(pictureTaken, { sha256: first, type: 'image/png', size: png.length + 1, shows: 'outlet' }));
    expect(await send(12)).toBe(201);
    expect((await upload(png)).status).toBe(201);
    at.script.now += 86_400_000 + 60_000;
    expect(await send(13)).toBe(201);
    expect((await at.store.read<unknown[]>('SELECT 1 FROM uploads')).length).toBe(1);
    expect(await at.store.read('SELECT sha256 FROM files')).toEqual([{ sha256: first }]);
  });

  it('that is named and not kept is found by the check', async () => {
    const hash = await take();
    expect(await verifyStore(at.store, derivation)).toEqual([]);
    await at.store.write(async (query) => {
      await query('DROP TRIGGER files_never_deleted');
      await query('DELETE FROM files');
    });
    expect(await verifyStore(at.store, derivation)).toEqual(
      expect.arrayContaining([{ where: `kept file ${hash}`, what: expect.stringContaining('is missing') as string }]),
    );
  });

  it('of more than twelve megabytes is not taken', async () => {
    const large = Buffer.concat([png, Buffer.alloc(12 << 20)]);
    expect((await upload(large)).status).toBe(413);
  });
});

describe('a picture of a point without a round', () => {
  it('is kept for its point, shown once its book names it, and goes from there where it is struck', async () => {
    const door = `/api/points/${tapPoint.id}/pictures`;
    const send = (address: string) => at.api.post(address).set('content-type', 'application/octet-stream').send(png);
    expect((await send(`/api/points/${newId(0)}/pictures`)).status).toBe(404);
    const kept = (await send(door)).body as { sha256: string; type: 'image/png'; size: number };
    expect((await at.api.get(`${door}/${kept.sha256}`)).status).toBe(404);
    const seen = {
      pictures: [{ ...kept, shows: 'the left one', arrow: null }],
      outlet: 'the left one',
      found: ['hose' as const],
      note: '',
    };
    const pen = { book: tapPoint.id, author: technician.id, device: phone, now: Date.now(), offset: 0 };
    const entry = writeEntry(pen, pointScouted, seen);
    const struckIt = writeEntry(pen, struck, { entry: entry.id, kind: entry.kind, reason: 'somebody is on it' });
    expect((await at.post(entry, tapPoint.id)).status).toBe(201);
    expect((await at.api.get(`${door}/${kept.sha256}`)).status).toBe(200);
    const record = async () => (await at.api.get(door)).body as object[];
    expect(await record()).toMatchObject([{ round: null, visit: null, sha256: kept.sha256, shows: 'the left one' }]);
    expect((await at.api.get(`/api/points/${tapPoint.id}/scouted`)).body).toMatchObject([{ entry: entry.id, outlet: 'the left one' }]);
    // No round has it.
    expect((await at.api.get(`${url()}/${kept.sha256}`)).status).toBe(404);
    expect((await at.post(struckIt, tapPoint.id)).status).toBe(201);
    expect(await record()).toEqual([]);
    expect((await at.api.get(`${door}/${kept.sha256}`)).status).toBe(404);
    expect((await at.api.get(`/api/points/${tapPoint.id}/scouted`)).body).toEqual([]);
    // What stands in the tables is what the books say.
    expect(await verifyStore(at.store, derivation)).toEqual([]);
  });
});
