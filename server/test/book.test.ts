import { writeEntry, newId, struck, type BookEntry } from '@fonte/core/book';
import { labAnswered } from '@fonte/core/custody';
import { levelRead } from '@fonte/core/level';
import { analysisAdded, judgedAnew, visitAdded } from '@fonte/core/plan';
import { limitSetRegistered, personRegistered, pointRegistered, refOfOwnSet } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { minute } from '@fonte/core/time';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { signed } from '../../core/test/keys.ts';
import { coordinator, idOf, phone, Script, tapPoint, technician, wellPoint } from '../../core/test/script.ts';
import { derivation } from '../src/app/rooms.ts';
import { Books } from '../src/book/books.ts';
import type { Derivation } from '../src/book/derivation.ts';
import { ensureDerived, rebuild } from '../src/book/rebuild.ts';
import { verifyBooks, verifyStore } from '../src/book/verify.ts';
import { allRows } from '../src/book/rows.ts';
import { Store } from '../src/store/index.ts';
import { bench, type Bench, type Told } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const reading = (text = '7.40', more: object = {}) => ({
  measuringPoint: 'North rim',
  depth: { text, unit: 'm' as const },
  water: 'static' as const,
  ...more,
});
const level = (text?: string, more?: object) => at.script.atWell(levelRead, reading(text, more));
const made = (text?: string) => {
  at.script.now += minute;
  return at.script.make(levelRead, reading(text), at.script.well);
};

describe('appending', () => {
  it('takes an entry once, however often it is sent, also at the same time', async () => {
    const entry = level();
    const answers = await Promise.all([at.post(entry), at.post(entry), at.post(entry)]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 200, 201]);
    expect((await at.entries()).map((one) => one.seq)).toEqual([1, 2]);
  });

  it('loses and doubles nothing when many write at once', async () => {
    const tabs = Array.from({ length: 20 }, (_, index) => level(`7.${10 + index}`));
    const answers = await Promise.all(tabs.map((entry) => at.post(entry)));
    expect(answers.every((answer) => answer.status === 201)).toBe(true);
    const entries = await at.entries();
    expect(new Set(entries.map((entry) => entry.id)).size).toBe(21);
    expect(entries.map((entry) => entry.seq)).toEqual(Array.from({ length: 21 }, (_, index) => index + 1));
  });

  it('keeps what was typed, the version it was written in, and both clocks', async () => {
    const answer = await at.post({ ...level('7,400'), sentAt: '2026-11-23T09:01:00.000Z' });
    expect((answer.body as Told).entry).toMatchObject({
      seq: 2,
      version: levelRead.version,
      visit: at.script.well,
      sentAt: '2026-11-23T09:01:00.000Z',
      receivedAt: new Date(at.script.now).toISOString(),
      payload: { depth: { text: '7,400', unit: 'm' } },
    });
  });

  it('takes nothing under a signature that no schema names, also in a correction', async () => {
    const entry = level();
    await at.post(entry);
    expect((await at.post(level('7.40', { smuggled: { admin: true } }))).status).toBe(422);
    expect((await at.post(at.script.correct(entry, 'misread', { payload: reading('7.41', { smuggled: 'too' }) }))).status).toBe(422);
    await at.post(at.script.correct(entry, 'misread', { payload: reading('7.41') }));
    expect(JSON.stringify(await at.entries())).not.toContain('smuggled');
    expect((await at.books.round(at.script.book)).visits[0]!.level!.readings.map(({ typed }) => typed.text)).toEqual(['7.41']);
  });

  it('refuses nothing for its clock: what is from the future, or a day late, is taken and its clocks are kept', async () => {
    const ahead = { ...level(), sentAt: null };
    const answer = await at.post({ ...ahead, at: { ...ahead.at, utc: '2027-01-01T00:00:00.000Z' } });
    at.script.now += 26 * 60 * minute;
    expect([answer.status, (await at.post(level())).status]).toEqual([201, 201]);
  });

  it('acknowledges what stands already, whatever the clocks say now', async () => {
    const entry = level();
    await at.post(entry);
    at.script.now -= 3 * 60 * minute;
    expect((await at.post({ ...entry, sentAt: '2030-01-01T00:00:00.000Z' })).status).toBe(200);
  });

  it('sets aside what does not fit at its own time, says why, and loses nothing', async () => {
    const answer = await at.post(at.script.atTap(levelRead, reading()));
    expect(answer.status).toBe(201);
    expect((answer.body as Told).aside).toEqual({ code: 'no-level', field: 'visit' });
    const again = await at.post(at.script.entries.at(-1)!);
    expect((again.body as Told).aside?.code).toBe('no-level');
    expect((await at.books.round(at.script.book)).aside).toHaveLength(1);
  });

  it('keeps what is of a newer version as it was sent', async () => {
    const newer = { ...level(), version: 7, payload: { metres: 7.4, from: 'a newer app' } };
    const answer = await at.post(newer);
    expect(answer.body).toMatchObject({ entry: { version: 7, payload: newer.payload }, aside: { code: 'newer-version' } });
  });
});

describe('many entries in one request', () => {
  it('of many books and kinds are one transaction, each with its own answer', async () => {
    const book = idOf(77);
    const other = new Script();
    const pen = { book, author: technician.id, device: phone, now: at.script.now, offset: 0 };
    const found = { ...wellPoint, id: book, code: 'NEW1', name: 'Found on the way' };
    other.plan();
    const planned = {
      ...other.entries[0]!,
      payload: { ...(other.entries[0]!.payload as object), code: 'OTHER', visits: [{ id: other.well, point: found, analyses: [] }] },
    };
    const results = await at.postAll([
      writeEntry(pen, pointRegistered, found),
      planned,
      other.atWell(levelRead, reading()),
      level('abc'),
      level('7.40'),
      { nonsense: true },
    ]);
    expect(results.map((result) => result.status)).toEqual([201, 201, 201, 422, 201, 422]);
    expect((await at.books.round(other.book)).visits[0]!.level!.readings).toHaveLength(1);
    expect((await at.entries()).map((entry) => entry.seq)).toEqual([1, 2]);
  });

  it('are refused whole when there are too many, or none', async () => {
    const sent = (entries: unknown[]) => at.api.post('/api/entries').send({ entries });
    expect([(await sent([])).status, (await sent(Array.from({ length: 2001 }, () => 0))).status]).toEqual([422, 422]);
  });

  it('open no book with an entry that cannot', async () => {
    const book = newId(at.script.now);
    const [result] = await at.postAll([{ ...level(), book }]);
    expect(result).toMatchObject({ status: 409, problem: { type: 'urn:fonte:problem:no-book' } });
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
  const by = (author: string, entry = level()) => ({ ...entry, author });

  it('an unknown kind', () => refused({ ...level(), kind: 'level-guessed' }, 422, 'unknown-kind', 'kind'));
  it('a kind that belongs in another book', () =>
    refused(
      { ...level(), kind: 'person-registered', visit: null, payload: coordinator, author: coordinator.id },
      422,
      'other-kind',
      'kind',
    ));
  it('a clock that was never set', () =>
    refused({ ...level(), at: { utc: '1970-01-01T00:00:10.000Z', offset: 0 } }, 422, 'not-an-entry', 'at.utc'));
  it('an object that says of itself what it becomes, wherever it stands', async () => {
    const hostile = { length: { toString: 0 } };
    await refused({ ...level(), id: hostile }, 422, 'not-an-entry', 'id');
    await refused({ ...level(), payload: { measuringPoint: hostile } }, 422, 'unsound', 'payload.measuringPoint.length');
  });
  it('an entry that names no visit, or one too many', async () => {
    await refused({ ...level(), visit: null }, 422, 'place', 'visit');
    await refused({ ...at.script.entries[0]!, id: newId(1), visit: at.script.well }, 422, 'place', 'visit');
  });
  it('an entry sent to another book', () => refused({ ...level(), book: newId(0) }, 422, 'other-book', 'book'));
  it('an author nobody knows', () => refused(by(idOf(99)), 422, 'unknown-author', 'author'));
  it('an author who is the server, or a device that is', async () => {
    await refused(by('00000000-0000-0000-0000-000000000000'), 403, 'forbidden', 'author');
    await refused({ ...level(), device: '00000000-0000-0000-0000-000000000000' }, 403, 'forbidden', 'device');
  });
  it('a role that the kind does not name', async () => {
    const anew = at.script.make(judgedAnew, { limits: ['eu-2020-2184@2026-1'], reason: 'asked by the authority' });
    await refused(anew, 403, 'forbidden', 'author');
    expect((await at.post({ ...anew, author: coordinator.id })).status).toBe(201);
    await refused(at.script.strike(anew, 'not by me'), 403, 'forbidden', 'author');
  });
  it('a person who registers the server', async () => {
    const id = '00000000-0000-0000-0000-000000000000';
    const person = { id, name: 'Fonte', initials: 'F', role: 'coordinator' as const };
    const entry = writeEntry({ book: id, author: coordinator.id, device: phone, now: at.script.now, offset: 0 }, personRegistered, person);
    await refused(entry, 403, 'forbidden', 'book', id);
  });
  it('a depth that cannot be', () => refused(level('99999'), 422, 'invalid', 'payload.depth.text'));
  it('a correction to what no schema takes', async () => {
    const entry = level();
    await at.post(entry);
    await refused(
      at.script.strike(entry, 'typing slip', { payload: reading('abc') }),
      422,
      'invalid',
      'payload.instead.payload.depth.text',
    );
  });
  it('an entry that only the server writes', () => {
    const entry = at.script.make(labAnswered, { handOver: newId(0), reference: 'L', bottles: [] });
    return refused(entry, 403, 'server-kind', 'kind');
  });
  it('results put in the place of a report that was read', () => {
    const forged = { entry: newId(0), kind: 'report-read', reason: 'looks better', instead: { version: 1, payload: { results: [] } } };
    return refused(at.script.make(struck, forged), 403, 'forbidden', 'payload.instead');
  });
  it('an altered copy under a known id', async () => {
    const entry = level();
    await at.post(entry);
    await refused({ ...entry, payload: reading('7.41') }, 409, 'altered-copy', 'id');
    await refused({ ...entry, device: idOf(8) }, 409, 'altered-copy', 'id');
  });
  it('a round whose code is taken, and a point whose code is', async () => {
    const planned = at.script.entries[0]!;
    const round = newId(at.script.now);
    await refused({ ...planned, id: newId(at.script.now), book: round }, 409, 'code-taken', 'payload.code', round);
    const point = newId(at.script.now);
    const pen = { book: point, author: technician.id, device: phone, now: at.script.now, offset: 0 };
    const second = writeEntry(pen, pointRegistered, { ...tapPoint, id: point, name: 'Another market hall' });
    await refused(second, 409, 'code-taken', 'payload.code', point);
    const both = [newId(1), newId(2)].map((id) => writeEntry({ ...pen, book: id }, pointRegistered, { ...tapPoint, id, code: 'SAME' }));
    expect((await at.postAll(both)).map((result) => result.status)).toEqual([201, 409]);
  });
  it('a thing registered in another’s book', async () => {
    const book = newId(at.script.now);
    const pen = { book, author: technician.id, device: phone, now: at.script.now, offset: 0 };
    await refused(writeEntry(pen, pointRegistered, tapPoint), 422, 'other-book', 'payload.id', book);
  });
  it('a round with a point that is not, and never was, what the register says', async () => {
    const book = newId(at.script.now);
    const { payload } = at.script.entries[0] as unknown as { payload: { visits: { point: object }[] } };
    const planned = (code: string, point: object) => ({
      ...at.script.entries[0]!,
      id: newId(at.script.now),
      book,
      payload: { ...payload, code, visits: [{ ...payload.visits[0]!, point }] },
    });
    await refused(planned('OTHER', { ...wellPoint, name: 'Another well' }), 422, 'register', 'payload.visits.0.point', book);
    const pen = { book: wellPoint.id, author: technician.id, device: phone, now: at.script.now + minute, offset: 0 };
    await at.post(writeEntry(pen, pointRegistered, { ...wellPoint, name: 'Renamed' }), wellPoint.id);
    expect((await at.post(planned('OTHER', wellPoint), book)).status).toBe(201);
    expect((await at.api.get('/api/points')).body).toMatchObject([{ name: 'Market hall' }, { name: 'Renamed' }]);
  });

  it('a limit set of the house that the register never had, whatever brings it along', async () => {
    const pen = { author: technician.id, device: phone, now: at.script.now, offset: 0 };
    const set = { id: newId(at.script.now), name: 'Permit', base: 'eu-2020-2184@2026-3', rows: [], source: 'Permit 12' };
    const brought = { limits: [refOfOwnSet(set)], ownLimits: [set] };
    const added = { id: newId(at.script.now + 1), point: { ...tapPoint, code: 'T9' }, analyses: [], ...brought };
    const visit = writeEntry({ ...pen, book: at.script.book }, visitAdded, added as never);
    await refused(visit, 422, 'register', 'payload.ownLimits.0');
    const registered = writeEntry({ ...pen, author: coordinator.id, book: set.id }, limitSetRegistered, set);
    expect((await at.post(registered, set.id)).status).toBe(201);
    expect((await at.post(visit)).status).toBe(201);
    expect((await at.api.get('/api/limits')).body).toMatchObject([{ name: 'Permit' }]);
    // What is named does not come along.
    const { ownLimits: _, ...alone } = added;
    await refused(
      writeEntry({ ...pen, book: at.script.book }, visitAdded, { ...alone, id: newId(2) } as never),
      422,
      'invalid',
      'payload.limits',
    );
  });

  it('what is no JSON, no entry, too large, or nowhere', async () => {
    const url = `/api/books/${at.script.book}/entries`;
    const [broken, list, huge, nowhere] = await Promise.all([
      at.api.post(url).set('content-type', 'application/json').send('{"id": '),
      at.api.post(url).send([]),
      at.api.post(url).send({ id: 'x'.repeat(5_000_000) }),
      at.api.get('/api/nothing'),
    ]);
    expect([broken.status, list.status, huge.status, nowhere.status]).toEqual([400, 422, 413, 404]);
    expect([broken, list, huge, nowhere].every((answer) => answer.type === 'application/problem+json')).toBe(true);
  });
});

describe('the tables', () => {
  it('of a database that an earlier version made are made anew once, and told from faults until then', async () => {
    await at.post(level());
    const before = await allRows(at.store, derivation);
    const faults = async () => {
      const found = [...(await verifyStore(at.store, derivation))];
      for await (const book of verifyBooks(at.store, derivation)) found.push(...book.faults);
      return found.map(({ where, what }) => `${where} ${what}`);
    };
    expect(await ensureDerived(at.store, derivation)).toBeNull();
    await at.store.write(async (query) => {
      await query(`DELETE FROM about WHERE name = 'derived'`);
      await query(`UPDATE rounds SET overview = '{"of":"an earlier version"}'`);
    });
    expect(await faults()).toEqual(['tables were made by another version: start the server, or rebuild them']);
    expect(await ensureDerived(at.store, derivation)).toBeGreaterThan(0);
    expect(await allRows(at.store, derivation)).toEqual(before);
    expect([await faults(), await ensureDerived(at.store, derivation)]).toEqual([[], null]);
  });

  it('are the same when they are made again from the books', async () => {
    const first = level('7.40');
    await at.postAll([
      first,
      level('7.40'),
      at.script.atTap(analysisAdded, { analysis: 'metals' }),
      at.script.correct(first, 'misread', { payload: reading('7.401') }),
    ]);
    const before = await allRows(at.store, derivation);
    expect(before['levels']).toMatchObject([{ point: wellPoint.id, depth: 7.4 }]);
    expect(before['bottles']).toHaveLength(6);
    await at.store.write(async (query) => {
      await query('DELETE FROM bottles WHERE rule = ?', ['metals']);
      await query('UPDATE levels SET depth = 99');
    });
    await rebuild(at.store, derivation);
    expect(await allRows(at.store, derivation)).toEqual(before);
  });

  it('of one round never hold another’s: two rounds may use the same visit ids', async () => {
    const book = newId(at.script.now);
    const planned = at.script.entries[0]!;
    const twin = { ...planned, id: newId(at.script.now), book, payload: { ...(planned.payload as object), code: 'TWIN' } };
    await at.post(twin, book);
    await at.postAll([level('7.40'), level('7.40')]);
    const theirs = [1, 2].map(() => ({ ...made('9.00'), book }));
    expect((await at.postAll(theirs)).map((result) => result.status)).toEqual([201, 201]);
    const rows = (await allRows(at.store, derivation))['levels'] as unknown as { book: string; depth: number }[];
    expect(Object.fromEntries(rows.map((row) => [row.book, row.depth]))).toEqual({ [at.script.book]: 7.4, [book]: 9 });
  });
});

describe('an entry that the server dies of', () => {
  it('is answered by itself: what was sent before and after it, and by others at the same time, is written', async () => {
    const deadly = '7.13';
    const faults: unknown[] = [];
    const dies = (visit: VisitState) => visit.level?.readings.some(({ typed }) => typed.text === deadly);
    const brittle = Object.assign(Object.create(derivation) as Derivation, {
      ofVisit: (book: string, visit: VisitState) => {
        if (dies(visit)) throw new RangeError('no rows');
        return derivation.ofVisit(book, visit);
      },
    });
    const books = new Books(at.store, at.clock, brittle, (fault) => faults.push(fault));
    const [before, bad, after, other] = ['7.11', deadly, '7.15', '7.17'].map((text) => signed(made(text)));
    const [ours, theirs] = await Promise.all([books.append(null, [before, bad, after], null), books.append(null, [other], null)]);
    expect(ours.map((outcome) => ('problem' in outcome ? outcome.problem.code : outcome.entry.id))).toEqual([
      before!.id,
      'fault',
      after!.id,
    ]);
    expect(theirs).toMatchObject([{ isNew: true }]);
    expect(faults).toHaveLength(1);
    expect((await at.entries()).map(({ id }) => id)).toEqual(expect.arrayContaining([before!.id, after!.id, other!.id]));
  });

  it.each([
    ['steel', { hold: { text: 'abc', unit: 'm' }, cut: { text: '1', unit: 'm' } }],
    ['steel', { hold: { text: '9', unit: 'm' }, cut: { text: '', unit: 'm' } }],
    ['coarse', { at: { text: '7', unit: 'm' }, rest: { text: '12\' 7"', unit: 'ft' } }],
    ['flowing', { head: { text: '..', unit: 'm' } }],
  ])('is none where a %s tape says what is no number: it is refused at its field', async (tool, numbers) => {
    const [good, bad] = [made(), { ...made(), payload: reading('7.40', { by: { tool, ...numbers } }) }];
    const results = await at.postAll([good, bad, made('7.41')]);
    expect(results.map(({ status }) => status)).toEqual([201, 422, 201]);
    expect(JSON.stringify(results[1])).toContain('payload.by.');
  });
});

describe('another process on the same file', () => {
  it('writes in the same round side by side with this one: numbers stay whole, nothing is lost', async () => {
    const store = await Store.open(at.file);
    const theirs = new Books(store, at.clock, derivation);
    const entries = Array.from({ length: 40 }, (_, index) => made(`7.${100 + index}`));
    await Promise.all(entries.map((entry, index) => (index % 2 === 0 ? at.books : theirs).append(at.script.book, [signed(entry)], null)));
    await store.close();
    const all = await at.entries();
    expect(all.map((entry) => entry.seq)).toEqual(Array.from({ length: 41 }, (_, index) => index + 1));
    expect(new Set(all.map((entry) => entry.id)).size).toBe(41);
    expect((await at.books.round(at.script.book)).visits[0]!.level!.readings).toHaveLength(40);
  });

  it('sees what this one wrote', async () => {
    await at.post(level('7.40'));
    const store = await Store.open(at.file);
    const fresh = new Books(store, at.clock, derivation);
    expect((await fresh.view(at.script.book))?.entries.all()).toHaveLength(2);
    await at.post(level('7.402'));
    expect((await fresh.round(at.script.book)).visits[0]!.level?.agreed?.typed.text).toBe('7.402');
    await store.close();
  });
});

it('serves health, session, registers, levels and lists from the tables', async () => {
  await at.postAll([level('7.40'), level('7.40')]);
  const [health, session, people, levels, rounds, today, code] = await Promise.all(
    ['health', 'session', 'people', `points/${wellPoint.id}/levels`, 'rounds', 'today', 'rounds/free-code?date=2026-11-23'].map((path) =>
      at.api.get(`/api/${path}`),
    ),
  );
  expect(health!.body).toMatchObject({ status: 'ok' });
  expect(session!.body).toMatchObject({ me: { person: technician, device: { id: phone } }, now: at.script.now, demo: false, isNew: false });
  expect(people!.body).toMatchObject([{ initials: 'IF' }, { initials: 'RV' }]);
  expect(levels!.body).toMatchObject([{ depth: 7.4, elevation: expect.closeTo(44.94, 9) as number }]);
  expect(rounds!.body).toMatchObject([{ id: at.script.book, code: '261123A', closed: false, overview: { next: { room: 'purge' } } }]);
  expect(today!.body).toMatchObject({ rounds: [{ code: '261123A' }], bottles: { count: 0, first: [] } });
  expect(code!.body).toEqual({ code: '261123B' });
});

it('lists page by page, and finds by name or code', async () => {
  const things = Array.from({ length: 25 }, (_, index) => ({
    ...tapPoint,
    id: idOf(200 + index),
    code: `T${String(index).padStart(2, '0')}`,
    name: `Tap ${String(index).padStart(2, '0')} 100%`,
  }));
  const pen = { author: technician.id, device: phone, now: at.script.now, offset: 0 };
  await at.postAll(things.map((thing) => writeEntry({ ...pen, book: thing.id }, pointRegistered, thing)));
  const names = async (query: string) =>
    ((await at.api.get(`/api/points?${query}`)).body as { name: string; id: string }[]).map(({ name }) => name);
  const first = (await at.api.get('/api/points?limit=20')).body as { id: string }[];
  expect(await names(`limit=20&after=${first.at(-1)!.id}`)).toHaveLength(7);
  expect(await names('search=t07')).toEqual(['Tap 07 100%']);
  expect(await names('search=100%25')).toHaveLength(25);
  expect(await names('search=_ap')).toEqual([]);
  expect((await at.api.get('/api/points?limit=9999')).status).toBe(422);
});

it('describes itself: every route and every kind of entry', async () => {
  const { body } = (await at.api.get('/api/openapi.json')) as {
    body: { openapi: string; paths: Record<string, unknown>; components: { schemas: Record<string, { properties?: object }> } };
  };
  expect(body.openapi).toBe('3.1.0');
  for (const path of ['/api/books/{book}/entries', '/api/entries', '/api/books/{book}/export', '/api/today'])
    expect(body.paths).toHaveProperty([path]);
  expect(body.components.schemas['payload-level-read']?.properties).toHaveProperty('depth');
});

it('has no way to move the clock outside the demo', async () => {
  expect((await at.api.post('/api/demo/clock').send({ seconds: 60 })).status).toBe(404);
});

it('hands a book out whole, with its head', async () => {
  await at.post(level());
  const answer = await at.api.get(`/api/books/${at.script.book}/export`);
  const file = answer.body as { head: { count: number; hash: string }; entries: BookEntry[] };
  expect(answer.headers['content-disposition']).toContain('261123A.book.json');
  expect(file.head).toEqual({ count: 2, hash: file.entries[1]!.hash });
  expect((await at.api.get(`/api/books/${newId(0)}/export`)).status).toBe(404);
});
