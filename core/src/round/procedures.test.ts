import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { Script, wellPoint } from '../../test/script.ts';
import { fitnessJudged, riskChecked } from '../arrive/index.ts';
import { bottleFilled } from '../fill/index.ts';
import { levelLeftOut, levelRead } from '../level/index.ts';
import { analysisAdded, analysisRemoved, extraPlanned, roundGivenUp } from '../plan/index.ts';
import { purgeEnded, purgeReading, purgeSetUp } from '../purge/index.ts';
import { reportRead, reportReceived } from '../read/index.ts';
import { stepDone } from '../tap/index.ts';
import { ofPoint, fold, nextAtVisit, nextStep } from './index.ts';

let book: Script;
const { state, visit, misfit, purged, fill } = atTheWell(() => book);

beforeEach(() => {
  book = new Script().plan();
});

describe('a round that is given up', () => {
  it('asks for nothing more in the field, and for what is out already', () => {
    book.sampleTap();
    book.write(roundGivenUp, { reason: 'storm, the road is closed' });
    expect(state().givenUp).toMatchObject({ reason: 'storm, the road is closed' });
    expect(nextStep(state())).toMatchObject({ code: 'hand-over', data: { count: 1 } });
    expect(misfit(book.make(roundGivenUp, { reason: 'again' }))?.message).toBe('This round was abandoned already.');
  });

  it('is done at once when nothing was taken, and goes on when that is struck', () => {
    book.arrived();
    const given = book.write(roundGivenUp, { reason: 'planned for the wrong week' });
    expect(nextStep(state())).toBeNull();
    book.correct(given, 'it goes on');
    expect(nextStep(state())).toMatchObject({ code: 'measure-level' });
  });
});

describe('bacteria at a well', () => {
  it('come after the purge, by a protocol of their own, and before the other bottles', () => {
    book = new Script().plan([], {
      date: '2026-11-24',
      visits: [{ id: book.well, point: wellPoint, analyses: ['coliforms', 'general'] }],
    });
    const { id } = fold(book.entries)!.visits[0]!;
    const asks = () => nextStep(fold(book.entries)!)?.code;
    book.write(riskChecked, { hazards: [] }, { at: id });
    book.write(fitnessJudged, { found: [] }, { at: id });
    book.write(levelLeftOut, { why: 'other', reason: 'the tape is broken' }, { at: id });
    expect(asks()).toBe('set-up-purge');
    book.write(purgeSetUp, { method: 'none', sampler: 'passive', reason: 'a bag hung in the screen' }, { at: id });
    expect(asks()).toBe('start-protocol');
    const bacteria = fold(book.entries)!.visits[0]!.bottles.find(({ rule }) => rule === 'bacteria')!;
    expect(misfit(book.make(bottleFilled, { bottle: bacteria.id }, id))?.message).toMatch(/Coliforms at a well/);
  });
});

describe('a well of which only the mark is known', () => {
  const setUp = {
    method: 'volumes' as const,
    insideDiameter: { text: '52', unit: 'mm' as const },
    volumes: 3,
    criterion: 'two-sets@2026-1',
    parameters: ['ph' as const],
  };
  const plan = () => {
    book = new Script();
    const unknown = { ...wellPoint, well: { measuringPoints: wellPoint.well.measuringPoints } };
    book.plan(['coliforms'], { visits: [{ id: book.well, point: unknown, analyses: ['general'] }] });
    for (const text of ['7.512', '7.514'])
      book.atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water: 'static' });
  };

  it('takes any level, and its volume from a bottom that was sounded on the spot', () => {
    plan();
    expect(misfit(book.make(purgeSetUp, setUp, book.well))?.path).toBe('payload.bottom');
    book.atWell(purgeSetUp, { ...setUp, bottom: { text: '18.62', unit: 'm' } });
    // π/4 · 0.052² · (18.62 − 7.514), geometry
    expect(visit(book.well).purge?.setUp?.aim?.oneVolume.value).toBeCloseTo(0.023586, 6);
  });

  it('never sets up a volume of nothing, where the bottom is said to be above the water', () => {
    plan();
    book.atWell(purgeSetUp, { ...setUp, bottom: { text: '7.10', unit: 'm' } });
    expect([visit(book.well).purge?.setUp, state().aside.map((one) => one.misfit.code)]).toEqual([null, ['no-column']]);
  });
});

describe('a supply well that runs', () => {
  const running = { method: 'running' as const, ranBefore: true, criterion: 'two-sets@2026-1', parameters: ['ph' as const] };
  const set = (ph: string) => book.atWell(purgeReading, { pumped: { text: '0', unit: 'L' }, values: { ph: { text: ph, unit: 'pH' } } });

  it('needs no level and no volume, only readings that hold', () => {
    book.atWell(levelLeftOut, { why: 'no-access', reason: 'sealed head, no way in for a tape' });
    expect(nextAtVisit(visit(book.well))).toMatchObject({ code: 'set-up-purge' });
    expect(
      misfit(book.make(purgeSetUp, { ...running, method: 'volumes', insideDiameter: { text: '52', unit: 'mm' }, volumes: 3 }, book.well))
        ?.path,
    ).toBe('visit');
    book.atWell(purgeSetUp, running);
    set('7.40');
    expect(misfit(book.make(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } }, book.well))?.path).toBe('payload.reason');
    set('7.42');
    expect(visit(book.well).purge).toMatchObject({ ready: true, volumesDone: 0, setUp: { aim: null } });
    book.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
    expect(nextAtVisit(visit(book.well))).toMatchObject({ code: 'fill' });
  });

  it('asks for the level again when leaving it out is struck', () => {
    const left = book.atWell(levelLeftOut, { why: 'other', reason: 'no tape in the van' });
    expect(nextAtVisit(visit(book.well))?.code).toBe('set-up-purge');
    book.arrived();
    book.correct(left, 'a tape was found');
    expect(nextAtVisit(visit(book.well))?.code).toBe('measure-level');
  });
});

describe('duplicates and blanks', () => {
  const extra = (purpose: 'duplicate' | 'field-blank', analysis: 'metals' | 'nutrients' = 'metals') =>
    book.write(extraPlanned, { analysis, purpose }, { at: book.well });
  const ids = () => visit(book.well).bottles.map(({ id }) => id);

  it('are bottles with labels of their own: blanks first, duplicates beside their sample', () => {
    extra('duplicate');
    extra('field-blank');
    expect(ids()).toEqual(['261123A-MW3-M-FR', '261123A-MW3-M', '261123A-MW3-M-D', '261123A-MW3-N', '261123A-MW3-A', '261123A-MW3-G']);
    expect(visit(book.well).bottles[0]).toMatchObject({ supply: '261123A-MW3-M-FS', purpose: 'field-blank' });
    expect(misfit(book.make(extraPlanned, { analysis: 'metals', purpose: 'duplicate' }, book.well))?.path).toBe('payload.purpose');
    expect(misfit(book.make(extraPlanned, { analysis: 'coliforms', purpose: 'duplicate' }, book.well))?.path).toBe('payload.analysis');
  });

  it('go with their analysis, and when they are struck', () => {
    const planned = extra('duplicate');
    book.atWell(analysisRemoved, { analysis: 'metals' });
    expect(ids()).not.toContain('261123A-MW3-M-D');
    book.atWell(analysisAdded, { analysis: 'metals' });
    expect(ids()).toContain('261123A-MW3-M-D');
    book.correct(planned, 'one in ten is enough');
    expect(ids()).not.toContain('261123A-MW3-M-D');
  });

  it('that are blank are filled at any time, and asked for before the water', () => {
    extra('field-blank');
    expect(misfit(book.make(bottleFilled, { bottle: '261123A-MW3-M-FR' }, book.well))).toBeUndefined();
    purged();
    expect(nextAtVisit(visit(book.well))).toMatchObject({ code: 'fill-blanks', data: { count: 1 } });
    fill('261123A-MW3-M-FR');
    expect(nextAtVisit(visit(book.well))).toMatchObject({ code: 'fill', data: { count: 4 } });
  });

  it('of a bottle that a protocol fills wait for the protocol as the sample does', () => {
    book.write(extraPlanned, { analysis: 'coliforms', purpose: 'duplicate' }, { at: book.tap });
    expect(misfit(book.make(bottleFilled, { bottle: '261123A-MH1-B-D' }, book.tap))?.message).toContain('filling step');
    book.sampleTap({ before: 'fill' });
    book.atTap(bottleFilled, { bottle: '261123A-MH1-B' });
    expect(
      misfit(book.make(stepDone, { procedure: 'coliforms-distribution', step: 'fill', answer: { type: 'fill' } }, book.tap))?.message,
    ).toBe('Fill the bottle first.');
    book.atTap(bottleFilled, { bottle: '261123A-MH1-B-D' });
    book.done('fill', { type: 'fill' });
    expect(visit(book.tap).runs[0]!.now?.step.id).toBe('cold');
  });

  const found = (parameter: 'iron' | 'arsenic', bottle: string, value: number) => ({
    line: 2,
    bottle,
    parameter,
    form: 'value' as const,
    value,
    estimated: false,
    reportingLimit: 1,
    written: { result: String(value), unit: 'µg/L', reportingLimit: '1' },
  });
  const reported = (...results: ReturnType<typeof found>[]) => {
    book.write(reportReceived, { sha256: 'a'.repeat(64), name: 'r.csv', size: 1, from: 'lab', fault: null });
    book.write(reportRead, { sha256: 'a'.repeat(64), mapping: { columns: {} }, header: [], unread: 0, results });
  };

  // Arsenic: 10 µg/L in Directive (EU) 2020/2184, Annex I, Part B. RPD of 12 and 3: 9 ÷ 7.5 = 120 %.
  it.each([
    [12, 3, ['over-health', 'proves-nothing'], ['duplicate-again']],
    [3, 12, ['proves-nothing', 'over-health'], ['duplicate-again']],
    [12, 11, ['over-health', 'over-health'], ['monitoring-coordinator']],
    [30, 12, ['over-health', 'over-health'], ['monitoring-coordinator']],
    [11, 9, ['over-health', 'meets'], ['monitoring-coordinator']],
    [9, 11, ['meets', 'over-health'], ['monitoring-coordinator']],
    [3, 3.1, ['meets', 'meets'], []],
  ] as const)('with %f µg/L of arsenic in the sample and %f in its duplicate: %j', (sample, duplicate, states, tasks) => {
    extra('duplicate');
    purged();
    for (const id of ['261123A-MW3-M', '261123A-MW3-M-D']) fill(id);
    book.handOver(['261123A-MW3-M', '261123A-MW3-M-D']);
    reported(found('arsenic', '261123A-MW3-M', sample), found('arsenic', '261123A-MW3-M-D', duplicate));
    const { judged } = state().verdict!.visits[0]!;
    const of = (purpose: string) => judged.find((one) => one.purpose === purpose)!.verdict.state;
    expect([of('sample'), of('duplicate')]).toEqual(states);
    // A duplicate is a second look at the same water: it counts for itself only where it says something else.
    const isOver = (value: number) => value > 10;
    expect(ofPoint(judged)).toHaveLength(isOver(sample) === isOver(duplicate) ? 1 : 2);
    expect(state().followUps.flatMap(({ task }) => (task.code === 'rule' ? [task.rule] : []))).toEqual(tasks);
  });

  it('are never the water of the point when they are blank: a hit puts what went along in doubt', () => {
    extra('duplicate');
    extra('field-blank');
    purged();
    for (const id of ['261123A-MW3-M-FR', '261123A-MW3-M', '261123A-MW3-M-D']) fill(id);
    book.handOver(['261123A-MW3-M-FR', '261123A-MW3-M', '261123A-MW3-M-D']);
    reported(found('iron', '261123A-MW3-M-FR', 900), found('iron', '261123A-MW3-M', 100), found('iron', '261123A-MW3-M-D', 104));
    const { verdict } = state();
    expect(verdict!.blanks).toMatchObject([{ result: { bottle: '261123A-MW3-M-FR' }, isHit: true }]);
    expect(verdict!.visits[0]!.judged.map(({ purpose, doubt, verdict: one }) => [purpose, doubt, one.state])).toEqual([
      ['duplicate', ['261123A-MW3-M-FR'], 'meets'],
      ['sample', ['261123A-MW3-M-FR'], 'meets'],
    ]);
    // 900 µg/L is over the 200 of the Directive, and asks for nothing: it is no water that anybody drinks.
    expect(verdict!.occasions.every((one) => one.state === 'meets')).toBe(true);
  });
});
