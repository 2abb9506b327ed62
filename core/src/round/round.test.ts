import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { answerTo, handing, protocolNamed, Script, tapPoint, wellPoint } from '../../test/script.ts';
import { actionDone } from '../act/index.ts';
import type { Entry } from '../book/index.ts';
import { bottleTables, type RuleId } from '../bottles/index.ts';
import { handedOver, labAnswered } from '../custody/index.ts';
import { bottleDiscarded, bottleFilled } from '../fill/index.ts';
import { levelRead } from '../level/index.ts';
import { analysisAdded, analysisRemoved, bottlesPacked, countBottles, judgedAnew, roundPlanned } from '../plan/index.ts';
import { purgeEnded, purgeReading, purgeSetUp, questionSet } from '../purge/index.ts';
import {
  readRoom,
  reportRead,
  reportReceived,
  resultsGivenUp,
  resultTold,
  rowsSettled,
  type LabResult,
  type Mapping,
} from '../read/index.ts';
import { atWall, endOfDay, hour, instantAt } from '../time/index.ts';
import { clockStarted } from '../tap/index.ts';
import { bottlesAtLab, editionsOn, foresee, formLines, nextStep, openAtLab, overview } from './index.ts';

const table = bottleTables.newest[0]!;
let book: Script;
const { state, visit, misfit, level, readings, setUp, purged, fill } = atTheWell(() => book);
const stage = (id: string) => state().bottles.find((bottle) => bottle.id === id)?.stage;
const handOver = (ids: string[]) => book.write(handedOver, handing(ids));

beforeEach(() => {
  book = new Script().plan();
});

describe('plan', () => {
  it('makes bottles and labels from analyses, in filling order', () => {
    expect(state().bottles.map((bottle) => bottle.id)).toEqual([
      '261123A-MW3-M',
      '261123A-MW3-N',
      '261123A-MW3-A',
      '261123A-MW3-G',
      '261123A-MH1-B',
    ]);
    book.atTap(analysisAdded, { analysis: 'metals' });
    book.atWell(analysisRemoved, { analysis: 'nutrients' });
    expect(state().bottles.map((bottle) => bottle.id)).toEqual(['261123A-MW3-M', '261123A-MW3-G', '261123A-MH1-B', '261123A-MH1-M']);
  });

  it('counts what to pack, with spares', () => {
    const of = (rule: RuleId, supply: string | null = null) => ({ rule, supply });
    expect(countBottles(table, [of('bacteria'), of('bacteria'), of('general')])).toMatchObject([
      { rule: 'bacteria', needed: 2, spares: 1 },
      { rule: 'general', needed: 1, spares: 1 },
    ]);
    expect(
      countBottles(
        table,
        Array.from({ length: 11 }, () => of('bacteria')),
      )[0]?.spares,
    ).toBe(3); // bacteria: one in five
    // One in ten of what no edition says: common practice.
    const spares = (count: number) =>
      countBottles(
        table,
        Array.from({ length: count }, () => of('general')),
      )[0]?.spares;
    expect([spares(10), spares(11)]).toEqual([1, 2]);
    // A field blank is two bottles.
    expect(countBottles(table, [of('metals'), of('metals', 'X-FS')])[0]).toMatchObject({ needed: 3 });
  });

  it('keeps an analysis whose bottle is filled', () => {
    purged();
    fill('261123A-MW3-M');
    expect(misfit(book.make(analysisRemoved, { analysis: 'metals' }, book.well))?.message).toContain('261123A-MW3-M was filled');
  });

  it('refuses one visit twice, and a zone that is none', () => {
    const one = { id: book.well, point: wellPoint, analyses: [] };
    const planned = {
      name: 'x',
      code: 'ABC',
      system: 's',
      date: '2026-11-23',
      zone: 'Atlantic/Azores',
      lab: null,
      editions: editionsOn('2026-11-23'),
    };
    expect(roundPlanned.payload.safeParse({ ...planned, visits: [one, one] }).error?.issues[0]?.message).toBe('Two visits have one id.');
    expect(roundPlanned.payload.safeParse({ ...planned, zone: 'Mars/North', visits: [one] }).error?.issues[0]?.path).toEqual(['zone']);
  });
});

describe('level and purge', () => {
  it('takes the later of two readings that agree, in either unit', () => {
    level('7.52');
    level('7.40');
    expect(visit(book.well).level?.agreed).toBeNull();
    level('24.28', 'ft');
    expect(visit(book.well).level?.agreed).toMatchObject({
      depth: expect.closeTo(7.4005, 4) as number,
      typed: { text: '24.28', unit: 'ft' },
    });
  });

  it('wants volume and stability, and says what holds it up', () => {
    setUp();
    const { aim } = visit(book.well).purge!.setUp!;
    expect(aim!.column!.value).toBeCloseTo(18.6 - 7.4, 9);
    expect(aim!.oneVolume.value * 1000).toBeCloseTo(23.786, 3); // π/4 · 0.052² · 11.2 m
    readings('35', '16.8');
    readings('72', '15.6');
    expect(visit(book.well).purge!.stability!.heldUpBy.map((verdict) => verdict.parameter)).toEqual(['temperature']);
    readings('90', '15.6');
    expect(visit(book.well).purge).toMatchObject({ ready: true, volumesDone: expect.closeTo(3.78, 2) as number });
  });

  it('notices a pumped total that falls', () => {
    level('7.40');
    level('7.40');
    book.atWell(purgeSetUp, {
      method: 'volumes',
      insideDiameter: { text: '52', unit: 'mm' },
      volumes: 3,
      criterion: 'two-sets@2026-1',
      parameters: ['ph'],
    });
    readings('35', '16');
    readings('30', '16');
    expect(visit(book.well).purge!.findings.map((finding) => finding.code)).toEqual(['total-fell']);
  });

  it('ends early only with a reason', () => {
    level('7.40');
    level('7.40');
    book.atWell(purgeSetUp, {
      method: 'volumes',
      insideDiameter: { text: '52', unit: 'mm' },
      volumes: 3,
      criterion: 'two-sets@2026-1',
      parameters: ['ph'],
    });
    expect(misfit(book.make(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } }, book.well))?.path).toBe('payload.reason');
    expect(
      misfit(book.make(purgeEnded, { flowCell: 'detached', filling: { how: 'split' }, reason: 'ran dry' }, book.well)),
    ).toBeUndefined();
  });

  it('follows a correction: the level moves, and the volume with it', () => {
    purged();
    const second = book.entries.filter(levelRead.is)[1]!;
    book.correct(second, 'misread the tape', { payload: { ...second.payload, depth: { text: '7.404', unit: 'm' } } });
    expect(visit(book.well).level?.agreed?.typed.text).toBe('7.404');
    expect(visit(book.well).purge!.setUp!.aim!.column!.value).toBeCloseTo(11.196, 9);
  });
});

const metals = '261123A-MW3-M';
const found = (parameter: LabResult['parameter'], value: number, bottle: string): LabResult => ({
  line: 2,
  bottle,
  parameter,
  form: 'value',
  value,
  estimated: false,
  reportingLimit: null,
  written: { result: String(value), unit: '', reportingLimit: '' },
});

/** A report comes and is read. */
function reportOf(results: LabResult[], sha = 'a', mapping: Partial<Mapping> = {}, unread = 0) {
  const received = book.write(
    reportReceived,
    { sha256: sha.repeat(64), name: `${sha}.csv`, size: 1, from: 'lab', fault: null },
    { minutes: 24 * 60 },
  );
  book.write(reportRead, { sha256: sha.repeat(64), mapping: { columns: {}, ...mapping }, header: [], unread, results });
  return Date.parse(received.at.utc);
}

describe('bottles', () => {
  it('go down the stream one stage at a time', () => {
    const id = '261123A-MW3-N';
    const seen = [stage(id)];
    const after = (step: () => unknown) => {
      step();
      seen.push(stage(id));
    };
    after(() => book.write(bottlesPacked, { bottles: [id] }));
    after(purged);
    after(() => fill(id));
    const handing = { entry: '' };
    after(() => {
      handing.entry = handOver([id]).id;
    });
    book.write(labAnswered, { handOver: handing.entry, reference: 'L1', bottles: [{ bottle: id, accepted: true }] });
    after(() => reportOf([found('nitrate', 57, id)], 'a'));
    after(() => reportOf([found('nitrite', 0.01, id)], 'b'));
    expect(seen).toEqual(['planned', 'ready', 'measured', 'filled', 'handed-over', 'reported', 'judged']);
  });

  it('are judged by the report of a lab whose desk never answered', () => {
    const id = '261123A-MW3-N';
    purged();
    fill(id);
    handOver([id]);
    expect([...bottlesAtLab(state()).keys()]).toEqual([id]);
    reportOf([found('nitrate', 57, id), found('nitrite', 0.01, id)]);
    expect(stage(id)).toBe('judged');
    expect(nextStep(state())?.code).not.toBe('ask-lab');
  });

  it('are replaced by a spare with a label of its own', () => {
    purged();
    book.atWell(bottleDiscarded, { bottle: '261123A-MW3-M', reason: 'overfilled' });
    book.atWell(bottleDiscarded, { bottle: '261123A-MW3-M2', reason: 'cap-dropped' });
    const metals = state().bottles.filter((bottle) => bottle.rule === 'metals');
    expect(metals.map((bottle) => [bottle.id, bottle.state])).toEqual([
      ['261123A-MW3-M', 'discarded'],
      ['261123A-MW3-M2', 'discarded'],
      ['261123A-MW3-M3', 'empty'],
    ]);
    expect(misfit(book.make(bottleFilled, { bottle: '261123A-MW3-M' }, book.well))?.message).toBe('This bottle was thrown away.');
  });

  it('cannot be filled before the purge ends, twice, or out of the protocol', () => {
    expect(misfit(book.make(bottleFilled, { bottle: '261123A-MW3-N' }, book.well))?.message).toContain('End the purge first');
    expect(misfit(book.make(bottleFilled, { bottle: '261123A-MH1-B' }, book.tap))?.message).toContain('filling step');
    purged();
    fill('261123A-MW3-N');
    expect(misfit(book.make(bottleFilled, { bottle: '261123A-MW3-N' }, book.well))?.message).toContain('filled already');
  });

  it('come back to empty when a filling is struck; after the hand-over that sets the hand-over aside, and says so before', () => {
    purged();
    const filled = fill('261123A-MW3-N');
    const before = book.strike(filled, 'wrong bottle tapped');
    expect(foresee(book.entries, before)).toMatchObject({
      misfit: null,
      consequences: [{ code: 'stage-back', bottle: '261123A-MW3-N', from: 'filled', to: 'measured' }],
    });
    const form = handOver(['261123A-MW3-N']);
    const { misfit: own, consequences } = foresee(book.entries, book.strike(filled, 'wrong bottle tapped'));
    expect(own).toBeNull();
    expect(consequences).toMatchObject([
      { code: 'set-aside', entry: { id: form.id }, misfit: { code: 'not-in-cooler' } },
      { code: 'stage-back', from: 'handed-over', to: 'measured' },
    ]);
  });

  it('stand on the form once they are filled, and on no second form', () => {
    purged();
    fill('261123A-MW3-N');
    expect(formLines(state())).toMatchObject([{ pointName: 'Tannery 3', sampleType: 'routine', residual: 'not-needed' }]);
    const form = handOver(['261123A-MW3-N']);
    expect(formLines(state())).toEqual([]);
    expect(misfit(book.make(handedOver, form.payload))?.message).toContain('not in the cooler');
  });
});

describe('a purge', () => {
  it('is asked about before a set is written that slips, falls, rises or comes too soon', () => {
    setUp('two-sets@2026-2');
    const set = (pumped: string, oxygen: string, depth?: string) => ({
      pumped: { text: pumped, unit: 'L' as const },
      values: { temperature: { text: '16.1', unit: 'degC' as const }, oxygen: { text: oxygen, unit: 'mg/L' as const } },
      ...(depth ? { level: { text: depth, unit: 'm' as const } } : {}),
    });
    book.atWell(purgeReading, set('30', '4.0'));
    const { purge, level: own } = visit(book.well);
    const asks = (payload: ReturnType<typeof set>, seconds = 300) =>
      questionSet(payload, purge!, own!.agreed, book.now + seconds * 1000).map(({ code }) => code);
    expect(asks(set('60', '4.1', '7.52'))).toEqual([]);
    expect(asks(set('20', '4.1'))).toEqual(['total-fell']);
    expect(asks(set('60', '4.1', '7.20'))).toEqual(['level-rose']);
    expect(asks(set('60', '0.41'))).toEqual(['far-from-last']);
    expect(asks(set('60', '4.1'), 20)).toEqual(['sets-close']);
  });
});

describe('a stated time of collection', () => {
  it('starts the clock of the bottle, and is never later than now', () => {
    purged();
    const earlier = book.now - 2 * hour;
    const stated = (at: number) => ({ bottle: '261123A-MW3-N', stated: { collected: instantAt(at, -60), reason: 'no phone at the well' } });
    expect(misfit(book.make(bottleFilled, stated(book.now + hour), book.well))?.path).toBe('payload.stated.collected');
    book.atWell(bottleFilled, stated(earlier));
    expect(state().bottles.find(({ id }) => id === '261123A-MW3-N')).toMatchObject({ filledAt: earlier, state: 'filled' });
  });
});

describe('verdict and follow-up', () => {
  const bacteria = '261123A-MH1-B';
  function reported(value: number, accepted = true) {
    book.sampleTap();
    const form = handOver([bacteria]);
    book.write(labAnswered, {
      handOver: form.id,
      reference: 'L1',
      bottles: [accepted ? { bottle: bacteria, accepted } : { bottle: bacteria, accepted, reason: 'Leaking' }],
    });
    return reportOf(accepted ? [found('coliforms', value, bacteria), found('ecoli', 0, bacteria)] : []);
  }

  it('asks for repeats and source samples within 24 hours of a positive', () => {
    // 40 CFR 141.858, 141.402
    const arrived = reported(3);
    book.write(judgedAnew, { limits: ['us-40-cfr@2026-2'], reason: 'a system under federal rules' });
    const due = state().followUps;
    expect(due.map((action) => [action.id.split(':')[0], action.due - arrived])).toEqual([
      ['coliform-repeats', 24 * hour],
      ['coliform-source', 24 * hour],
    ]);
    expect(overview(state()).followUps).toHaveLength(2);
    book.write(actionDone, { action: due[0]!.id, note: 'three repeats taken' });
    expect(overview(state()).followUps).toHaveLength(1);
    expect(misfit(book.make(actionDone, { action: due[0]!.id, note: 'again' }))?.message).toBe('This follow-up is done.');
  });

  it('counts from the telephone call, which stands until a report says it', () => {
    book.sampleTap();
    const form = handOver([bacteria]);
    book.write(labAnswered, { handOver: form.id, reference: 'L1', bottles: [{ bottle: bacteria, accepted: true }] });
    const call = book.now + 20 * hour;
    book.write(
      resultTold,
      { bottle: bacteria, parameter: 'ecoli', form: 'present', result: null, told: instantAt(call, -60), by: 'the lab' },
      { minutes: 21 * 60 },
    );
    const first = state();
    const [germ, cause] = [endOfDay(call, 'Atlantic/Azores'), call + 24 * hour];
    expect(first.followUps.map(({ id, due }) => [id.split(':')[0], due])).toEqual([
      ['ecoli-at-once', germ],
      ['coliform-cause', cause],
    ]);
    expect(first.verdict!.gaps).toMatchObject({
      reported: 0,
      asked: 2,
      pending: [{ bottle: bacteria, parameters: ['coliforms', 'ecoli'] }],
    });
    expect(stage(bacteria)).toBe('handed-over');
    reportOf([found('coliforms', 3, bacteria), found('ecoli', 1, bacteria)]);
    expect(state().followUps[0]!.due).toBe(endOfDay(call, 'Atlantic/Azores'));
    expect(state().verdict!.visits[0]!.judged).toHaveLength(2);
    expect(
      misfit(
        book.make(resultTold, {
          bottle: 'x',
          parameter: 'ecoli',
          form: 'present',
          result: null,
          told: instantAt(call, -60),
          by: 'the lab',
        }),
      )?.path,
    ).toBe('payload.bottle');
    expect(
      misfit(
        book.make(resultTold, {
          bottle: bacteria,
          parameter: 'lead',
          form: 'present',
          result: null,
          told: instantAt(call, -60),
          by: 'the lab',
        }),
      )?.path,
    ).toBe('payload.parameter');
  });

  it('says before a report is written down which open follow-up it takes away', () => {
    book.sampleTap();
    handOver([bacteria]);
    reportOf([found('ecoli', 1, bacteria)], 'a');
    const mapping = { columns: {}, replaces: { ['a'.repeat(64)]: 'whole' as const } };
    book.write(reportReceived, { sha256: 'b'.repeat(64), name: 'b.csv', size: 1, from: 'lab', fault: null });
    const amended = (value: number) =>
      foresee(
        book.entries,
        book.make(reportRead, { sha256: 'b'.repeat(64), mapping, header: [], unread: 0, results: [found('ecoli', value, bacteria)] }),
      ).consequences.filter(({ code }) => code === 'follow-up-gone');
    expect(amended(0).map((one) => 'what' in one && one.what)).toEqual([
      expect.stringContaining('Call the authority and the operator now'),
      expect.stringContaining('look for the way in'),
    ]);
    expect(amended(3)).toEqual([]);
  });

  it('believes neither what was told nor what is reported where they differ, until the lab says which', () => {
    book.sampleTap();
    handOver([bacteria]);
    const told = book.write(
      resultTold,
      { bottle: bacteria, parameter: 'ecoli', form: 'present', result: null, told: instantAt(book.now, -60), by: 'the lab' },
      { minutes: 20 * 60 },
    );
    reportOf([found('coliforms', 0, bacteria), found('ecoli', 0, bacteria)]);
    const ecoli = () => state().verdict!.visits[0]!.judged.find(({ result }) => result.parameter === 'ecoli')!.verdict;
    // What was told stays beside the report, and so does what it asks for: a call about E. coli is not closed by a sheet without it.
    const states = () =>
      state()
        .verdict!.visits[0]!.judged.filter(({ result }) => result.parameter === 'ecoli')
        .map(({ report, verdict }) => [report === null ? 'told' : 'reported', verdict.state]);
    expect(states()).toEqual([
      ['told', 'over-health'],
      ['reported', 'proves-nothing'],
    ]);
    expect(state().followUps.map(({ id }) => id.split(':')[0])).toEqual(['ecoli-at-once', 'ask-which-holds', 'coliform-cause']);
    book.correct(told, 'it was another client’s');
    expect(ecoli()).toMatchObject({ state: 'meets', weakness: null });
    expect(state().followUps).toEqual([]);
  });

  // Arsenic: 10 µg/L in Directive (EU) 2020/2184, Annex I, Part B.
  it.each([
    ['0.012 mg/L is 12 µg/L', 'value', { text: '0.012', unit: 'mg/L' }, 12, ['over-health']],
    ['0.012 µg/L beside less than 1', 'value', { text: '0.012', unit: 'ug/L' }, '<1', ['meets']],
    ['less than 1 beside 0.4', 'below', { text: '1', unit: 'ug/L' }, 0.4, ['meets']],
    ['less than 1 beside 12', 'below', { text: '1', unit: 'ug/L' }, 12, ['over-health']],
    ['more than 10 beside 9.5, within what is rounded, on the other side', 'above', { text: '10', unit: 'ug/L' }, 9.5, ['proves-nothing']],
    ['10.4 beside 9.6, on the other side', 'value', { text: '10.4', unit: 'ug/L' }, 9.6, ['proves-nothing']],
    ['12 beside 0.012', 'value', { text: '12', unit: 'ug/L' }, 0.012, ['over-health', 'proves-nothing']],
  ] as const)('compares what was told with what is reported: %s', (_, form, result, reported, states) => {
    purged();
    fill(metals);
    handOver([metals]);
    book.write(resultTold, { bottle: metals, parameter: 'arsenic', form, result, told: instantAt(book.now, -60), by: 'the lab' });
    const number = found('arsenic', typeof reported === 'number' ? reported : 1, metals);
    reportOf([typeof reported === 'number' ? number : { ...number, form: 'below' as const }]);
    const judged = state().verdict!.visits.flatMap((visit) => visit.judged);
    expect(judged.map(({ verdict }) => verdict.state)).toEqual(states);
  });

  it('takes a call on Friday afternoon before there is any report: what must be done is due that day, over the weekend', () => {
    book.sampleTap();
    handOver([bacteria]);
    expect([state().verdict, openAtLab(state()).map((one) => one.parameters)]).toEqual([null, [['coliforms', 'ecoli']]]);
    const friday = atWall('2026-11-27', '16:40', 'Atlantic/Azores');
    book.now = friday + 5 * 60_000;
    const call = { bottle: bacteria, told: instantAt(friday, -60), by: 'the lab', result: null };
    book.write(resultTold, { ...call, parameter: 'ecoli', form: 'present' });
    book.write(resultTold, { ...call, parameter: 'coliforms', form: 'uncountable' });
    const due = () => state().followUps.map(({ id, due: by, isHealth }) => [id.split(':')[0], by, isHealth]);
    expect(due()[0]).toEqual(['ecoli-at-once', endOfDay(friday, 'Atlantic/Azores'), true]);
    book.now = atWall('2026-11-30', '09:00', 'Atlantic/Azores');
    reportOf([found('coliforms', 200, bacteria), found('ecoli', 0, bacteria)]);
    expect(due()[0]).toEqual(['ecoli-at-once', endOfDay(friday, 'Atlantic/Azores'), true]);
  });

  it('takes no number without a form for one, and no nitrogen without what it is expressed as', () => {
    const call = { bottle: bacteria, told: instantAt(book.now, -60), by: 'the lab' };
    const said = { ...call, parameter: 'nitrate', form: 'value', result: { text: '12', unit: 'mg/L' } };
    const paths = (payload: object) => resultTold.payload.safeParse(payload).error?.issues.map(({ path }) => path.join('.')) ?? [];
    expect([
      paths(said),
      paths({ ...said, as: 'N' }),
      paths({ ...said, form: 'absent', as: 'N' }),
      paths({ ...said, result: null }),
    ]).toEqual([['as'], [], ['result'], ['result']]);
  });

  it('waits for what was asked for until somebody says that it will not come', () => {
    book.sampleTap();
    const form = handOver([bacteria]);
    book.write(labAnswered, { handOver: form.id, reference: 'L1', bottles: [{ bottle: bacteria, accepted: true }] });
    reportOf([found('coliforms', 0, bacteria)], 'a', {}, 2);
    expect(state().verdict!.gaps).toMatchObject({ reported: 1, asked: 2, rows: 2, without: 0 });
    expect(stage(bacteria)).toBe('reported');
    const given = book.write(resultsGivenUp, { bottle: bacteria, parameters: ['ecoli'], reason: 'the dish was broken' });
    expect([stage(bacteria), state().verdict!.gaps.without]).toEqual(['judged', 1]);
    const asks = () => readRoom.next!.results!({ ...state(), plan: { lab: state().plan.lab } });
    expect(asks()).toEqual({ code: 'settle-rows', data: { count: 2 } });
    book.write(rowsSettled, { sha256: 'a'.repeat(64), reason: 'two rows of the lab’s own' });
    expect([asks(), state().verdict!.gaps.rows]).toEqual([null, 0]);
    book.correct(given, 'it comes after all');
    expect(asks()).toEqual({ code: 'wait-for-report' });
  });

  it('takes the later of two reports where it is said to replace the earlier one, as a whole or in what it repeats', () => {
    reported(3);
    const values = () => state().verdict!.visits[0]!.judged.map(({ result }) => [result.parameter, result.value]);
    reportOf([found('coliforms', 0, bacteria)], 'b', { replaces: { ['a'.repeat(64)]: 'repeated' } });
    expect(values()).toEqual([
      ['coliforms', 0],
      ['ecoli', 0],
    ]);
    expect(state().followUps).toEqual([]);
    reportOf([found('coliforms', 5, bacteria)], 'c', { replaces: { ['a'.repeat(64)]: 'whole', ['b'.repeat(64)]: 'whole' } });
    expect(values()).toEqual([['coliforms', 5]]);
    expect(stage(bacteria)).toBe('reported');
  });

  it('says nothing of a spoilt or special sample where nothing was found, and all the same where something was', () => {
    book.sampleTap({ before: 'rinse-bleach' });
    book.done('rinse-bleach', { type: 'clock' }, 'in a hurry');
    const { steps } = protocolNamed('coliforms-distribution');
    for (const step of steps.slice(steps.findIndex(({ id }) => id === 'residual-again'))) {
      if (step.act.type === 'fill') book.atTap(bottleFilled, { bottle: bacteria });
      book.done(step.id, answerTo(step, '0.45'));
    }
    const bottle = state().bottles.find(({ id }) => id === bacteria)!;
    expect(bottle).toMatchObject({ sample: 'invalid', reasons: [{ code: 'departure', makes: 'invalid' }] });
    expect(formLines(state())).toMatchObject([{ sampleType: 'invalid' }]);
    handOver([bacteria]);
    reportOf([found('coliforms', 3, bacteria), found('ecoli', 0, bacteria)]);
    expect(state().verdict!.visits[0]!.judged.map(({ verdict }) => [verdict.state, verdict.weakness])).toEqual([
      ['over-indicator', 'invalid'],
      ['proves-nothing', 'invalid'],
    ]);
  });

  it('asks for nothing when none is found', () => {
    reported(0);
    expect(state().followUps).toEqual([]);
  });

  it('asks for a new sample when the lab refuses one', () => {
    reported(0, false);
    expect(state().followUps).toMatchObject([
      { task: { code: 'call-lab', lab: 'Island lab', bottles: [bacteria] } },
      { id: `resample:${bacteria}`, task: { code: 'resample', how: 'refused', reason: 'Leaking' } },
    ]);
    expect(state().bottles.find((bottle) => bottle.id === bacteria)).toMatchObject({
      stage: 'handed-over',
      lost: { how: 'refused', reason: 'Leaking' },
    });
  });
});

describe('what does not fit a book', () => {
  it('is told with the path of its field', () => {
    const stranger = {
      ...book.make(levelRead, { measuringPoint: 'North rim', depth: { text: '7', unit: 'm' }, water: 'static' }, book.book),
    };
    expect(misfit(stranger)?.path).toBe('visit');
    expect(
      misfit(book.make(levelRead, { measuringPoint: 'North rim', depth: { text: '7', unit: 'm' }, water: 'static' }, book.tap))?.message,
    ).toBe('A tap has no water level.');
    expect(
      misfit(book.make(levelRead, { measuringPoint: 'South rim', depth: { text: '7', unit: 'm' }, water: 'static' }, book.well))?.path,
    ).toBe('payload.measuringPoint');
    expect(misfit(book.make(clockStarted, { procedure: 'coliforms-distribution', step: 'flush' }, book.tap))?.message).toBe(
      'Start the protocol first.',
    );
    expect(misfit(book.make(bottleFilled, { bottle: 'x' }, book.well))?.message).toBe('No such bottle at this point.');
    expect(misfit(book.strike(book.entries[0]!, 'no reason'))?.message).toContain('cannot be struck');
    expect(misfit(book.make(actionDone, { action: 'nothing', note: 'done' }))?.path).toBe('payload.action');
  });

  it('includes a correction to something that would not have stood itself', () => {
    const read = level('7.40');
    const strike = (payload: unknown) => misfitOfCorrected(read, { payload });
    expect(strike({ ...read.payload, measuringPoint: 'South rim' })).toBe('no-such-mark');
    expect(strike({ ...read.payload, depth: { text: '40', unit: 'm' } })).toBe('unexplained');
    expect(misfitOfCorrected(read, { visit: book.tap })).toBe('no-level');
    expect(foresee(book.entries, book.strike(read, 'no change', { payload: read.payload })).misfit?.code).toBe('changes-nothing');
  });
});

/** Why what would stand in the place of an entry would not fit. */
function misfitOfCorrected(entry: Entry, instead: Parameters<Script['strike']>[2]): string | undefined {
  const [found] = foresee(book.entries, book.strike(entry, 'typing slip', instead)).consequences;
  return found?.code === 'set-aside' ? found.misfit.code : undefined;
}

it('names the next step through the day', () => {
  book.arrived();
  expect(nextStep(state())).toMatchObject({ room: 'level', visit: book.well, code: 'measure-level' });
  purged();
  expect(nextStep(state())).toMatchObject({ room: 'fill', code: 'fill', data: { count: 4 } });
  expect(tapPoint.code).toBe('MH1');
});
