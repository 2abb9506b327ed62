import { beforeEach, describe, expect, it } from 'vitest';
import { idOf, protocolNamed, Script } from '../../test/script.ts';
import { bottleFilled } from '../fill/index.ts';
import { analysisAdded, analysisRemoved, bottlesPacked } from '../plan/index.ts';
import { clockStarted, departs, runGivenUp, runsOf, runStarted, runThatFills } from '../tap/index.ts';
import { hour } from '../time/index.ts';
import { foresee, fold, formLines, nextAtVisit, overview, residualFor } from './index.ts';

const procedure = 'coliforms-distribution';
const bacteria = { rule: 'bacteria', purpose: 'sample' } as const;
let book: Script;
const round = () => fold(book.entries)!;
const short = () => overview(round());
const tap = () => round().visits.find((visit) => visit.id === book.tap)!;

beforeEach(() => {
  book = new Script().plan().arrived();
});

/** Runs the protocol up to its flush clock, which is started. */
const flushing = () => book.sampleTap({ before: 'flush' }).atTap(clockStarted, { procedure, step: 'flush' });

describe('a round in short', () => {
  it('counts bottles by stage as they move', () => {
    expect(short().stages).toEqual(['planned', 'planned', 'planned', 'planned', 'planned']);
    book.write(bottlesPacked, { bottles: ['261123A-MH1-B'] });
    expect(short().stages.filter((stage) => stage === 'ready')).toHaveLength(1);
  });

  it('shows a clock only while its step runs', () => {
    expect(short().clocks).toEqual([]);
    const started = flushing();
    expect(short().clocks).toEqual([
      {
        visit: book.tap,
        room: 'tap',
        pointName: 'Market hall',
        procedure,
        say: 'Run cold water, full and steady',
        from: Date.parse(started.at.utc),
        least: 120,
        most: null,
      },
    ]);
    book.done('flush', { type: 'clock' }, undefined, { minutes: 3 });
    expect(short().clocks).toEqual([]);
  });

  it('lists what waits for the lab until it is handed over', () => {
    book.sampleTap();
    const filledAt = tap().bottles[0]!.filledAt!;
    // The lab asks for bacteria within 18 hours, shorter than the rule.
    expect(short().waiting.map((bottle) => [bottle.bottle, bottle.deadline - filledAt])).toEqual([['261123A-MH1-B', 18 * hour]]);
    // Filled on a Monday morning, it may still be handed over at the desk of the same evening.
    expect(new Date(short().waiting[0]!.handOverBy!).toISOString()).toBe('2026-11-23T17:00:00.000Z');
    book.handOver(['261123A-MH1-B']);
    expect(short().waiting).toEqual([]);
  });
});

describe('the form', () => {
  it('misses the residual until it was measured at a chlorinated tap', () => {
    expect(residualFor(tap(), bacteria)).toBeNull();
    book.sampleTap({ residual: '0,05' });
    expect(residualFor(tap(), bacteria)).toBe('0,05 mg/L');
    expect(formLines(round())).toMatchObject([
      { sampleType: 'special', residual: '0,05 mg/L', requests: ['Coliforms + E. coli', 'Coliforms, distribution'] },
    ]);
  });

  it('needs none at a well', () => {
    expect(residualFor(round().visits[0]!, { rule: 'metals', purpose: 'sample' })).toBe('not-needed');
  });
});

it('leaves a well without analyses once its level is read', () => {
  const [well] = round().visits;
  expect(nextAtVisit({ ...well!, analyses: [] })?.room).toBe('level');
  expect(nextAtVisit({ ...tap(), analyses: [] })?.code).toBe('choose-analyses');
});

describe('what a protocol fills', () => {
  const ids = (visit: Parameters<typeof runsOf>[0]) => runsOf(visit).map((due) => due.procedure);
  it('follows from the analyses asked for at a tap, and from nothing at a well', () => {
    const [well] = round().visits;
    expect(ids(tap())).toEqual([procedure]);
    expect(ids({ ...tap(), analyses: ['metals'] })).toEqual([]);
    expect(ids({ ...well!, analyses: ['coliforms'] })).toEqual([]);
    expect([
      runThatFills(tap(), bacteria)?.procedure,
      runThatFills(tap(), { rule: 'metals', purpose: 'sample' }),
      runThatFills(well!, bacteria),
    ]).toEqual([procedure, null, null]);
  });

  it('stays what it was once a run is started', () => {
    flushing();
    expect(ids({ ...tap(), analyses: [] })).toEqual([procedure]);
  });

  it('leaves a tap without one to be filled freely', () => {
    book.atTap(analysisRemoved, { analysis: 'coliforms' });
    book.atTap(analysisAdded, { analysis: 'metals' });
    expect(nextAtVisit(tap())).toMatchObject({ room: 'fill', code: 'fill', data: { count: 1 } });
    expect(foresee(book.entries, book.make(bottleFilled, { bottle: '261123A-MH1-M' }, book.tap)).misfit).toBeNull();
  });
});

it('lets other work come first while a clock runs, and comes back to it when nothing else is left', () => {
  flushing();
  expect(short().next).toMatchObject({ room: 'level', visit: book.well });
  book = new Script().plan(['coliforms'], { visits: [round().plan.visits[1]!] });
  book.sampleTap({ before: 'flush' });
  book.atTap(clockStarted, { procedure, step: 'flush' });
});

describe('a visit with two protocols', () => {
  beforeEach(() => {
    book = new Script().plan(['coliforms', 'lead']).arrived();
  });
  const start = (id: string) => {
    const { edition } = protocolNamed(id);
    return book.make(runStarted, { procedure: id, protocol: id, edition }, book.tap);
  };
  const procedures = () => tap().runs.map((run) => run.procedure);

  it('takes the first water first: lead before bacteria', () => {
    expect(nextAtVisit(tap())).toMatchObject({ room: 'tap', code: 'start-protocol', procedure: 'lead-timed' });
    expect(foresee(book.entries, start(procedure)).misfit).toMatchObject({
      code: 'run-order',
      data: { title: 'Lead at the tap' },
    });
    book.sampleTap({ procedure: 'lead-timed', bottle: '261123A-MH1-L' });
    expect(nextAtVisit(tap())).toMatchObject({ room: 'tap', code: 'start-protocol', procedure });
    book.sampleTap({ residual: '0.05' });
    expect(procedures()).toEqual(['lead-timed', procedure]);
    // What a residual makes of the bacteria it does not make of the lead.
    expect(tap().bottles.map(({ id, sample }) => [id, sample])).toEqual([
      ['261123A-MH1-L', 'routine'],
      ['261123A-MH1-B', 'special'],
    ]);
    expect(formLines(round()).map(({ residual }) => residual)).toEqual(['not-needed', '0.05 mg/L']);
  });

  it('goes on with the second when the first is given up, with a reason', () => {
    book.sampleTap({ procedure: 'lead-timed', before: 'standing' });
    book.atTap(runGivenUp, { procedure: 'lead-timed', reason: 'the house would not do without water' });
    expect(nextAtVisit(tap())).toMatchObject({ code: 'start-protocol', procedure });
    book.sampleTap();
    expect(nextAtVisit(tap())).toBeNull();
    expect(foresee(book.entries, book.make(bottleFilled, { bottle: '261123A-MH1-L' }, book.tap)).misfit?.code).toBe('not-at-filling');
  });

  it('starts the standing anew, with a reason, when somebody used water; too long is a departure as well as too short', () => {
    const lead = 'lead-timed';
    book.sampleTap({ procedure: lead, before: 'standing' });
    const clock = (reason?: string) =>
      book.make(clockStarted, { procedure: lead, step: 'standing', ...(reason ? { reason } : {}) }, book.tap);
    book.atTap(clockStarted, { procedure: lead, step: 'standing' });
    expect(foresee(book.entries, clock()).misfit).toMatchObject({ code: 'clock-runs', field: 'payload.reason' });
    book.now += 20 * 60_000;
    book.entries.push(clock('a toilet was flushed'));
    const now = () => tap().runs[0]!.now!;
    expect(now()).toMatchObject({ clockFrom: book.now, restarts: ['a toilet was flushed'] });
    const end = (minutes: number) => departs(now(), { type: 'clock' }, now().clockFrom! + minutes * 60_000);
    expect([end(29)?.code, end(30), end(45), end(46)?.code]).toEqual(['clock-short', null, null, 'clock-over']);
  });
});

describe('a point that is visited twice', () => {
  it('has two visits with labels of their own', () => {
    const [well, tapVisit] = round().plan.visits;
    const again = { ...tapVisit!, id: idOf(77) };
    book = new Script().plan(['coliforms'], { visits: [tapVisit!, well!, again] });
    const visits = round().visits.filter((visit) => visit.point.code === 'MH1');
    expect(visits.map(({ name, bottles }) => [name, bottles.map(({ id }) => id)])).toEqual([
      ['Market hall', ['261123A-MH1-B']],
      ['Market hall, visit 2', ['261123A-MH1.2-B']],
    ]);
  });
});
