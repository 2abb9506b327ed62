import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { canonicalJson, findUnsound, readPayload, upgraded, type AnyKind, type BookEntry } from '@fonte/core/book';
import { refOfOwnSet, type OwnLimitSet } from '@fonte/core/registers';
import { allKinds, editionsOn } from '@fonte/core/round';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { payloadOf } from '../../core/test/payloads.ts';
import { idOf, lab, tapPoint, wellPoint } from '../../core/test/script.ts';

/*
 * One payload of every kind of entry in every version of it, as it was written, and what this copy of the product made of it. It lies in
 * users' databases so: a kind or schema that changes later must still read it, and make the same of it. FONTE_SAVE=1 adds what is missing,
 * out of a saved book where one has it; what is there is never written again.
 */
const file = fileURLToPath(new URL('kinds/payloads.json', import.meta.url));
const books = fileURLToPath(new URL('saved/', import.meta.url));

interface Saved {
  payload: unknown;
  /** The version that was the present one when it was saved, and what the payload was in it. */
  present: { version: number; payload: unknown };
}

/** A lab and a point as they were before they had a place. */
const { cutOffs: _, dropOffs: __, paper: ___, closedDays: ____, ...firstLab } = { ...lab, bacteriaCloses: { 3: '14:30', 5: null } };
const firstPoint = {
  id: idOf(80),
  code: 'MW9',
  name: 'Tannery 9',
  place: 'Lomba Velha',
  use: 'monitoring',
  access: '',
  type: 'well',
  well: { measuringPoints: [{ name: 'North rim' }] },
};
const { limits } = editionsOn('2026-11-23');
const of = (versions: readonly number[], kind: string, payload: unknown) =>
  Object.fromEntries(versions.map((version) => [`${kind}@${version}`, payload]));

const permit: OwnLimitSet = {
  id: idOf(92),
  name: 'Permit',
  base: limits[0],
  rows: [{ parameter: 'fluoride', kind: 'health', most: 1, unit: 'mg/L', place: '§ 4' }],
  source: 'Permit 12',
};
const ofPermit = { limits: [refOfOwnSet(permit)], ownLimits: [permit] };

/** What luck does not make, as it was written in its day. */
const byHand: Readonly<Record<string, unknown>> = {
  ...of([2, 3], 'point-registered', tapPoint),
  'point-registered@6': { ...wellPoint, well: { ...wellPoint.well, ownPump: { name: 'Deep pump', kind: 'submersible' } } },
  'lab-registered@1': firstLab,
  'lab-registered@2': { ...firstLab, closedDays: [{ date: '2026-12-25', name: 'Christmas Day' }] },
  ...of([3, 4], 'lab-registered', lab),
  'lab-registered@5': { ...lab, resultsAfter: { bacteria: 30 } },
  'round-planned@3': {
    name: 'Tannery',
    code: '261123A',
    system: 'Marenta',
    date: '2026-11-23',
    zone: 'Atlantic/Azores',
    lab: { ...firstLab, closedDays: [] },
    visits: [{ id: idOf(81), point: tapPoint, analyses: ['coliforms'] }],
    editions: editionsOn('2026-11-23'),
  },
  'visit-added@1': { id: idOf(81), point: firstPoint, analyses: ['metals'] },
  ...of([2, 3, 4], 'visit-added', { id: idOf(81), point: tapPoint, analyses: ['coliforms'] }),
  'visit-added@5': { id: idOf(81), point: wellPoint, analyses: ['metals'], limits },
  'visit-added@6': { id: idOf(81), point: wellPoint, analyses: ['metals'], ...ofPermit },
  'round-planned@8': {
    name: 'Tannery',
    code: '261123A',
    system: 'Marenta',
    date: '2026-11-23',
    zone: 'Atlantic/Azores',
    lab: null,
    visits: [{ id: idOf(81), point: tapPoint, analyses: ['coliforms'] }],
    editions: { ...editionsOn('2026-11-23'), limits: ofPermit.limits },
    ownLimits: [permit],
  },
  ...of([1, 2], 'day-planned', { order: [idOf(81)], start: '08:00', speed: 13.9, roadFactor: 1.3, lunch: 1800 }),
  'judged-anew@1': { limits: limits[0], reason: 'the authority asks for it' },
  'judged-anew@2': { limits, reason: 'the authority asks for it' },
  'judged-anew@3': { ...ofPermit, reason: 'the permit holds here' },
  'purge-set-up@2': { method: 'running', ranBefore: true, criterion: 'two-sets@2026-1', parameters: ['ph'] },
  'programme-registered@1': {
    id: idOf(82),
    name: 'Check monitoring',
    points: [tapPoint.id],
    analyses: ['coliforms'],
    times: 2,
    per: 'month',
    counts: 'each',
    from: '2026-01-01',
    source: 'Directive (EU) 2020/2184, Annex II',
  },
  'criterion-registered@1': {
    id: idOf(83),
    name: 'Ours',
    sets: 3,
    against: 'previous',
    seconds: 300,
    tolerances: [{ parameter: 'ph', absolute: 0.1 }],
    source: 'Sampling plan, 4.2',
  },
  'limit-set-registered@1': permit,
  'report-brought@1': {
    id: idOf(85),
    name: 'House at the bend',
    file: { sha256: 'c'.repeat(64), name: 'kitchen.csv' },
    sampled: '2026-11-20',
    kind: 'private-well',
    water: 'private',
    whose: 'Household at the bend',
    limits,
    sample: 'Kitchen',
    mapping: { columns: { sample: 0, parameter: 1, result: 2, unit: 3 }, nitrogenAs: 'ion', names: { Ignotium: '' } },
  },
  'device-registered@1': { id: idOf(84), name: 'Yellow tablet', key: `B${'a'.repeat(86)}`, people: [], revoked: null },
};

const names = allKinds.flatMap((kind) =>
  Array.from({ length: kind.version }, (_, at) => ({ kind, version: at + 1, name: `${kind.kind}@${at + 1}` })),
);
const saved: Record<string, Saved> = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, Saved>) : {};

/** A payload as its version takes it, or null. */
function taken(kind: AnyKind, version: number, payload: unknown): unknown {
  if (findUnsound(payload) !== null) return null;
  const read = readPayload(kind, version, payload);
  return read.state === 'known' ? read.payload : null;
}

/** The longest of some made-up payloads that its version takes, and that is no longer than is looked at with the eye. */
function madeUp(kind: AnyKind, version: number): unknown {
  const schema = version === kind.version ? kind.payload : kind.earlier[version - 1]!.payload;
  const found = fc
    .sample(payloadOf(schema), { seed: 26_11_23, numRuns: 4000 })
    .map((payload) => taken(kind, version, payload))
    .filter((payload) => payload !== null && findUnsound(payload) === null)
    .map((payload) => canonicalJson(payload))
    .filter((text) => text.length < 1500)
    .sort((a, b) => b.length - a.length);
  return found[0] === undefined ? null : JSON.parse(found[0]);
}

/** That of the version before, as it is brought to this one. */
const fromBefore = (kind: AnyKind, version: number): unknown =>
  version > 1 ? kind.earlier[version - 2]!.upgrade(saved[`${kind.kind}@${version - 1}`]!.payload as never) : null;

if (process.env['FONTE_SAVE']) {
  const written = new Map<string, unknown>();
  for (const name of readdirSync(books))
    for (const entry of (JSON.parse(readFileSync(books + name, 'utf8')) as { entries: BookEntry[] }).entries) {
      const key = `${entry.kind}@${entry.version}`;
      if (!written.has(key)) written.set(key, entry.payload);
    }
  for (const { kind, version, name } of names) {
    if (saved[name]) continue;
    const payload = written.get(name) ?? byHand[name] ?? madeUp(kind, version) ?? fromBefore(kind, version);
    if (taken(kind, version, payload) === null) throw new Error(`${name} is not taken: ${JSON.stringify(payload)}`);
    saved[name] = { payload, present: { version: kind.version, payload: upgraded(kind, version, taken(kind, version, payload)) } };
  }
  const sorted = Object.fromEntries(Object.entries(saved).sort(([a], [b]) => (a < b ? -1 : 1)));
  writeFileSync(file, `${JSON.stringify(sorted, null, 1)}\n`);
}

it('is kept of every kind in every version', () => {
  expect(names.filter(({ name }) => !saved[name]).map(({ name }) => name)).toEqual([]);
  expect(Object.keys(saved).filter((name) => !names.some((one) => one.name === name))).toEqual([]);
});

it.each(names.map((one) => [one.name, one] as const))(
  '%s is read as it was written, and comes to what it came to',
  (name, { kind, version }) => {
    const { payload, present } = saved[name]!;
    const now = taken(kind, version, payload);
    // A schema may have learnt what is usual since; what was written stands in it as it was.
    expect(now).toMatchObject(payload as object);
    const made = upgraded(kind, version, now);
    expect(canonicalJson(made)).toBe(canonicalJson(upgraded(kind, present.version, present.payload)));
  },
);
