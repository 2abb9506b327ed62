import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { handing, idOf, Script } from '../../test/script.ts';
import { actionDone } from '../act/index.ts';
import type { Entry } from '../book/index.ts';
import { handedOver, labAnswered } from '../custody/index.ts';
import { bottleFilled } from '../fill/index.ts';
import { levelRead } from '../level/index.ts';
import { judgedAnew } from '../plan/index.ts';
import { purgeEnded, purgeReading, purgeSetUp } from '../purge/index.ts';
import { reportPutAside, reportRead, reportReceived, type LabResult } from '../read/index.ts';
import { clockStarted, runStarted, stepDone } from '../tap/index.ts';
import { minute } from '../time/index.ts';
import { BookReader, fold, foldBook, followBook, foresee, isClosed, kindOf, look, nextStep, type RoundState } from './index.ts';

const procedure = 'coliforms-distribution';
let book: Script;
beforeEach(() => {
  book = new Script().plan();
});

const depth = (text: string) => ({ measuringPoint: 'North rim', depth: { text, unit: 'm' as const }, water: 'static' as const });
const set = (pumped: string) => ({ pumped: { text: pumped, unit: 'L' as const }, values: { ph: { text: '7.1', unit: 'pH' as const } } });
const setUp = {
  method: 'volumes' as const,
  insideDiameter: { text: '52', unit: 'mm' as const },
  volumes: 3,
  criterion: 'two-sets@2026-1',
  parameters: ['ph' as const],
};
function purging(): void {
  book.atWell(levelRead, depth('7.40'));
  book.atWell(levelRead, depth('7.40'));
  book.atWell(purgeSetUp, setUp);
  book.atWell(purgeReading, set('40'));
  book.atWell(purgeReading, set('75'));
}
const result = (bottle: string): LabResult => ({
  line: 2,
  bottle,
  parameter: 'coliforms',
  form: 'value',
  value: 4,
  estimated: false,
  reportingLimit: null,
  written: { result: '4', unit: '', reportingLimit: '' },
});

/** A whole round, from plan to follow-up, with a correction and a late reading of a second device in it. */
function wholeRound(): Entry[] {
  purging();
  const other = new Script(idOf(8));
  const late = { ...other.make(purgeReading, set('80')), book: book.book, visit: book.well };
  book.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
  book.atWell(bottleFilled, { bottle: '261123A-MW3-N' });
  book.sampleTap();
  const form = book.write(handedOver, handing(['261123A-MW3-N', '261123A-MH1-B']));
  book.write(labAnswered, {
    handOver: form.id,
    reference: 'L1',
    bottles: [
      { bottle: '261123A-MH1-B', accepted: true },
      { bottle: '261123A-MW3-N', accepted: false, reason: 'Leaking' },
    ],
  });
  book.write(reportReceived, { sha256: 'a'.repeat(64), name: 'r.csv', size: 1, from: 'lab', fault: null }, { minutes: 1440 });
  book.write(reportRead, { sha256: 'a'.repeat(64), mapping: { columns: {} }, header: [], unread: 0, results: [result('261123A-MH1-B')] });
  book.write(actionDone, { action: fold(book.entries)!.followUps[0]!.id, note: 'called' });
  book.correct(book.entries[1]!, 'misread', { payload: { ...depth('7.402') } });
  return [...book.entries, { ...late, id: book.make(purgeReading, set('80')).id, at: book.entries.at(-1)!.at }];
}

/** What a state says, without getters and maps. */
const told = (state: RoundState | null) => JSON.stringify({ ...state, strikes: [...(state?.strikes ?? [])] });

describe('any order of arrival', () => {
  it('gives the same state', () => {
    const entries = wholeRound();
    const expected = told(fold(entries));
    fc.assert(
      fc.property(fc.shuffledSubarray(entries, { minLength: entries.length }), (shuffled) => {
        expect(told(fold(shuffled))).toBe(expected);
      }),
      { numRuns: 25 },
    );
  });

  it('of whatever part has arrived folds, and following it entry by entry gives what reading it anew gives', () => {
    const entries = wholeRound();
    fc.assert(
      fc.property(fc.shuffledSubarray(entries), fc.nat({ max: 8 }), (arrived, ahead) => {
        let folding = foldBook(arrived.slice(0, ahead));
        arrived.slice(ahead).forEach((entry, index) => {
          const so_far = arrived.slice(0, ahead + index + 1);
          folding = followBook(folding, entry) ?? foldBook(so_far);
          expect(told(look(folding))).toBe(told(fold(so_far)));
        });
      }),
      { numRuns: 12 },
    );
  });

  it('and a reader that reads on from any part of it, with entries numbered since, says what a fresh fold says', () => {
    const entries = wholeRound();
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.shuffledSubarray(entries), fc.nat({ max: 3 })), { maxLength: 6 }), (parts) => {
        const reader = new BookReader();
        for (const [arrived, numbered] of parts) {
          reader.read(arrived);
          // Numbers come to what stood last, and that it was sent before the time that it says.
          const since = arrived.map((entry, place) =>
            place < arrived.length - numbered ? entry : { ...entry, seq: place + 1, sentAt: '2026-11-22T08:00:00.000Z' },
          );
          expect(told(reader.read(since))).toBe(told(fold(since)));
          for (const next of entries.filter((entry) => !arrived.includes(entry)).slice(0, 2)) {
            const [found, due] = [reader.foresee(since, next), foresee(since, next)];
            expect(JSON.stringify(found)).toBe(JSON.stringify(due));
            expect(told(reader.read([...since, next]))).toBe(told(fold([...since, next])));
          }
        }
      }),
      { numRuns: 12 },
    );
  });

  it('corrects an entry that arrives after its correction', () => {
    const reading = book.atWell(levelRead, depth('7.40'));
    book.correct(reading, 'misread', { payload: depth('7.90') });
    const [plan, level, correction] = book.entries as [Entry, Entry, Entry];
    const before = foldBook([plan, correction]);
    const followed = look(followBook(before, level) ?? foldBook([plan, correction, level]))!;
    expect(followed.visits[0]!.level!.readings.map(({ typed }) => typed.text)).toEqual(['7.90']);
    expect(followed.aside).toEqual([]);
  });

  it('leaves a state that somebody holds as it was', () => {
    purging();
    const before = foldBook(book.entries);
    const said = told(look(before));
    followBook(before, book.make(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } }, book.well));
    followBook(before, book.make(purgeReading, set('90'), book.well));
    expect(told(look(before))).toBe(said);
  });

  it('has the plan first, also when the clock of the office is ahead of the field’s', () => {
    book.now -= 60 * minute;
    book.atWell(levelRead, depth('7.40'));
    expect(fold(book.entries)).toMatchObject({ aside: [], visits: [{ level: { readings: [{ typed: { text: '7.40' } }] } }, {}] });
  });
});

describe('a reading that comes after another device ended the purge', () => {
  let late: Entry;
  beforeEach(() => {
    purging();
    book.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
    late = book.atWell(purgeReading, set('80'));
  });

  it('stands in the book, set aside with its reason, and is what comes next', () => {
    expect(fold(book.entries)).toMatchObject({
      aside: [{ entry: { id: late.id }, misfit: { code: 'purge-ended', field: 'visit' } }],
      visits: [{ purge: { count: 2 } }, {}],
    });
    for (const visit of fold(book.entries)!.visits[0]!.bottles) book.atWell(bottleFilled, { bottle: visit.id });
    book.sampleTap();
    expect(nextStep(fold(book.entries)!)).toMatchObject({ code: 'settle', data: { count: 1 } });
    expect(isClosed(fold(book.entries)!)).toBe(false);
  });

  it('is placed by a correction that says when it was', () => {
    book.correct(late, 'taken before the end, written down after', { at: Date.parse(late.at.utc) - 90_000 });
    expect(fold(book.entries)).toMatchObject({ aside: [], visits: [{ purge: { count: 3, pumped: 0.08 } }, {}] });
  });

  it('is told beforehand to stand aside still where the time that is given does not fit either', () => {
    const before = book.strike(late, 'a guess', { at: Date.parse(book.entries[0]!.at.utc) + 1 });
    expect(foresee(book.entries, before)).toMatchObject({
      misfit: null,
      consequences: [{ code: 'still-aside', entry: { id: late.id }, misfit: { code: 'set-up-first' } }],
    });
  });

  it('or struck', () => {
    book.correct(late, 'belongs to the other well');
    expect(fold(book.entries)).toMatchObject({ aside: [], visits: [{ purge: { count: 2 } }, {}] });
  });

  it('is asked about before it is written', () => {
    expect(foresee(book.entries, book.make(purgeReading, set('82'), book.well)).misfit?.code).toBe('purge-ended');
  });
});

describe('a clock', () => {
  it('whose start was stated afterwards makes a departure, however long it claims to have run', () => {
    book.sampleTap({ before: 'flush' });
    const started = book.make(clockStarted, { procedure, step: 'flush' }, book.tap);
    book.entries.push({ ...started, at: { ...started.at, utc: new Date(book.now - 10 * minute + 1).toISOString() } });
    // Before the step before it was done: it cannot have been running then.
    expect(fold(book.entries)!.aside).toMatchObject([{ misfit: { code: 'start-first' } }]);
    book.entries.pop();
    book.now += 10 * minute;
    const honest = book.make(clockStarted, { procedure, step: 'flush' }, book.tap);
    book.entries.push({ ...honest, at: { ...honest.at, utc: new Date(book.now - 5 * minute).toISOString() } });
    const done = (departure?: string) =>
      book.make(stepDone, { procedure, step: 'flush', answer: { type: 'clock' }, ...(departure ? { departure } : {}) }, book.tap);
    expect(foresee(book.entries, done()).misfit).toMatchObject({ code: 'clock-backdated', field: 'payload.departure' });
    expect(foresee(book.entries, done('forgot to press the button')).misfit).toBeNull();
  });

  it('that another device ran an hour behind loses no entry', () => {
    const other = new Script(idOf(8));
    other.now = book.now - 60 * minute;
    const behind = { ...other.make(levelRead, depth('7.40')), book: book.book, visit: book.well };
    expect(fold([...book.entries, behind])!.visits[0]!.level!.readings).toHaveLength(1);
  });
});

describe('what is newer than this copy of the product', () => {
  it('is kept aside, not misread: a version of a kind', () => {
    const newer = { ...book.make(levelRead, depth('7.40'), book.well), version: 900, payload: { metres: 7.4 } };
    expect(fold([...book.entries, newer])).toMatchObject({
      aside: [{ misfit: { code: 'newer-version' } }],
      visits: [{ level: { readings: [] } }, {}],
    });
  });

  it('is a state of its own: a protocol’s edition, with its steps kept', () => {
    book.atTap(runStarted, { procedure, protocol: procedure, edition: '2031-1' });
    book.done('sing', { type: 'confirm' });
    const tap = fold(book.entries)!.visits[1]!;
    expect(tap).toMatchObject({
      runs: [],
      unknownRuns: [{ procedure, edition: 'coliforms-distribution@2031-1' }],
      sample: 'special',
      bottles: [{ sample: 'special' }],
    });
    expect(fold(book.entries)!.aside).toEqual([]);
    expect(nextStep({ ...fold(book.entries)!, visits: [tap] })?.code).toBe('fill');
  });

  it('judges nothing: a criterion, an edition of the round’s tables', () => {
    book.atWell(levelRead, depth('7.40'));
    book.atWell(levelRead, depth('7.40'));
    book.atWell(purgeSetUp, { ...setUp, criterion: 'epa-1996@2031-1' });
    book.atWell(purgeReading, set('900'));
    expect(fold(book.entries)!.visits[0]!.purge).toMatchObject({
      stability: null,
      ready: false,
      findings: [{ code: 'criterion-unknown' }, { code: 'five-volumes' }],
    });
    const [planned, ...rest] = book.entries;
    const { editions, ...plan } = planned!.payload as { editions: object };
    const later = { ...planned!, payload: { ...plan, editions: { ...editions, limits: ['eu-2020-2184@2031-1'] } } };
    expect(fold([later, ...rest])).toMatchObject({ unknown: ['eu-2020-2184@2031-1'], verdict: null });
  });
});

describe('editions', () => {
  it('are recorded by the round, and judge it until a person has it judged anew, with a reason', () => {
    wholeRound();
    expect(fold(book.entries)).toMatchObject({
      editions: { limits: ['eu-2020-2184@2026-3'] },
      verdict: { sets: [{ id: 'eu-2020-2184' }] },
    });
    expect(judgedAnew.payload.safeParse({ limits: ['eu-2020-2184@2031-1'], reason: '' }).success).toBe(false);
    const again = book.write(judgedAnew, { limits: ['eu-2020-2184@2031-1'], reason: 'new limits asked for by the authority' });
    expect(fold(book.entries)).toMatchObject({ editions: { limits: ['eu-2020-2184@2031-1'] }, unknown: ['eu-2020-2184@2031-1'] });
    book.correct(again, 'asked for another round');
    expect(fold(book.entries)).toMatchObject({ editions: { limits: ['eu-2020-2184@2026-3'] }, unknown: [] });
  });
});

describe('a report', () => {
  const received = (fault: { code: string; line: number; column: number } | null, sha = 'b') =>
    book.write(reportReceived, { sha256: sha.repeat(64), name: 'x.csv', size: 1, from: 'upload', fault });

  it('that cannot be read never opens a finished round again', () => {
    wholeRound();
    for (const action of fold(book.entries)!.followUps.filter((one) => !one.done))
      book.write(actionDone, { action: action.id, note: 'done' });
    const unfilled = fold(book.entries)!.visits[0]!.bottles.filter((bottle) => bottle.state === 'empty');
    expect(unfilled.length).toBeGreaterThan(0);
    const before = nextStep(fold(book.entries)!);
    received({ code: 'not-text', line: 1, column: 1 });
    expect(nextStep(fold(book.entries)!)).toEqual(before);
  });

  it('waits to be read until it was put aside with a reason; striking that brings it back', () => {
    wholeRound();
    received(null);
    const waits = () => fold(book.entries)!.reports.some((report) => report.sha256.startsWith('b') && !report.putAside && !report.read);
    expect(waits()).toBe(true);
    const aside = book.write(reportPutAside, { sha256: 'b'.repeat(64), reason: 'somebody else’s sheet' });
    expect(waits()).toBe(false);
    book.correct(aside, 'it is ours');
    expect(waits()).toBe(true);
  });

  it('that says nothing of a bottle the lab took has not reported it: the round waits on', () => {
    wholeRound();
    const taken = book.entries.map((entry) =>
      labAnswered.is(entry)
        ? { ...entry, payload: { ...entry.payload, bottles: entry.payload.bottles.map(({ bottle }) => ({ bottle, accepted: true })) } }
        : entry,
    );
    const state = fold(taken)!;
    expect(state.bottles.filter((bottle) => bottle.handedOver).map(({ id, stage }) => [id, stage])).toEqual([
      ['261123A-MW3-N', 'handed-over'],
      // Coliforms are reported, E. coli is not.
      ['261123A-MH1-B', 'reported'],
    ]);
    const only = { ...state, visits: [], followUps: [], aside: [], bottles: state.bottles.filter((bottle) => bottle.handedOver) };
    expect(nextStep(only)).toMatchObject({ code: 'wait-for-report' });
    expect(isClosed(only)).toBe(false);
  });

  it('that was put aside after it was read says nothing any more', () => {
    wholeRound();
    expect(fold(book.entries)!.verdict).not.toBeNull();
    book.write(reportPutAside, { sha256: 'a'.repeat(64), reason: 'the lab withdrew it' });
    expect(fold(book.entries)).toMatchObject({ verdict: null });
  });

  it('cannot be given other results by a correction', () => {
    wholeRound();
    const read = book.entries.find(reportRead.is)!;
    const forged = { ...read.payload, results: [{ ...read.payload.results[0]!, value: 0 }] };
    expect(kindOf('report-read')).toMatchObject({ correction: 'strike', madeBy: 'server' });
    expect(foresee(book.entries, book.strike(read, 'looks better', { payload: forged })).misfit?.code).toBe('only-struck');
  });
});

it('states what follows from a corrected filling time and a corrected hand-over', () => {
  wholeRound();
  const filled = book.entries.filter(bottleFilled.is).find((entry) => entry.payload.bottle === '261123A-MH1-B')!;
  const earlier = foresee(book.entries, book.strike(filled, 'clock was wrong', { at: Date.parse(filled.at.utc) - 30_000 }));
  expect(earlier).toMatchObject({ misfit: null, consequences: [{ code: 'deadline', bottle: '261123A-MH1-B' }] });
  const form = book.entries.find(handedOver.is)!;
  const struckForm = foresee(book.entries, book.strike(form, 'wrong round')).consequences;
  // The call to the lab that refused a bottle of it has nothing to be about any more.
  expect(struckForm.filter((one) => one.code === 'set-aside').map((one) => one.entry.kind)).toEqual(['lab-answered', 'action-done']);
});
