import { newId } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { pointRegistered } from '@fonte/core/registers';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { signed } from '../../core/test/keys.ts';
import { tapPoint } from '../../core/test/script.ts';
import { withoutContents } from '../src/http/index.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const level = (payload: object = {}) => {
  const entry = at.script.atWell(levelRead, {
    measuringPoint: 'North rim',
    depth: { text: '7.40', unit: 'm' },
    water: 'static',
  });
  return { ...entry, payload: { ...entry.payload, ...payload } };
};
const url = () => `/api/books/${at.script.book}/entries`;

describe('a caller who means harm', () => {
  it('cannot smuggle in fields that no schema knows', async () => {
    const smuggled = JSON.stringify(signed(level())).replace('{', '{"seq":99,"hash":"f00","__proto__":{"admin":true},');
    const answer = await at.api.post(url()).set('content-type', 'application/json').send(smuggled);
    expect(answer.status).toBe(201);
    expect(answer.body).toMatchObject({ entry: { seq: 2 } });
    expect(JSON.stringify(answer.body)).not.toContain('admin');
    expect(({} as { admin?: boolean }).admin).toBeUndefined();
  });

  it.each([
    ['a list for a depth', { depth: ['7.40', 'm'] }],
    ['null for a depth', { depth: null }],
    ['a number for a text', { depth: { text: 7.4, unit: 'm' } }],
    ['a unit that is none', { depth: { text: '7.40', unit: 'constructor' } }],
    ['a unit of another dimension', { depth: { text: '7.40', unit: 'L' } }],
    ['a text of a megabyte', { depth: { text: '7'.repeat(100_000), unit: 'm' } }],
    ['half a surrogate pair', { kept: 'a\ud800b' }],
    ['a NUL', { kept: 'a\u0000b' }],
    ['an escape', { kept: 'red \u001b[31m' }],
    ['a nest without end', { kept: JSON.parse('['.repeat(500) + ']'.repeat(500)) as unknown }],
    ['an empty mark', { measuringPoint: '' }],
    ['a state that is none', { water: 'frozen' }],
  ])('cannot send %s', async (_, payload) => {
    const before = await at.entries();
    const answer = await at.post(level(payload));
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { path: string }[] }).errors[0]!.path).toMatch(/^payload\./);
    expect(await at.entries()).toEqual(before);
  });

  it.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])(
    'cannot post as %s, as a form on another site would',
    async (type) => {
      const answer = await at.api.post(url()).set('content-type', type).send(JSON.stringify(level()));
      expect(answer.status).toBe(415);
      expect(await at.entries()).toHaveLength(1);
    },
  );

  it('finds nothing under addresses that try to leave their place', async () => {
    for (const path of ['/api/books/..%2f..%2fetc/entries', "/api/points/x'%20OR%201=1/levels", '/api/books/%00/entries']) {
      const answer = await at.api.get(path);
      expect([200, 400, 404], path).toContain(answer.status);
      if (answer.status === 200) expect(answer.body).toEqual([]);
    }
    const draft = await at.api.post(`/api/rounds/${at.script.book}/reports/..%2f..%2fpasswd/draft`).send({});
    expect(draft.status).toBe(404);
  });

  it('gets markup back as data, never as a page', async () => {
    const name = '<img src=x onerror=alert(1)>';
    const id = newId(at.script.now);
    const entry = {
      ...level(),
      book: id,
      visit: null,
      kind: pointRegistered.kind,
      version: pointRegistered.version,
      payload: { ...tapPoint, id, code: 'XX1', name },
    };
    expect((await at.post(entry, id)).status).toBe(201);
    const points = await at.api.get('/api/points');
    expect(points.type).toBe('application/json');
    expect(points.headers['x-content-type-options']).toBe('nosniff');
    expect(points.headers['content-security-policy']).toContain("script-src 'self'");
    expect((points.body as { name: string }[]).map((point) => point.name)).toContain(name);
  });

  it('learns nothing about the server from a failure', async () => {
    await at.store.close();
    const answer = await at.api.get('/api/points');
    expect(answer.status).toBe(503);
    expect(JSON.stringify(answer.body)).not.toMatch(/sqlite|typeorm|node_modules|at /i);
    expect(answer.headers['x-powered-by']).toBeUndefined();
    at = await bench();
  });

  it('cannot read a round’s report through another round', async () => {
    const answer = await at.api.post(`/api/rounds/${newId(0)}/reports/${'a'.repeat(64)}/draft`).send({});
    expect([answer.status, answer.type]).toEqual([404, 'application/problem+json']);
  });
});

describe('the door', () => {
  it.each(['evil.example', '10.0.0.5:4180', 'localhost.evil.example', '127.0.0.1.evil.example:80'])(
    'does not answer to the name %s',
    async (host) => {
      expect((await at.api.get('/api/rounds').set('host', host)).status).toBe(421);
    },
  );

  it.each(['localhost:4180', '127.0.0.1:9', '[::1]:4180', 'LOCALHOST'])('answers to %s', async (host) => {
    expect((await at.api.get('/api/rounds').set('host', host)).status).toBe(200);
  });

  it('answers to the names it was given, and to no part of them', async () => {
    const other = await bench({ hosts: ['fonte.example'] });
    const asked = async (host: string) => (await other.api.get('/api/rounds').set('host', host)).status;
    expect([await asked('fonte.example'), await asked('fonte.example:8443'), await asked('evil-fonte.example')]).toEqual([200, 200, 421]);
    await other.close();
  });

  it.each(['https://evil.example', 'null', 'http://localhost.evil.example'])('takes nothing from the origin %s', async (origin) => {
    const answer = await at.post(level()).set('origin', origin);
    expect(answer.status).toBe(403);
    expect((await at.api.get('/api/rounds').set('origin', origin)).status).toBe(403);
    expect(await at.entries()).toHaveLength(1);
  });

  it('takes what its own page sends, and nothing of another page on this machine', async () => {
    const from = async (origin: string) => (await at.post(level()).set('host', 'localhost:4180').set('origin', origin)).status;
    expect([await from('http://localhost:4180'), await from('http://localhost:8080'), await from('http://127.0.0.1:4180')]).toEqual([
      201, 403, 403,
    ]);
  });

  it('takes no packed bodies: a small one could be a gigabyte', async () => {
    const bomb = gzipSync(Buffer.alloc(20_000_000, 32));
    const send = (path: string, type: string) =>
      at.api
        .post(path)
        .set('content-type', type)
        .set('content-encoding', 'gzip')
        .serialize((body: unknown) => body as string)
        .send(bomb);
    expect((await send(`/api/rounds/${at.script.book}/reports`, 'text/csv')).status).toBe(415);
    expect((await send(url(), 'application/json')).status).toBe(415);
  });

  it('says 404 to addresses that no page has, and serves the page to them all the same', async () => {
    const web = mkdtempSync(join(tmpdir(), 'fonte-web-'));
    mkdirSync(join(web, 'assets'));
    writeFileSync(join(web, 'index.html'), '<p>Fonte</p>');
    writeFileSync(join(web, 'paths.json'), '["/","/rounds/:round/book"]');
    const other = await bench({ web });
    const status = async (path: string) => (await other.api.get(path)).status;
    expect([await status('/'), await status('/rounds/abc/book'), await status('/rounds/abc/bok'), await status('/wp-admin')]).toEqual([
      200, 200, 404, 404,
    ]);
    expect((await other.api.get('/nowhere')).text).toContain('Fonte');
    await other.close();
  });

  it('writes no payload into the log', () => {
    const secret = 'Maria Silva drinks here';
    const error = Object.assign(new Error(`UNIQUE ${secret}`), { parameters: [secret], cause: new Error(secret) });
    expect(JSON.stringify(withoutContents(error))).not.toContain(secret);
    expect(withoutContents(error)).toMatchObject({ name: 'Error', cause: { name: 'Error' } });
  });
});

/** Four hundred in `npm test`, a hundred thousand in `npm run test:long`. */
const nonsense = Number(process.env['FONTE_NONSENSE'] ?? 400);

it(`answers ${nonsense} generated requests with a refusal, never with a fault of its own`, async () => {
  const entry = level();
  const keys = ['id', 'book', 'visit', 'kind', 'version', 'at', 'author', 'device', 'payload'] as const;
  const wild = fc.oneof(fc.jsonValue(), fc.constantFrom('constructor', '__proto__', 'toString', '\ud800', '1e999', -0, 2 ** 53, ''));
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...keys), wild, fc.dictionary(fc.string(), wild, { maxKeys: 3 }), async (key, value, extra) => {
      const broken = {
        ...entry,
        id: newId(at.script.now),
        [key]: value,
        payload: key === 'payload' ? value : { ...entry.payload, ...extra },
      };
      const answer = await at.post(broken);
      expect(answer.status, JSON.stringify(broken)).toBeLessThan(500);
    }),
    { numRuns: nonsense },
  );
  expect((await at.api.get('/api/health')).body).toMatchObject({ status: 'ok' });
}, 3_600_000);
