import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeEntry, type BookEntry, type Entry, type Misfit } from '@fonte/core/book';
import { server } from '@fonte/core/roles';
import type { IntakeAnswer, IntakeRequest } from '@fonte/core/lab';
import { deviceRegistered, labRegistered, personRegistered, pointRegistered, type Person } from '@fonte/core/registers';
import { pino } from 'pino';
import supertest from 'supertest';
import { expect } from 'vitest';
import { coordinator, idOf, lab, phone, Script, tapPoint, technician, wellPoint } from '../../core/test/script.ts';
import { deviceOf, signed } from '../../core/test/keys.ts';
import { digestOf } from '../src/access/secrets.ts';
import { cookieName } from '../src/access/sessions.ts';
import { createApp, type AppOptions } from '../src/app/app.ts';
import { derivation } from '../src/app/rooms.ts';
import { Books } from '../src/book/books.ts';
import { ensureDerived } from '../src/book/rebuild.ts';
import type { LabDesk, LabReport } from '../src/lab/desk.ts';
import { FileReader } from '../src/read/reader.ts';
import { Store } from '../src/store/index.ts';
import { held } from './contract.ts';

/** A lab's desk for tests: refuses what it is told to, and hands out the CSV it is given. */
export class PaperDesk implements LabDesk {
  refuse: Record<string, string> = {};
  csv: string | null = null;
  asked: IntakeRequest[] = [];

  takeIn(request: IntakeRequest): Promise<IntakeAnswer> {
    this.asked.push(request);
    return Promise.resolve({
      reference: 'L-1',
      bottles: request.bottles.map(({ bottle }) => {
        const reason = this.refuse[bottle];
        return reason ? { bottle, accepted: false, reason } : { bottle, accepted: true };
      }),
    });
  }

  report(): Promise<LabReport | null> {
    return Promise.resolve(this.csv === null ? null : { name: 'L-1.csv', bytes: new TextEncoder().encode(this.csv) });
  }
}

/** Another device of the same two people. */
export const tablet = idOf(8);

/** The entries that register two people, their two devices, the lab and two points. */
export function registrations(now: number): Entry[] {
  const at = (book: string, author: string) => ({ book, author, device: author === server ? server : phone, now, offset: 0 });
  return [
    ...[technician, coordinator].map((person) => writeEntry(at(person.id, server), personRegistered, person)),
    ...[phone, tablet].map((id) =>
      writeEntry(at(id, server), deviceRegistered, deviceOf(id, id === phone ? 'Phone' : 'Tablet', [technician, coordinator])),
    ),
    writeEntry(at(lab.id, coordinator.id), labRegistered, lab),
    ...[wellPoint, tapPoint].map((point) => writeEntry(at(point.id, coordinator.id), pointRegistered, point)),
  ];
}

/** Where a test keeps its database. */
export const freshFile = (): string => join(mkdtempSync(join(tmpdir(), 'fonte-')), 'test.sqlite');

/** What the server says of an entry it took. */
export interface Told {
  entry: BookEntry;
  aside: Misfit | null;
}

/** A server without a network over a fresh database, with a planned round in it. */
export async function bench(options: AppOptions = {}) {
  const script = new Script();
  const file = freshFile();
  const faults: string[] = [];
  const store = await Store.open(file, { onFault: (fault) => faults.push(fault.code), now: () => script.now });
  const clock = () => script.now;
  await ensureDerived(store, derivation);
  const books = new Books(store, clock, derivation);
  const reader = new FileReader();
  const desk = new PaperDesk();
  const services = {
    store,
    books,
    reader,
    clock,
    desks: new Map([[lab.id, desk]]),
    log: pino({ level: 'silent' }),
    setUpCode: { value: null as string | null },
    demo: null,
  };
  await books.appendOwn(...registrations(script.now));
  const broken: string[] = [];
  const app = held(createApp(services, options), services, broken);
  /** Whoever is not signed in. */
  const nobody = supertest(app);
  /** A session of a person on the phone, as signing in would have opened it. */
  const as = async (person: Person, device: string | null = phone, scope: { round: string } | null = null) => {
    const token = `${person.id} ${device} ${scope?.round}`.replaceAll(' ', '_').slice(0, 100);
    const values = [
      digestOf(token),
      person.id,
      device,
      script.now,
      script.now,
      JSON.stringify({ [person.id]: script.now }),
      scope && JSON.stringify(scope),
      'test',
    ];
    await store.write((query) => query('INSERT OR REPLACE INTO sessions VALUES (?, ?, ?, ?, ?, ?, ?, ?)', values));
    const agent = supertest.agent(app);
    void agent.set('cookie', `${cookieName}=${token}`);
    return agent;
  };
  const api = await as(technician);
  const sealed = (entry: object) => ('kind' in entry && 'device' in entry && !('signature' in entry) ? signed(entry as Entry) : entry);
  const post = (entry: object, book = script.book) => api.post(`/api/books/${book}/entries`).send(sealed(entry));
  const postAll = async (entries: readonly object[]) =>
    ((await api.post('/api/entries').send({ entries: entries.map(sealed) })).body as { results: (Told & { status: number })[] }).results;
  const entries = async () =>
    (await api.get(`/api/books/${script.book}/entries`)).body as (BookEntry & { payload: Record<string, unknown> })[];
  const close = async () => {
    await reader.stop();
    await store.close();
    expect(broken, 'answers that are not what their endpoints promise').toEqual([]);
  };
  script.plan();
  await post(script.entries[0]!);
  return { script, store, books, services, desk, app, api, as, nobody, post, postAll, entries, file, faults, clock, close };
}

export type Bench = Awaited<ReturnType<typeof bench>>;
