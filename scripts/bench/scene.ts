import { createHash } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newId, writeEntry, type Entry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { roundPlanned } from '@fonte/core/plan';
import { purgeReading, purgeSetUp } from '@fonte/core/purge';
import { deviceRegistered, labRegistered, personRegistered, pointRegistered, type WellPoint } from '@fonte/core/registers';
import { editionsOn, kindOf } from '@fonte/core/round';
import { Books, derivation, Store } from '@fonte/server';
import { deviceOf, signed } from '../../core/test/keys.ts';
import { root } from '../../e2e/harness.ts';
import { coordinator, lab, phone, Script, tapPoint, technician, wellPoint } from '../../core/test/script.ts';

export const freshFile = (): string => join(mkdtempSync(join(tmpdir(), 'fonte-bench-')), 'bench.sqlite');

/** Monday 23 November 2026. */
export const morning = Date.UTC(2026, 10, 23, 10, 0);

const pen = (book: string, author: string) => ({ book, author, device: phone, now: morning, offset: -60 });
const own = (book: string) => ({
  ...pen(book, '00000000-0000-0000-0000-000000000000'),
  device: '00000000-0000-0000-0000-000000000000',
  offset: 0,
});

/** A fresh database with people, a lab and two points, and its books. */
export async function scene(file = freshFile()) {
  const store = await Store.open(file);
  const books = new Books(store, () => Date.now(), derivation);
  await books.appendOwn(
    ...[technician, coordinator].map((person) => writeEntry(own(person.id), personRegistered, person)),
    writeEntry(own(phone), deviceRegistered, deviceOf(phone, 'Phone', [technician, coordinator])),
    writeEntry(pen(lab.id, coordinator.id), labRegistered, lab),
    ...[wellPoint, tapPoint].map((point) => writeEntry(pen(point.id, coordinator.id), pointRegistered, point)),
  );
  return { file, store, books };
}

/** An entry as a device sends it: its payload as the schema has it, and signed. */
export function sealed(entry: Entry): Entry {
  return signed({ ...entry, payload: kindOf(entry.kind)!.payload.parse(entry.payload) });
}

/** A session of the technician in a database, as the cookie that a request carries. */
export async function cookieIn(store: Store): Promise<string> {
  const id = createHash('sha256').update('bench').digest('hex');
  const values = [id, technician.id, phone, Date.now(), Date.now(), '{}', null, 'bench'];
  await store.write((query) => query('INSERT OR REPLACE INTO sessions VALUES (?, ?, ?, ?, ?, ?, ?, ?)', values));
  return 'fonte-session=bench';
}

const set = (pumped: number) => ({
  pumped: { text: String(pumped), unit: 'L' as const },
  values: {
    temperature: { text: '16.1', unit: 'degC' as const },
    ph: { text: '6.92', unit: 'pH' as const },
    conductivity: { text: '572', unit: 'uS/cm' as const },
    oxygen: { text: '3.51', unit: 'mg/L' as const },
    turbidity: { text: '8.2', unit: 'NTU' as const },
  },
});

/** One more set of five readings. */
export const nextSet = (script: Script): Entry => script.atWell(purgeReading, set(script.entries.length), 0.02);

/** A round's book of so many entries: two levels, a set-up, then sets of five readings. */
export function longBook(size: number, code = '261123A', by?: { person: string; device: string }): Script {
  const script = new Script(by?.device, by?.person);
  if (by) script.now = Date.now() - 86_400_000;
  script.plan([], { code, lab: by ? null : lab, ...(by ? { visits: [{ id: script.well, point: wellPoint, analyses: [] }] } : {}) });
  const depth = { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
  script.atWell(levelRead, depth);
  script.atWell(levelRead, depth);
  script.atWell(purgeSetUp, {
    method: 'volumes',
    insideDiameter: { text: '52', unit: 'mm' },
    volumes: 3,
    criterion: 'epa-1996@2026-1',
    parameters: ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
  });
  while (script.entries.length < size) nextSet(script);
  return script;
}

/** Appends many entries in requests of 500. @throws Error when one is refused */
export async function fill(books: Books, entries: readonly Entry[]): Promise<void> {
  for (let at = 0; at < entries.length; at += 500)
    for (const outcome of await books.append(null, entries.slice(at, at + 500).map(sealed), null))
      if ('problem' in outcome) throw outcome.problem;
}

/** The plan of a round at one well and one tap; `number` makes its code. */
export function planned(
  number: number,
  points: readonly (typeof wellPoint | typeof tapPoint)[] = [wellPoint, tapPoint],
): { entry: Entry; visits: string[] } {
  const visits = points.map((point) => ({
    id: newId(morning),
    point,
    analyses: point.type === 'tap' ? ['coliforms' as const] : ['general' as const],
  }));
  const entry = writeEntry(pen(newId(morning), technician.id), roundPlanned, {
    name: `Round ${number}`,
    code: `R${number.toString(36).toUpperCase().padStart(6, '0')}`,
    system: 'Marenta',
    date: '2026-11-23',
    zone: 'Atlantic/Azores',
    lab,
    editions: editionsOn('2026-11-23'),
    visits,
  });
  return { entry, visits: visits.map((visit) => visit.id) };
}

/** The registration of one of many wells. */
export function registered(number: number): Entry {
  const id = newId(morning);
  const code = `W${number.toString(36).toUpperCase().padStart(4, '0')}`;
  // Over some tens of kilometres, in a spiral that crowds in the middle.
  const [turn, away] = [number * 2.4, 0.002 * Math.sqrt(number)];
  const position = { latitude: 36.53 + away * Math.sin(turn), longitude: -31.07 + away * Math.cos(turn) };
  const point: WellPoint = { ...wellPoint, id, code, name: `Well ${number}`, position, zone: `Zone ${number % 12}` };
  return writeEntry(pen(id, coordinator.id), pointRegistered, point);
}

interface Plain {
  exec: (sql: string) => void;
  prepare: (sql: string) => { run: (...values: unknown[]) => void };
  close: () => void;
}

/** The least that a durable append can be: one row of the same size, in one transaction that is on the disk. */
export function bareInserts(): { insert: (entry: Entry) => void; close: () => void } {
  const database = new (createRequire(join(root, 'server/package.json'))('libsql') as new (file: string) => Plain)(freshFile());
  database.exec('PRAGMA journal_mode=WAL');
  database.exec('PRAGMA synchronous=FULL');
  database.exec('CREATE TABLE entries (id TEXT PRIMARY KEY, payload TEXT NOT NULL)');
  const statement = database.prepare('INSERT INTO entries VALUES (?, ?)');
  return { insert: (entry) => statement.run(entry.id, JSON.stringify(entry)), close: () => database.close() };
}
