import { accessBook, proofText, sessionLasts, type Account, type Session } from '@fonte/core/access';
import { newId, signEntry, writeEntry, type BookEntry, type Entry } from '@fonte/core/book';
import { handedOver } from '@fonte/core/custody';
import { levelRead } from '@fonte/core/level';
import { analysisAdded, judgedAnew, roundGivenUp } from '@fonte/core/plan';
import { personRegistered, type Device, type Person } from '@fonte/core/registers';
import { roles, server as serverId, type Role } from '@fonte/core/roles';
import { allKinds } from '@fonte/core/round';
import { minute } from '@fonte/core/time';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pairOf, signed, signText } from '../../core/test/keys.ts';
import { coordinator, handing, idOf, phone, technician } from '../../core/test/script.ts';
import { cookieName } from '../src/access/sessions.ts';
import { rooms } from '../src/app/rooms.ts';
import { loadEntries } from '../src/book/codec.ts';
import { serverPen } from '../src/book/books.ts';
import { derivation } from '../src/app/rooms.ts';
import { verifyBooks } from '../src/book/verify.ts';
import { bench, tablet, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const reading = { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
const level = () => at.script.atWell(levelRead, reading);
/** A person of each role, on the phone. */
const personOf = (role: Role): Person =>
  role === 'technician'
    ? technician
    : role === 'coordinator'
      ? coordinator
      : { id: idOf(40 + roles.indexOf(role)), name: `The ${role}`, initials: 'XX', role };

async function registerAll(): Promise<void> {
  const others = roles.map(personOf).filter((person) => person !== technician && person !== coordinator);
  await at.books.appendOwn(...others.map((person) => writeEntry(serverPen(person.id, at.script.now), personRegistered, person)));
  const [row] = await at.store.read<{ data: string }[]>('SELECT data FROM things WHERE id = ?', [phone]);
  const device = JSON.parse(row!.data) as Device;
  const people = [...device.people, ...others.map(({ id }) => ({ person: id, since: '2026-01-01T08:00:00.000Z' }))];
  const kind = (await import('@fonte/core/registers')).deviceRegistered;
  await at.books.appendOwn(writeEntry(serverPen(phone, at.script.now), kind, { ...device, people }));
}

describe('every route', () => {
  const routes = () => rooms.flatMap((room) => room.routes?.(at.services) ?? []);
  const addressOf = (path: string) => path.replace(/:book|:round/, at.script.book).replace(/:[a-zA-Z0-9]+/g, newId(0));

  it('is closed to whoever is not signed in, before anything of the body is read', async () => {
    for (const { endpoint } of routes()) {
      const address = addressOf(endpoint.path);
      const answer = await (endpoint.method === 'GET' ? at.nobody.get(address) : at.nobody.post(address).send({}));
      if (endpoint.by === 'anybody') expect(answer.status, endpoint.path).not.toBe(401);
      else expect([answer.status, answer.type], endpoint.path).toEqual([401, 'application/problem+json']);
    }
  });

  it('is closed to every role that it does not name', async () => {
    await registerAll();
    let closed = 0;
    for (const role of roles) {
      const api = await at.as(personOf(role));
      for (const { endpoint } of routes()) {
        if (endpoint.by === 'anybody' || endpoint.path.startsWith('/api/session')) continue;
        const address = addressOf(endpoint.path);
        const answer = await (endpoint.method === 'GET' ? api.get(address) : api.post(address).send({}));
        const body = answer.body as { type?: string };
        const isClosed = answer.status === 403 && body.type === 'urn:fonte:problem:forbidden';
        if (!endpoint.by.includes(role)) expect(isClosed, `${role} ${endpoint.path}`).toBe(true);
        else if (endpoint.by.length > 1 && !endpoint.path.includes('/kept') && !endpoint.path.includes('/devices/'))
          expect(isClosed, `${role} ${endpoint.path}`).toBe(false);
        if (isClosed) closed += 1;
      }
    }
    expect(closed).toBeGreaterThan(30);
  });

  it('ends with the session: it is signed out, not used for long, or its person has left', async () => {
    const api = await at.as(technician);
    expect((await api.get('/api/rounds')).status).toBe(200);
    expect((await api.post('/api/session/end').send({})).status).toBe(200);
    expect((await api.get('/api/rounds')).status).toBe(401);
    const again = await at.as(technician);
    at.script.now += sessionLasts + minute;
    expect((await again.get('/api/rounds')).status).toBe(401);
    const fresh = await at.as(technician);
    const left = { at: new Date(at.script.now).toISOString(), reason: 'works elsewhere' };
    await at.books.appendOwn(writeEntry(serverPen(technician.id, at.script.now), personRegistered, { ...technician, left }));
    expect((await fresh.get('/api/rounds')).status).toBe(401);
  });

  it('has a cookie of its own for each port of a host: two servers share none', async () => {
    const cookie = (name: string) => `${name}=${technician.id}_${phone}_undefined`;
    const ask = (host: string, name: string) => at.nobody.get('/api/rounds').set('host', host).set('cookie', cookie(name));
    expect((await ask('127.0.0.1:3000', `${cookieName}-3000`)).status).toBe(200);
    expect((await ask('127.0.0.1:4000', `${cookieName}-3000`)).status).toBe(401);
    // One that was opened before cookies said their port is good until it ends.
    expect((await ask('127.0.0.1:4000', cookieName)).status).toBe(200);
  });

  it('does not answer a page of another site, whatever cookie it has', async () => {
    const cookie = `${cookieName}=${technician.id}_${phone}_undefined`;
    expect((await at.nobody.get('/api/rounds').set('cookie', cookie)).status).toBe(200);
    for (const origin of ['https://evil.example', 'null'])
      expect((await at.nobody.get('/api/rounds').set('cookie', cookie).set('origin', origin)).status).toBe(403);
    const cross = at.nobody.post(`/api/books/${at.script.book}/entries`).set('cookie', cookie).set('sec-fetch-site', 'cross-site');
    expect((await cross.send(signed(level()))).status).toBe(403);
    expect(await at.entries()).toHaveLength(1);
  });
});

describe('every kind of entry', () => {
  it('is taken from the roles that it names and from no other', async () => {
    await registerAll();
    for (const kind of allKinds)
      for (const role of roles) {
        const entry: Entry = {
          ...level(),
          id: newId(at.script.now),
          kind: kind.kind,
          version: kind.version,
          author: personOf(role).id,
          payload: {},
        };
        const placed = { ...entry, visit: kind.stands === 'at-visit' ? at.script.well : null, version: 1000 };
        const answer = await at.post(placed);
        const told = JSON.stringify(answer.body);
        const isForRole = kind.madeBy === 'device' && kind.by.includes(role);
        if (!isForRole) expect(answer.status, `${role} ${kind.kind} ${told}`).toBe(403);
        else expect(told, `${role} ${kind.kind}`).not.toContain('Not for the role');
      }
  });

  it('carries the author that signed it: another name, another word, another key are no signature', async () => {
    const entry = signed(level());
    const status = async (sent: object) => (await at.post(sent)).status;
    expect(await status({ ...entry, author: coordinator.id })).toBe(403);
    expect(await status({ ...entry, payload: { ...reading, depth: { text: '7.41', unit: 'm' } } })).toBe(403);
    expect(await status({ ...entry, at: { ...entry.at, utc: '2026-11-23T09:00:00.000Z' } })).toBe(403);
    expect(await status({ ...entry, device: tablet })).toBe(403);
    expect(await status(signed(level(), tablet))).toBe(403);
    expect(await status({ ...level(), signature: { key: entry.signature!.key, value: 'A'.repeat(86) } })).toBe(403);
    expect(await status({ ...level(), signature: undefined })).toBe(403);
    expect(await status(entry)).toBe(201);
    expect(await status({ ...entry, book: at.script.book })).toBe(200);
    expect(await at.entries()).toHaveLength(2);
  });

  it('of somebody who was never signed in on the device is not taken, whoever hands it in', async () => {
    const stranger: Person = { id: idOf(70), name: 'Stranger', initials: 'S', role: 'technician' };
    await at.books.appendOwn(writeEntry(serverPen(stranger.id, at.script.now), personRegistered, stranger));
    const answer = await at.post({ ...level(), author: stranger.id });
    expect([answer.status, (answer.body as { type: string }).type]).toEqual([403, 'urn:fonte:problem:not-signed-in']);
  });

  it('stays its author’s when a colleague hands it in', async () => {
    const theirs = signed(level());
    const colleague = await at.as(coordinator, tablet);
    const answer = await colleague.post('/api/entries').send({ entries: [theirs] });
    expect((answer.body as { results: { entry: BookEntry }[] }).results[0]!.entry).toMatchObject({ author: technician.id, device: phone });
  });

  it('is replayed into its own book only', async () => {
    const entry = signed(level());
    await at.post(entry);
    const book = newId(at.script.now);
    const twin = {
      ...at.script.entries[0]!,
      id: newId(at.script.now),
      book,
      payload: { ...(at.script.entries[0]!.payload as object), code: 'TWIN' },
    };
    await at.post(twin, book);
    expect((await at.post({ ...entry, book }, book)).status).toBe(409);
    expect((await at.post({ ...entry, book, id: newId(at.script.now) }, book)).status).toBe(403);
  });
});

describe('a lost device', () => {
  it('is signed out, and what it sends later stands aside until somebody says that it holds', async () => {
    const before = signed(level());
    await at.post(before);
    const boss = await at.as(coordinator, tablet);
    const moment = new Date(at.script.now).toISOString();
    expect((await boss.post(`/api/devices/${phone}/revoke`).send({ at: moment, reason: 'left on the ferry' })).status).toBe(200);
    expect((await at.api.get('/api/rounds')).status).toBe(401);
    const late = signed(level());
    const [told] = (
      (await boss.post('/api/entries').send({ entries: [late] })).body as { results: { status: number; aside: { code: string } }[] }
    ).results;
    expect(told).toMatchObject({ status: 201, aside: { code: 'device-revoked' }, entry: { doubt: 'device-revoked' } });
    expect((await at.books.round(at.script.book)).visits[0]!.level!.readings).toHaveLength(1);
    const holds = { ...at.script.strike(late, 'she wrote it before the ferry'), author: coordinator.id, device: tablet };
    const correction = signed({ ...holds, payload: { ...(holds.payload as object), instead: { holds: true } } });
    const [taken] = ((await boss.post('/api/entries').send({ entries: [correction] })).body as { results: { aside: null }[] }).results;
    expect(taken).toMatchObject({ status: 201, aside: null });
    expect((await at.books.round(at.script.book)).visits[0]!.level!.readings).toHaveLength(2);
    // Also of a kind in whose place nothing else may be put.
    const added = signed(at.script.atTap(analysisAdded, { analysis: 'nutrients' }));
    await boss.post('/api/entries').send({ entries: [added] });
    const so = { ...at.script.strike(added, 'she said so'), author: coordinator.id, device: tablet };
    const word = signed({ ...so, payload: { ...(so.payload as object), instead: { holds: true } } });
    const [heard] = ((await boss.post('/api/entries').send({ entries: [word] })).body as { results: { aside: null }[] }).results;
    expect(heard).toMatchObject({ status: 201, aside: null });
    expect((await at.books.round(at.script.book)).visits.flatMap(({ analyses }) => analyses)).toContain('nutrients');
    // Nobody doubts the first one.
    const needless = { ...at.script.strike(before, 'to be sure'), author: coordinator.id, device: tablet };
    const odd = signed({ ...needless, payload: { ...(needless.payload as object), instead: { holds: true } } });
    const [aside] = ((await boss.post('/api/entries').send({ entries: [odd] })).body as { results: { aside: object }[] }).results;
    expect(aside).toMatchObject({ aside: { code: 'not-doubted' } });
    expect((await boss.post(`/api/devices/${phone}/revoke`).send({ at: moment, reason: 'again' })).status).toBe(409);
  });

  it('is reported by its own people or a coordinator, not from the future', async () => {
    const later = new Date(at.script.now + minute).toISOString();
    expect((await at.api.post(`/api/devices/${phone}/revoke`).send({ at: later, reason: 'lost' })).status).toBe(422);
    await registerAll();
    const reader = await at.as(personOf('reader'), tablet);
    expect((await reader.post(`/api/devices/${tablet}/name`).send({ name: 'Mine' })).status).toBe(403);
    expect((await at.api.post(`/api/devices/${tablet}/name`).send({ name: ' ' })).status).toBe(422);
    expect((await at.api.post(`/api/devices/${tablet}/name`).send({ name: 'White van' })).body).toMatchObject({ name: 'White van' });
    expect((await reader.post(`/api/devices/${tablet}/revoke`).send({ at: new Date(0).toISOString(), reason: 'mischief' })).status).toBe(
      403,
    );
  });
});

describe('coming in', () => {
  const passphrase = 'a well in wet grass';
  const challengeOf = async () => ((await at.nobody.get('/api/session/challenge')).body as { challenge: string }).challenge;
  const invited = async (person: Person) => {
    const boss = await at.as(coordinator);
    const { token } = (await boss.post(`/api/people/${person.id}/invitation`).send({})).body as { token: string };
    return token;
  };
  const signIn = (name: string, secret: string) => at.nobody.post('/api/session').send({ name, passphrase: secret });

  it('begins with the code on the console, which lets one in and never again', async () => {
    at.services.setUpCode.value = 'ABCD-EFGH-JKLM';
    const setUp = (code: string) => at.nobody.post('/api/session/set-up').send({ code, name: 'Marta Leal', initials: 'ML', passphrase });
    expect((await setUp('ABCD-EFGH-JKLN')).status).toBe(403);
    const first = await setUp('abcd efgh jklm');
    expect([first.status, (first.body as Session).me?.person.role]).toEqual([200, 'coordinator']);
    expect(first.headers['set-cookie']![0]).toMatch(/HttpOnly; SameSite=Strict/);
    expect((await setUp('ABCD-EFGH-JKLM')).status).toBe(409);
  });

  it('goes by a link, once, and then by name and passphrase', async () => {
    const token = await invited(technician);
    expect((await at.nobody.post('/api/invitation').send({ token })).body).toMatchObject({ name: technician.name, role: 'technician' });
    expect((await at.nobody.post('/api/join').send({ token, passphrase: 'too short' })).status).toBe(422);
    expect((await at.nobody.post('/api/join').send({ token, passphrase })).status).toBe(200);
    expect((await at.nobody.post('/api/join').send({ token, passphrase })).status).toBe(404);
    expect((await signIn(' inês  FARIA ', passphrase)).status).toBe(200);
  });

  it('by a second link changes the passphrase and signs everybody out who knew the first; a name that is taken leaves the link good', async () => {
    await at.nobody.post('/api/join').send({ token: await invited(technician), passphrase });
    const mine = await at.as(technician);
    await at.nobody.post('/api/join').send({ token: await invited(technician), passphrase: 'another one altogether' });
    expect((await mine.get('/api/rounds')).status).toBe(401);
    expect((await signIn(technician.name, passphrase)).status).toBe(403);
    const twin: Person = { id: idOf(71), name: 'INÊS faria', initials: 'I2', role: 'technician' };
    await at.books.appendOwn(writeEntry(serverPen(twin.id, at.script.now), personRegistered, twin));
    const token = await invited(twin);
    expect((await at.nobody.post('/api/join').send({ token, passphrase })).status).toBe(409);
    expect((await at.nobody.post('/api/invitation').send({ token })).status).toBe(200);
    expect((await signIn(technician.name, 'another one altogether')).status).toBe(200);
  });

  it('tells nobody whether a name exists, and takes longer after each failure', async () => {
    await at.nobody.post('/api/join').send({ token: await invited(technician), passphrase });
    const [known, unknown] = [await signIn(technician.name, 'not the passphrase'), await signIn('Nobody Atall', 'not the passphrase')];
    expect([known.status, known.body]).toEqual([unknown.status, unknown.body]);
    for (const name of [technician.name, 'Nobody Atall']) {
      await signIn(name, 'wrong');
      expect((await signIn(name, 'wrong')).status).toBe(403);
      // Not even the right one, for a while.
      expect((await signIn(name, passphrase)).status, name).toBe(429);
    }
    at.script.now += minute;
    expect((await signIn(technician.name, passphrase)).status).toBe(200);
    // Many at once are no way around the wait.
    const guesses = await Promise.all(Array.from({ length: 12 }, () => signIn(technician.name, 'guess')));
    expect(guesses.filter(({ status }) => status === 403)).toHaveLength(3);
  });

  it('is written down in a book of its own, without what was typed, and only coordinators and readers read it', async () => {
    await signIn('Mistyped Passphrase Here', passphrase);
    const boss = await at.as(coordinator);
    const entries = (await boss.get(`/api/books/${accessBook}/entries`)).body as BookEntry[];
    expect(entries).toMatchObject([{ payload: { event: 'sign-in-failed', person: null, how: 'no such name' } }]);
    expect(JSON.stringify(entries)).not.toContain('Mistyped');
    expect((await at.api.get(`/api/books/${accessBook}/entries`)).status).toBe(403);
    expect((await at.api.get(`/api/books/${accessBook}/export`)).status).toBe(403);
    const forged = writeEntry({ ...serverPen(accessBook, at.script.now), author: coordinator.id, device: phone }, levelRead, reading);
    expect((await at.post(forged, accessBook)).status).not.toBe(201);
  });

  it('on a device needs the proof that it holds its key', async () => {
    const api = await at.as(technician, null);
    const id = newId(at.script.now);
    const show = async (by: string, about = technician.id, text?: string) => {
      const fresh = text ?? (await challengeOf());
      const proof = signText(by, proofText('device', id, about, fresh));
      return api
        .post('/api/session/device')
        .send({ id, name: 'New phone', key: pairOf(by === tablet ? tablet : id).key, challenge: fresh, proof });
    };
    expect((await show(phone)).status).toBe(403);
    expect((await show(id, coordinator.id)).status).toBe(403);
    const used = await challengeOf();
    expect(((await show(id, technician.id, used)).body as Session).me?.device).toMatchObject({ id, people: [{ person: technician.id }] });
    expect((await show(tablet)).status).toBe(409);
    // What was shown once is worth nothing again, nor what is minutes old, nor what the server never made.
    const codeOf = async (text: string) => ((await show(id, technician.id, text)).body as { type: string }).type;
    expect(await codeOf(used)).toBe('urn:fonte:problem:stale-proof');
    const old = await challengeOf();
    const real = performance.now();
    vi.spyOn(performance, 'now').mockReturnValue(real + 6 * minute);
    expect(await codeOf(old)).toBe('urn:fonte:problem:stale-proof');
    vi.restoreAllMocks();
    // The clock of the demo is moved on by hand.
    const fresh = await challengeOf();
    at.script.now += 6 * minute;
    expect(await codeOf(fresh)).toBeUndefined();
    expect(await codeOf('zzzzzzzz.AAAA.AAAA')).toBe('urn:fonte:problem:stale-proof');
  });

  it('on yet another device ends where a person has more than anybody has', async () => {
    const api = await at.as(technician, null);
    const statuses = [];
    for (let number = 0; number < 32; number += 1) {
      const id = newId(at.script.now + number);
      const challenge = await challengeOf();
      const proof = signText(id, proofText('device', id, technician.id, challenge));
      statuses.push((await api.post('/api/session/device').send({ id, name: 'Phone', key: pairOf(id).key, challenge, proof })).status);
    }
    expect([statuses[0], statuses.at(-1)]).toEqual([200, 409]);
  });

  it.each(['aaaaaaaaaaaa', 'password1234', 'qwertyuiop12', 'abcdefghijkl', 'passwordpassword'])(
    'takes no passphrase like %s',
    async (passphrase) => {
      const answer = await at.nobody.post('/api/join').send({ token: await invited(technician), passphrase });
      expect([answer.status, (answer.body as { errors: { path: string }[] }).errors[0]?.path]).toEqual([422, 'passphrase']);
    },
  );

  it('is not held up on a device of one’s own by others who know the name', async () => {
    await at.nobody.post('/api/join').send({ token: await invited(technician), passphrase });
    for (let time = 0; time < 5; time += 1) await signIn(technician.name, 'not the passphrase');
    expect((await signIn(technician.name, passphrase)).status).toBe(429);
    const challenge = await challengeOf();
    const known = { device: phone, challenge, proof: signText(phone, proofText('sign-in', phone, 'sign-in', challenge)) };
    expect((await at.nobody.post('/api/session').send({ name: technician.name, passphrase, known })).status).toBe(200);
    expect((await at.nobody.post('/api/session').send({ name: technician.name, passphrase, known })).status).toBe(429);
  });

  it('writes down the first of many failures, the tenth and the hundredth', async () => {
    for (let time = 0; time < 12; time += 1) {
      await signIn(`Nobody ${time}`, 'not the passphrase');
      at.script.now += 20 * minute;
    }
    const boss = await at.as(coordinator);
    const entries = (await boss.get(`/api/books/${accessBook}/entries`)).body as BookEntry[];
    const failed = entries.filter(({ payload }) => (payload as { event: string }).event === 'sign-in-failed');
    expect(failed.map(({ payload }) => (payload as { how: string }).how)).toEqual(['no such name', 'no such name, 10 times']);
  });

  it('by PIN is what the device itself says, of people that it knows', async () => {
    const change = async (person: string, by: string) => {
      const challenge = await challengeOf();
      return at.api
        .post('/api/session/person')
        .send({ person, challenge, proof: signText(by, proofText('person', phone, person, challenge)) });
    };
    expect((await change(coordinator.id, tablet)).status).toBe(403);
    expect((await change(idOf(70), phone)).status).toBe(404);
    const changed = await change(coordinator.id, phone);
    expect((changed.body as Session).me).toMatchObject({ person: coordinator, provenAt: 0 });
    // Whoever came by PIN lets nobody else in before the passphrase is typed.
    const answer = await at.api.post(`/api/people/${technician.id}/invitation`).send({});
    expect([answer.status, (answer.body as { type: string }).type]).toEqual([403, 'urn:fonte:problem:prove-again']);
  });

  it('as another person of the demo is no way in production', async () => {
    expect((await at.nobody.post('/api/demo/person').send({ person: coordinator.id })).status).toBe(404);
  });
});

describe('a person who leaves', () => {
  const end = async () => {
    const boss = await at.as(coordinator, tablet);
    expect((await boss.post(`/api/people/${technician.id}/end`).send({ reason: 'works elsewhere' })).status).toBe(200);
    return boss;
  };

  it('is out everywhere at once; what comes later stands aside', async () => {
    const boss = await end();
    expect((await at.api.get('/api/rounds')).status).toBe(401);
    const [told] = ((await boss.post('/api/entries').send({ entries: [signed(level())] })).body as { results: object[] }).results;
    expect(told).toMatchObject({ status: 201, aside: { code: 'person-left' } });
    const accounts = (await boss.get('/api/accounts')).body as Account[];
    expect(accounts.find(({ person }) => person === technician.id)).toMatchObject({ state: 'ended', sessions: 0 });
  });

  it('is told all that is kept, and can be made unreadable: no name is left, and every chain holds', async () => {
    await at.post(level());
    const drawn = [[100, 200, 300, 100, 500, 250]];
    const filled = at.script.write(handedOver, handing(['261123A-MW3-G'], { signed: { name: technician.name, drawn } }));
    await at.post(filled);
    const kept = (await at.api.get(`/api/people/${technician.id}/kept`)).text;
    expect(JSON.parse(kept)).toMatchObject({
      person: technician,
      entriesWritten: [{ book: at.script.book, entries: 3 }],
      handOversNaming: [{ seq: 3 }],
    });
    expect((await at.api.get(`/api/people/${coordinator.id}/kept`)).status).toBe(403);
    const boss = await end();
    expect((await boss.post(`/api/people/${technician.id}/unreadable`).send({ initials: 'I. F.' })).status).toBe(422);
    expect((await boss.post(`/api/people/${technician.id}/unreadable`).send({ initials: 'IF' })).body).toEqual({ entries: 3 });
    const everything = await at.store.read<object[]>('SELECT * FROM entries');
    expect(JSON.stringify(everything)).not.toContain(technician.name);
    expect(JSON.stringify(await at.store.read('SELECT * FROM things'))).not.toContain(technician.name);
    const faults: unknown[] = [];
    for await (const book of verifyBooks(at.store, derivation)) faults.push(...book.faults);
    expect(faults).toEqual([]);
    expect((await loadEntries(at.store, at.script.book))[2]).toMatchObject({
      payload: { from: { name: 'IF' }, signed: { name: 'IF' }, takenBy: 'Desk' },
    });
    expect(JSON.stringify(everything)).not.toContain('drawn');
    // A copy that comes late says what it said, and is known all the same.
    expect((await boss.post('/api/entries').send({ entries: [signed(filled)] })).body).toMatchObject({ results: [{ status: 200 }] });
  });

  it('takes a name away only by the record: an entry that lost its salt otherwise is found out', async () => {
    await at.post(level());
    await at.store.write((query) =>
      query(`UPDATE entries SET payload = replace(payload, '7.40', '9.40'), salt = NULL WHERE book = ? AND seq = 2`, [at.script.book]),
    );
    const faults: { what: string }[] = [];
    for await (const book of verifyBooks(at.store, derivation)) faults.push(...book.faults);
    expect(faults.map(({ what }) => what)).toContain('what it says was changed');
    await expect(at.store.write((query) => query(`UPDATE entries SET author = ? WHERE seq = 2`, [serverId]))).rejects.toThrow();
  });
});

describe('a book that was handed out', () => {
  it('takes many at once, and of them refuses the one that somebody else signed and the one that was signed for another', async () => {
    const sealed = Array.from({ length: 24 }, () => signed(at.script.make(levelRead, reading, at.script.well)));
    const [other, borrowed] = [sealed[6]!, sealed[17]!];
    sealed[6] = { ...other, signature: { ...other.signature!, value: signText('somebody else', 'anything') } };
    sealed[17] = { ...borrowed, signature: sealed[18]!.signature! };
    const outcomes = await at.books.append(null, sealed, null);
    expect(outcomes.flatMap((one, place) => ('problem' in one ? [[place, one.problem.status, one.problem.code]] : []))).toEqual([
      [6, 403, 'forged'],
      [17, 403, 'forged'],
    ]);
    expect(outcomes.filter((one) => 'entry' in one)).toHaveLength(22);
  });

  it('proves its authors without the server: a forged entry with a hash of its own is found out', async () => {
    await at.post(level());
    await at.post(at.script.write(roundGivenUp, { reason: 'storm' }));
    const { verifyFile } = await import('../src/book/export.ts');
    const text = (await at.api.get(`/api/books/${at.script.book}/export`)).text;
    const good = await verifyFile(text, null);
    expect([good.signatures, good.breaks]).toMatchObject([{ signed: 3, byServer: 0, unsigned: 0, faults: [] }, []]);
    // Whoever holds the server can hash anew, but signs with no device's key.
    const file = JSON.parse(text) as { entries: BookEntry[]; devices: Device[]; head: object };
    const { chained } = await import('@fonte/core/book');
    const forge = async (change: (entry: BookEntry) => Entry | Promise<Entry>) => {
      const entries: BookEntry[] = [];
      for (const entry of file.entries) {
        const last = entries.at(-1);
        entries.push(chained(entry.seq === 2 ? await change(entry) : entry, last ? { count: last.seq, hash: last.hash } : null, entry));
      }
      const { seq: count, hash } = entries.at(-1)!;
      const { breaks, signatures } = await verifyFile(JSON.stringify({ ...file, entries, head: { count, hash } }), null);
      return [breaks, signatures.faults.map(({ code }) => code)];
    };
    const otherWords = { ...reading, depth: { text: '9.40', unit: 'm' } };
    expect(await forge((entry) => ({ ...entry, payload: otherWords }))).toEqual([[], ['forged']]);
    expect(await forge(({ signature: _, ...entry }) => ({ ...entry, payload: otherWords }))).toEqual([[], ['unsigned']]);
    expect(
      await forge((entry) =>
        signEntry({ ...entry, payload: otherWords, salt: entry.salt! }, pairOf('mine').key, (said) => signText('mine', said)),
      ),
    ).toEqual([[], ['other-key']]);
    expect(await forge((entry) => signed({ ...entry, author: idOf(77) }))).toEqual([[], ['not-signed-in']]);
    const without = await verifyFile(JSON.stringify({ ...file, devices: [] }), null);
    expect(without.signatures.faults.map(({ code }) => code)).toEqual(['unknown-device', 'unknown-device', 'unknown-device']);
  });

  it('of the server’s own acts says so', async () => {
    expect(judgedAnew.madeBy).toBe('device');
    const entries = await loadEntries(at.store, technician.id);
    const { checkSignatures } = await import('@fonte/core/book');
    expect(
      await checkSignatures(
        entries,
        () => null,
        () => null,
        () => false,
      ),
    ).toMatchObject({ byServer: 1, signed: 0, faults: [] });
  });
});
