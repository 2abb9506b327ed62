import { execFileSync } from 'node:child_process';
import { newId, struck, writeEntry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { analysisAdded } from '@fonte/core/plan';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Books } from '../src/book/books.ts';
import { allRows } from '../src/book/rows.ts';
import { verifyBooks } from '../src/book/verify.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const level = (text = '7.40') =>
  at.script.write(levelRead, { visit: at.script.well, measuringPoint: 'North rim', depth: { text, unit: 'm' }, water: 'static' });

describe('appending', () => {
  it('takes an entry once, however often it is sent, also at the same time', async () => {
    const entry = level();
    const answers = await Promise.all([at.post(entry), at.post(entry), at.post(entry)]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 200, 201]);
    expect((await at.entries()).map((one) => one.seq)).toEqual([1, 2]);
  });

  it('loses and doubles nothing when two tabs write at once', async () => {
    const tabs = Array.from({ length: 20 }, (_, index) => level(`7.${10 + index}`));
    const answers = await Promise.all(tabs.map((entry) => at.post(entry)));
    expect(answers.every((answer) => answer.status === 201)).toBe(true);
    const ids = (await at.entries()).map((entry) => entry.id);
    expect(new Set(ids).size).toBe(21);
    expect((await verifyBooks(at.store)).every((book) => book.broken === null)).toBe(true);
  });

  it('keeps what was typed', async () => {
    const answer = await at.post(level('7,400'));
    expect(answer.body).toMatchObject({ seq: 2, payload: { depth: { text: '7,400', unit: 'm' } } });
  });
});

describe('refusing', () => {
  const refused = async (entry: object, status: number, code: string, path: string, book?: string) => {
    const before = await at.entries();
    const answer = await at.post(entry, book);
    expect(answer.status).toBe(status);
    expect(answer.type).toBe('application/problem+json');
    expect(answer.body).toMatchObject({ type: `urn:fonte:problem:${code}`, status, errors: [{ path }] });
    expect(await at.entries()).toEqual(before);
  };

  it('an unknown kind', () => refused({ ...level(), kind: 'level-guessed' }, 422, 'unknown-kind', 'kind'));
  it('a kind that belongs in another book', () => refused({ ...level(), kind: 'person-registered' }, 422, 'unknown-kind', 'kind'));
  it('a future time', () => {
    const entry = level();
    return refused({ ...entry, at: { ...entry.at, utc: '2027-01-01T00:00:00.000Z' } }, 422, 'future', 'at.utc');
  });
  it('a visit of another round', () =>
    refused({ ...level(), payload: { ...level().payload, visit: newId(0) } }, 422, 'misfit', 'payload.visit'));
  it('a round that does not exist', async () => {
    const entry = { ...level(), book: newId(0) };
    await refused(entry, 422, 'misfit', 'book', entry.book);
  });
  it('an entry sent to another book', () => refused({ ...level(), book: newId(0) }, 422, 'other-book', 'book'));
  it('an author nobody knows', () => refused({ ...level(), author: 'stranger' }, 422, 'unknown-author', 'author'));
  it('a depth that cannot be', () => refused(level('99999'), 422, 'invalid', 'payload.depth.text'));
  it('an entry that only the server writes', () =>
    refused(
      { ...level(), kind: 'report-received', payload: { sha256: 'a'.repeat(64), name: 'x', size: 1, from: 'lab' } },
      422,
      'server-kind',
      'kind',
    ));
  it('an altered copy under a known id', async () => {
    const entry = level();
    await at.post(entry);
    await refused({ ...entry, payload: { ...entry.payload, depth: { text: '7.41', unit: 'm' } } }, 409, 'altered-copy', 'id');
  });
  it('a round whose code is taken', async () => {
    const book = newId(at.script.now);
    const planned = at.script.entries[0]!;
    const answer = await at.post({ ...planned, id: newId(at.script.now), book }, book);
    expect([answer.status, (answer.body as { errors: { path: string }[] }).errors[0]?.path]).toEqual([409, 'payload.code']);
  });

  it('a round with a point that is not what the register says', async () => {
    const book = newId(at.script.now);
    const { payload } = at.script.entries[0] as { payload: { visits: { point: object }[] } };
    const moved = {
      ...payload,
      code: 'OTHER',
      visits: [{ ...payload.visits[0]!, point: { ...payload.visits[0]!.point, name: 'Another well' } }],
    };
    const answer = await at.post({ ...at.script.entries[0]!, id: newId(at.script.now), book, payload: moved }, book);
    expect([answer.status, (answer.body as { errors: { path: string }[] }).errors[0]?.path]).toEqual([422, 'payload.visits.0.point']);
  });

  it('what is no JSON, no entry, too large, or nowhere', async () => {
    const url = `/api/books/${at.script.book}/entries`;
    const [broken, list, huge, nowhere] = await Promise.all([
      at.api.post(url).set('content-type', 'application/json').send('{"id": '),
      at.api.post(url).send([]),
      at.api.post(url).send({ id: 'x'.repeat(600_000) }),
      at.api.get('/api/nothing'),
    ]);
    expect([broken.status, list.status, huge.status, nowhere.status]).toEqual([400, 422, 413, 404]);
    expect([broken, list, huge, nowhere].every((answer) => answer.type === 'application/problem+json')).toBe(true);
  });
});

describe('the book on disk', () => {
  it('cannot be changed or thinned through the database', async () => {
    await expect(at.store.query("UPDATE entries SET payload = '{}'")).rejects.toThrow('entries are never changed');
    await expect(at.store.query('DELETE FROM entries')).rejects.toThrow('entries are never deleted');
  });

  it('is checked by npm run verify, which says where it breaks', async () => {
    for (const text of ['7.40', '7.41', '7.42']) await at.post(level(text));
    const verify = () => {
      try {
        return {
          code: 0,
          out: execFileSync('npx', ['tsx', 'src/verify.ts', at.file], { cwd: new URL('..', import.meta.url), encoding: 'utf8' }),
        };
      } catch (error) {
        const { status, stdout } = error as { status: number; stdout: string };
        return { code: status, out: stdout };
      }
    };
    expect(verify()).toMatchObject({ code: 0, out: expect.stringContaining('4 entries') as string });
    await at.store.query('DROP TRIGGER entries_are_never_changed');
    await at.store.query(`UPDATE entries SET payload = replace(payload, '7.41', '7.14') WHERE seq = 3 AND book = '${at.script.book}'`);
    expect(verify()).toMatchObject({ code: 1, out: expect.stringMatching(/BROKEN.*entry 3 .*what it says was changed/) as string });
  });

  it('gives the same tables when they are made again', async () => {
    const first = level('7.40');
    await at.post(first);
    await at.post(level('7.40'));
    await at.post(at.script.write(analysisAdded, { visit: at.script.tap, analysis: 'metals' }));
    await at.post(
      at.script.write(struck, { entry: first.id, reason: 'misread', instead: { ...first.payload, depth: { text: '7.401', unit: 'm' } } }),
    );
    const before = await allRows(at.store);
    expect(before['levels']).toMatchObject([{ point: 'p-well', depth: 7.4 }]);
    expect(before['bottles']).toHaveLength(6);
    await at.store.query('DELETE FROM bottles WHERE rule = ?', ['metals']);
    await at.store.query('UPDATE levels SET depth = 99');
    await at.books.rebuild();
    expect(await allRows(at.store)).toEqual(before);
  });

  it('is the same to a server that starts anew', async () => {
    await at.post(level('7.40'));
    await at.post(level('7.402'));
    const fresh = await new Books(at.store, () => at.script.now).view(at.script.book);
    expect(fresh.entries).toHaveLength(3);
    expect(fresh.round?.visits[0]?.level?.agreed?.typed.text).toBe('7.402');
  });
});

it('serves health, session, registers and levels', async () => {
  await at.post(level('7.40'));
  await at.post(level('7.40'));
  const [health, session, people, levels, rounds] = await Promise.all(
    ['health', 'session', 'people', 'points/p-well/levels', 'rounds'].map((path) => at.api.get(`/api/${path}`)),
  );
  expect(health!.body).toEqual({ status: 'ok' });
  expect(session!.body).toEqual({ author: 'tech', now: at.script.now, demo: false });
  expect(people!.body).toMatchObject([{ id: 'tech', initials: 'IF' }]);
  expect(levels!.body).toMatchObject([{ depth: 7.4, elevation: expect.closeTo(44.94, 9) as number }]);
  expect(rounds!.body).toMatchObject([{ code: '261123A', closed: false, overview: { next: { room: 'purge' } } }]);
});

it('describes itself: every route and every kind of entry', async () => {
  const { body } = (await at.api.get('/api/openapi.json')) as {
    body: { openapi: string; paths: Record<string, unknown>; components: { schemas: Record<string, { properties?: object }> } };
  };
  expect(body.openapi).toBe('3.1.0');
  expect(Object.keys(body.paths)).toContain('/api/books/{book}/entries');
  expect(body.components.schemas['payload-level-read']?.properties).toHaveProperty('depth');
});

it('has no way to move the clock outside the demo', async () => {
  expect((await at.api.post('/api/demo/clock').send({ seconds: 60 })).status).toBe(404);
  expect(writeEntry({ book: 'org', author: 'a', now: 0, offset: 0 }, analysisAdded, { visit: newId(0), analysis: 'metals' }).at.utc).toBe(
    '1970-01-01T00:00:00.000Z',
  );
});
