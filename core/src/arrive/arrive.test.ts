import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { Script, tapPoint, wellPoint } from '../../test/script.ts';
import { bottleTables, type AnalysisId } from '../bottles/index.ts';
import { analysisAdded } from '../plan/index.ts';
import { nextAtVisit, nextStep } from '../round/index.ts';
import {
  earlierArrival,
  fault,
  faultIds,
  faultsAt,
  fitnessJudged,
  judgeFitness,
  lastsFor,
  placeRestored,
  riskChecked,
  testKinds,
  testKindsOf,
  toRestore,
  type FaultId,
  type FoundFault,
} from './index.ts';

const seen = (...ids: FaultId[]): FoundFault[] => ids.map((id) => ({ fault: id, isDone: false }));
const done = (...ids: FaultId[]): FoundFault[] => ids.map((id) => ({ fault: id, isDone: true }));
const of = (found: readonly FoundFault[]) => Object.fromEntries(judgeFitness(found, testKinds).map(({ kind, fitness }) => [kind, fitness]));

describe('the faults of a place', () => {
  it('are at least twenty, and each matters to some test and says what to do', () => {
    expect(faultIds.length).toBeGreaterThanOrEqual(20);
    for (const id of faultIds) {
      const { effect, why, advice, source } = fault(id);
      expect(Object.keys(effect).length, id).toBeGreaterThan(0);
      for (const text of [why, advice, source]) expect(text.length, id).toBeGreaterThan(8);
    }
  });

  // Common practice; aerator on for lead: 40 CFR 141.86(b); off for bacteria: ISO 19458, purpose b
  it.each<[string, FoundFault[], Partial<ReturnType<typeof of>>]>([
    ['nothing wrong', [], { germs: 'fit', lead: 'fit', chemistry: 'fit' }],
    ['a leaking tap', seen('leaking'), { germs: 'not-fit', lead: 'fit', chemistry: 'fit' }],
    ['an aerator left on', seen('attachments'), { germs: 'not-fit', lead: 'fit' }],
    ['an aerator taken off', done('attachments'), { germs: 'fit' }],
    ['no aerator at a first water for lead', seen('aerator-missing'), { lead: 'not-fit', germs: 'fit' }],
    ['a softener', seen('treatment-meter'), { germs: 'not-fit', lead: 'not-fit', organics: 'not-fit', chemistry: 'not-fit' }],
    ['a softener that is bypassed', done('treatment-meter'), { germs: 'fit', lead: 'fit', chemistry: 'fit' }],
    ['a dirty tap, scrubbed', done('dirty'), { germs: 'caution' }],
    ['a house that stands empty', seen('vacant'), { germs: 'not-fit', lead: 'not-fit', legionella: 'fit' }],
    ['brittle plastic', seen('soft-plumbing'), { organics: 'not-fit', germs: 'caution' }],
    ['drizzle and plants', seen('weather-damp', 'plants'), { germs: 'caution', chemistry: 'fit' }],
    ['drizzle and a leak', seen('weather-damp', 'leaking'), { germs: 'not-fit' }],
    ['a drain beneath', done('sewer-below'), { germs: 'not-fit' }],
  ])('%s', (_, found, expected) => {
    expect(of(found)).toMatchObject(expected);
  });

  it('are never better for one fault more', () => {
    const rank = { fit: 0, caution: 1, 'not-fit': 2 };
    for (const one of faultIds)
      for (const other of faultIds)
        for (const { kind, fitness } of judgeFitness(seen(one), testKinds))
          expect(rank[of(seen(one, other))[kind]!], `${one} ${other}`).toBeGreaterThanOrEqual(rank[fitness]);
  });

  it('name the worst first, tell how long it lasts, and what must be put back', () => {
    expect(judgeFitness(seen('weather-damp', 'leaking'), ['germs'])[0]!.because).toEqual(['leaking', 'weather-damp']);
    expect(lastsFor(['weather-damp', 'leaking'])).toBe('mended');
    expect(toRestore([...done('attachments', 'plants'), ...seen('hose')])).toEqual(['Screw the aerator back on']);
  });

  it('are asked for only where they can be and matter', () => {
    const table = bottleTables.newest[0]!;
    const at = (point: typeof tapPoint | typeof wellPoint, ...analyses: AnalysisId[]) => faultsAt(point, testKindsOf(table, analyses));
    expect(at(wellPoint, 'general')).not.toContain('leaking');
    expect(at(wellPoint, 'general')).toContain('well-cap');
    expect(at(tapPoint, 'lead')).toContain('aerator-missing');
    expect(at(tapPoint, 'coliforms')).not.toContain('aerator-missing');
    expect(at(tapPoint, 'coliforms')).not.toContain('well-cap');
    expect(at(tapPoint)).toEqual([]);
  });
});

describe('arriving at a point', () => {
  let book: Script;
  const { state, visit, misfit, level } = atTheWell(() => book);
  const look = (hazards: string[] = [], more: object = {}) => book.atTap(riskChecked, { hazards: hazards as never, ...more });
  const judge = (found: FoundFault[], odd = '') => book.atTap(fitnessJudged, { found, odd });
  const next = () => nextAtVisit(visit(book.tap));
  beforeEach(() => {
    book = new Script().plan();
  });

  it('asks first to look round, then whether the place is fit, and only then for the work', () => {
    expect(next()).toMatchObject({ room: 'arrive', code: 'look-round' });
    look();
    expect(next()).toMatchObject({ room: 'arrive', code: 'look-at-place' });
    judge([]);
    expect(next()).toMatchObject({ room: 'tap' });
  });

  it('asks no more where the work has begun already', () => {
    expect(nextAtVisit(visit(book.well))?.code).toBe('look-round');
    level('7.40');
    expect(nextAtVisit(visit(book.well))?.room).toBe('level');
  });

  it('stops at a pit, unless there is leave; who leaves lets others come first', () => {
    const entry = book.make(riskChecked, { hazards: ['pit'] }, book.tap);
    expect(misfit(entry)).toMatchObject({ path: 'payload.permit', message: expect.stringMatching(/Pit or vault/) });
    look(['pit'], { left: true });
    expect(next()).toMatchObject({ code: 'left-for-danger', waits: true });
    expect(nextStep(state())?.visit).toBe(book.well);
    look(['pit'], { permit: 'Permit 12, Rui Vale above' });
    expect(next()?.code).toBe('look-at-place');
  });

  it('makes no routine sample of a place that is not fit, only of the tests that mind it', () => {
    book.atTap(analysisAdded, { analysis: 'general' });
    look();
    judge(seen('leaking'));
    const sample = (letter: string) => visit(book.tap).bottles.find(({ id }) => id.endsWith(`-${letter}`))!;
    expect([sample('B').sample, sample('G').sample]).toEqual(['special', 'routine']);
    expect(sample('B').reasons.map(({ code }) => code)).toContain('not-fit');
    expect(visit(book.tap).sample).toBe('special');
    judge(seen('plants'));
    expect(sample('B').reasons.map(({ code, makes }) => [code, makes])).toContainEqual(['place-caution', 'routine']);
  });

  it('rests on the look before it was filled, and on what was found later; a better look afterwards mends nothing', () => {
    look();
    judge(seen('leaking'));
    book.sampleTap();
    const sample = () => visit(book.tap).bottles[0]!.sample;
    expect(sample()).toBe('special');
    judge([]);
    expect(sample()).toBe('special');
    book = new Script().plan();
    look();
    const first = judge([]);
    book.sampleTap();
    expect(sample()).toBe('routine');
    const later = judge(seen('sewer-below'));
    expect(sample()).toBe('special');
    book.correct(later, 'that was the tap next door');
    expect(sample()).toBe('routine');
    expect(first.kind).toBe('fitness-judged');
  });

  it('asks to put back what was moved once the bottles are full', () => {
    look();
    judge(done('attachments'));
    book.sampleTap();
    expect(visit(book.tap).bottles.map(({ sample }) => sample)).toEqual(['routine']);
    expect(next()).toMatchObject({ room: 'arrive', code: 'restore', data: { count: 1 } });
    book.atTap(placeRestored, {});
    expect(next()).toBeNull();
  });

  it('is remembered where something was found', () => {
    look();
    judge([]);
    expect(earlierArrival('r', 'v', visit(book.tap).arrival)).toBeNull();
    judge(seen('plants'), 'The key hangs behind the meter');
    expect(earlierArrival('r', 'v', visit(book.tap).arrival)).toMatchObject({
      found: [{ fault: 'plants' }],
      odd: 'The key hangs behind the meter',
    });
  });

  it('takes no word of putting back where nothing was moved', () => {
    look();
    judge(seen('plants'));
    expect(misfit(book.make(placeRestored, {}, book.tap))?.message).toMatch(/Nothing was moved/);
  });
});
