import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { idOf, lab, Script, tapPoint, wellPoint } from '../../test/script.ts';
import { bottleTables, type AnalysisId } from '../bottles/index.ts';
import { bottleFilled } from '../fill/index.ts';
import { analysisAdded, extraPlanned, type PlannedVisit } from '../plan/index.ts';
import type { Point } from '../registers/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import {
  callsToMake,
  checkedElsewhere,
  checkHolds,
  checkIds,
  checkOverridden,
  checkRow,
  checksOf,
  gearChecked,
  gearOf,
  instrumentChecked,
  isShut,
  judgeCheck,
  kindReadiness,
  kitTicked,
  neededInstruments,
  packingList,
  unproven,
  readinessOf,
  type CheckId,
  type CheckMadeElsewhere,
} from './index.ts';

const mg = (text: string) => ({ text, unit: 'mg/L' as const });
const ph = (text: string) => ({ text, unit: 'pH' as const });
const table = bottleTables.newest[0]!;
const visit = (point: Point, ...analyses: AnalysisId[]): PlannedVisit => ({ id: idOf(77), point, analyses });

describe('a check', () => {
  const standard = (expires: string) => ({ lot: 'C-7', expires });
  const chlorine = (reading: string, nominal = '1.00', expires = '2026-12-31') =>
    judgeCheck({ check: 'photometer-standard', reading: mg(reading), nominal: mg(nominal), standard: standard(expires) }, '2026-11-23');

  // 1.00 mg/L read as 0.99 passes at ±0.10: common practice
  it.each([
    ['0.99', 'pass'],
    ['0.90', 'pass'],
    ['1.10', 'pass'],
    ['0.89', 'fail'],
    ['1.11', 'fail'],
    ['0', 'fail'],
    ['-1', 'fail'],
  ])('of 1.00 mg/L that reads %s: %s', (reading, outcome) => {
    expect(chlorine(reading)).toBe(outcome);
  });

  it('allows the larger of an absolute and a relative tolerance', () => {
    expect([chlorine('3.25', '3.00'), chlorine('3.31', '3.00')]).toEqual(['pass', 'fail']);
  });

  it('reads in any unit of the parameter', () => {
    const made = { check: 'photometer-standard' as const, nominal: mg('1.00'), standard: standard('2027-01-01') };
    expect(judgeCheck({ ...made, reading: { text: '990', unit: 'ug/L' } }, '2026-11-23')).toBe('pass');
  });

  it('proves nothing with a standard that is out of date, and is good to the end of its last day', () => {
    expect([chlorine('1.00', '1.00', '2026-11-22'), chlorine('1.00', '1.00', '2026-11-23')]).toEqual(['expired', 'pass']);
  });

  it('is held against the standard that was chosen: a buffer of 4 is no check at 7, and a slope needs another than 7', () => {
    const ph = (check: 'probe-ph7' | 'probe-ph-slope', nominal: string, reading: string) =>
      judgeCheck(
        { check, nominal: { text: nominal, unit: 'pH' }, reading: { text: reading, unit: 'pH' }, standard: standard('2027-01-01') },
        '2026-11-23',
      );
    expect(ph('probe-ph7', '4.00', '7.02')).toBe('wrong-standard');
    expect([ph('probe-ph7', '7.00', '7.02'), ph('probe-ph7', '6.86', '7.02')]).toEqual(['pass', 'fail']);
    expect(ph('probe-ph-slope', '7.00', '7.02')).toBe('wrong-standard');
    expect([ph('probe-ph-slope', '4.01', '4.05'), ph('probe-ph-slope', '10.01', '7.02')]).toEqual(['pass', 'fail']);
  });

  it('by yes or no passes with a yes alone', () => {
    expect([true, false, undefined].map((isGood) => judgeCheck({ check: 'tape-signal', isGood }, '2026-11-23'))).toEqual([
      'pass',
      'fail',
      'fail',
    ]);
  });

  it('is known for every kind, with its tolerance and source', () => {
    for (const id of checkIds) {
      const { parameter, tolerance, source } = checkRow(id);
      expect(parameter === undefined, id).toBe(tolerance === undefined);
      expect(source.length, id).toBeGreaterThan(10);
    }
  });
});

describe('an instrument before it is used', () => {
  let book: Script;
  const { state, misfit } = atTheWell(() => book);
  const photometer = { id: idOf(61), name: 'Photometer 1', kind: 'photometer' as const, serial: 'P-11' };
  const check = (id: CheckId, reading: string, expires = '2026-12-31') =>
    book.write(instrumentChecked, {
      instrument: photometer,
      check: id,
      reading: mg(reading),
      ...(id.endsWith('-standard') ? { nominal: mg('1.00'), standard: { name: 'Chlorine', lot: 'C-7', expires } } : {}),
    });
  const noon = { at: Date.parse('2026-11-23T12:00:00Z'), zone: 'UTC' };
  const photometers = (when = noon) => kindReadiness('photometer', ['freeChlorine'], state().prepare, when);
  beforeEach(() => {
    book = new Script().plan();
  });

  it('is checked once every check has passed, and failed by one that does not', () => {
    expect(photometers()).toBe('unchecked');
    check('photometer-zero', '0.00');
    expect(photometers()).toBe('unchecked');
    check('photometer-standard', '0.98');
    expect(photometers()).toBe('checked');
    check('photometer-standard', '0.70');
    expect(photometers()).toBe('failed');
    expect(readinessOf(photometer, ['freeChlorine'], state().prepare.checks, noon)).toBe('failed');
    // Adjusted and checked once more.
    check('photometer-standard', '1.02');
    expect(photometers()).toBe('checked');
  });

  it('is checked for what its own range was checked for, and for no other', () => {
    check('photometer-zero', '0.00');
    check('photometer-standard', '0.98');
    const stands = (of: ParameterId, when = noon) => kindReadiness('photometer', [of], state().prepare, when);
    // Common practice: each range has a curve, and a dye, of its own.
    expect(stands('freeChlorine')).toBe('checked');
    for (const other of ['totalChlorine', 'monochloramine', 'fluoride', 'ph'] as const) expect(stands(other), other).toBe('unchecked');
    check('photometer-total-standard', '1.40');
    expect(stands('totalChlorine')).toBe('failed');
    expect(stands('freeChlorine')).toBe('checked');
    check('photometer-total-standard', '1.05');
    expect(stands('totalChlorine')).toBe('unchecked');
    check('photometer-total-zero', '0.01');
    expect(stands('totalChlorine')).toBe('checked');
    // What no range was named for, and what has no range, rests on all of them.
    for (const of of [[], ['lead']] as const) expect(kindReadiness('photometer', [...of], state().prepare, noon)).toBe('unchecked');
    // Both are read there: both are asked for.
    expect(kindReadiness('photometer', ['freeChlorine', 'ph'], state().prepare, noon)).toBe('unchecked');
    // What was read before ranges were told apart stands on the checks of its day.
    const before = { at: Date.parse('2026-11-19T12:00:00Z'), zone: 'UTC' };
    const made = state().prepare.checks.map((one) => ({ ...one, at: before.at - 3_600_000 }));
    const free = made.filter(({ check: id }) => !id.includes('total'));
    expect(readinessOf(photometer, ['totalChlorine'], free, before)).toBe('checked');
  });

  it('holds for its day; from the evening before for the next one; a failure until it passes', () => {
    check('photometer-zero', '0.00');
    check('photometer-standard', '0.98');
    const { at } = state().prepare.checks[0]!;
    const on = (wall: string) => photometers({ at: Date.parse(wall), zone: 'UTC' });
    expect(new Date(at).toISOString().slice(0, 11)).toBe('2026-11-23T');
    expect([on('2026-11-23T23:59:00Z'), on('2026-11-24T00:01:00Z')]).toEqual(['checked', 'unchecked']);
    const evening = Date.parse('2026-11-22T17:30:00Z');
    expect(
      ['2026-11-22T18:00:00Z', '2026-11-23T16:00:00Z', '2026-11-24T00:30:00Z'].map((wall) =>
        checkHolds(evening, { at: Date.parse(wall), zone: 'UTC' }),
      ),
    ).toEqual([true, true, false]);
    // The day is the site's: 23:30 in the Azores (UTC−1) is 00:30 UTC of the next.
    expect(checkHolds(Date.parse('2026-11-23T09:00:00Z'), { at: Date.parse('2026-11-24T00:30:00Z'), zone: 'Atlantic/Azores' })).toBe(true);
    check('photometer-zero', '0.40');
    expect(on('2026-12-05T08:00:00Z')).toBe('failed');
  });

  it('is taken over from another round of the day, not from an earlier day, and not over what was read here since', () => {
    const round = idOf(90);
    const elsewhere = (minutes: number, id: CheckId, reading: string): CheckMadeElsewhere => ({
      round,
      entry: idOf(91),
      at: Date.parse('2026-11-23T06:00:00Z') + minutes * 60_000,
      payload: instrumentChecked.payload.parse({
        instrument: photometer,
        check: id,
        reading: mg(reading),
        ...(id === 'photometer-standard' ? { nominal: mg('1.00'), standard: { name: 'Chlorine', lot: 'C-7', expires: '2026-12-31' } } : {}),
      }),
    });
    const made = [
      elsewhere(0, 'photometer-zero', '0.30'),
      elsewhere(5, 'photometer-zero', '0.00'),
      elsewhere(9, 'photometer-standard', '1.01'),
    ];
    const offered = (when = noon) => checkedElsewhere(photometer.id, made, state().prepare, idOf(1), when).map(({ at }) => at);
    expect(offered()).toEqual([made[1]!.at, made[2]!.at]);
    // One that this device has not sent yet comes last in the list, and is the older all the same.
    const failedSince = [elsewhere(7, 'photometer-zero', '0.30'), elsewhere(5, 'photometer-zero', '0.00')];
    expect(checkedElsewhere(photometer.id, failedSince, state().prepare, idOf(1), noon).map(({ at }) => at)).toEqual([failedSince[0]!.at]);
    expect(offered({ ...noon, at: noon.at + 86_400_000 })).toEqual([]);
    const taken = (of: CheckMadeElsewhere, back = 0) => ({
      ...of.payload,
      taken: { round, entry: of.entry, at: { utc: new Date(of.at - back).toISOString(), offset: 0 } },
    });
    expect(misfit(book.make(instrumentChecked, taken(made[1]!, 86_400_000)))?.message).toMatch(/from an earlier day/);
    for (const of of made.slice(1)) book.write(instrumentChecked, taken(of));
    expect(photometers()).toBe('checked');
    // Twice, or once more after it was read here, it says nothing new.
    expect(misfit(book.make(instrumentChecked, taken(made[1]!)))?.message).toMatch(/checked in this round since/);
    expect(offered()).toEqual([]);
  });

  it('is used all the same with a reason, until it fails anew', () => {
    check('photometer-zero', '0.30');
    book.write(checkOverridden, { kind: 'photometer', reason: 'only for yes or no' });
    expect(photometers()).toBe('overridden');
    check('photometer-zero', '0.30');
    expect(photometers()).toBe('failed');
  });

  it('fails by a lot that is out of date, and one other instrument that passes is enough', () => {
    check('photometer-zero', '0.00');
    check('photometer-standard', '1.00', '2026-11-01');
    expect(photometers()).toBe('failed');
    for (const [id, more] of [
      ['photometer-zero', {}],
      ['photometer-standard', { nominal: mg('1.00'), standard: { name: 'Chlorine', lot: 'C-8', expires: '2027-01-01' } }],
    ] as const)
      book.write(instrumentChecked, {
        instrument: { ...photometer, id: idOf(62), name: 'Photometer 2' },
        check: id,
        reading: mg(id === 'photometer-zero' ? '0.01' : '1.00'),
        ...more,
      });
    expect(photometers()).toBe('checked');
  });

  it('takes no check of another kind, without a reading, or of a standard without its lot', () => {
    const path = (payload: object) => misfit(book.make(instrumentChecked, { instrument: photometer, ...payload } as never))?.path;
    expect(path({ check: 'probe-ph7', reading: ph('7.0') })).toBe('payload.check');
    expect(path({ check: 'photometer-zero' })).toBe('payload.reading');
    expect(path({ check: 'photometer-standard', reading: mg('1') })).toBe('payload.nominal');
    expect(path({ check: 'photometer-standard', reading: mg('1'), nominal: mg('1') })).toBe('payload.standard.lot');
  });

  it('bars what depends on it once it has failed, or was not checked where it is kept in the register', () => {
    expect([isShut('photometer', 'failed', false), isShut('photometer', 'unchecked', true), isShut('tape', 'failed', true)]).toEqual([
      true,
      true,
      true,
    ]);
    expect([isShut('photometer', 'unchecked', false), isShut('tape', 'unchecked', true), isShut('probe', 'checked', true)]).toEqual([
      false,
      false,
      false,
    ]);
    expect(isShut('photometer', 'overridden', true)).toBe(false);
    // Where work goes on all the same, it is said on what it stands.
    const said = (['thermometer', 'photometer', 'tape'] as const).map((kind) =>
      [true, false].map((isKept) => unproven(kind, 'unchecked', isKept)),
    );
    expect(said).toEqual([
      ['unchecked', 'not-kept'],
      [null, 'not-kept'],
      [null, null],
    ]);
    expect(unproven('thermometer', 'checked', true)).toBeNull();
  });

  it('is needed by what is planned', () => {
    const neededKinds = (...said: Parameters<typeof neededInstruments>) => neededInstruments(...said).map(({ kind }) => kind);
    expect(neededKinds([visit(tapPoint, 'coliforms')])).toEqual(['photometer', 'thermometer']);
    expect(neededKinds([visit(wellPoint)])).toEqual(['tape']);
    expect(neededKinds([visit(wellPoint, 'general')])).toEqual(['probe', 'thermometer', 'tape', 'pump']);
    // Its ranges, where its protocol reads them: what is checked before leaving.
    expect(neededInstruments([visit(tapPoint, 'coliforms')], () => ['totalChlorine', 'temperature'])).toEqual([
      { kind: 'photometer', of: ['freeChlorine', 'totalChlorine'] },
      { kind: 'thermometer', of: ['temperature'] },
    ]);
    // A protocol that asks for chlorine at a well needs a photometer there, wherever its water comes from.
    expect(neededKinds([visit(wellPoint, 'general')], () => ['freeChlorine'])).toContain('photometer');
    expect(packingList([visit(wellPoint, 'general')], table, () => ['freeChlorine'])).toContain('chlorine-kit');
    for (const kind of neededKinds([visit(tapPoint, 'coliforms'), visit(wellPoint, 'general')]))
      expect(checksOf(kind).length, kind).toBeGreaterThan(0);
  });

  it('with gear that is not so makes less of the bottles that ask for it, and of no other', () => {
    book.atTap(analysisAdded, { analysis: 'pfas533' });
    const samples = () => Object.fromEntries(state().bottles.map(({ card, sample }) => [card.letter, sample]));
    expect(gearOf(state().plan.visits, table)).toContain('pfas-tubing');
    book.write(gearChecked, { gear: 'pfas-tubing', isSo: false });
    expect(samples()).toMatchObject({ PA: 'invalid', G: 'routine' });
    book.write(gearChecked, { gear: 'pfas-tubing', isSo: true });
    expect(samples()).toMatchObject({ PA: 'routine' });
  });

  it('counts as it stood when a bottle was filled: what is said afterwards mends nothing', () => {
    book.atTap(analysisAdded, { analysis: 'fluoride' });
    book.atTap(analysisAdded, { analysis: 'pfas533' });
    book.atTap(extraPlanned, { analysis: 'pfas533', purpose: 'field-blank' });
    book.atTap(bottleFilled, { bottle: '261123A-MH1-PA-FR' });
    book.write(gearChecked, { gear: 'pfas-tubing', isSo: false });
    book.sampleTap({ procedure: 'pfas-533-tap', before: 'fill' });
    book.atTap(bottleFilled, { bottle: '261123A-MH1-PAA' });
    book.write(gearChecked, { gear: 'pfas-tubing', isSo: true });
    book.atTap(bottleFilled, { bottle: '261123A-MH1-PAB' });
    const sample = (id: string) => state().bottles.find((bottle) => bottle.id.endsWith(id))?.sample;
    expect([sample('-PAA'), sample('-PAB')]).toEqual(['invalid', 'routine']);
  });

  it('stands in the van until it is taken out again', () => {
    book.write(kitTicked, { item: 'gloves', isPacked: true });
    expect([...state().prepare.packed]).toEqual(['gloves']);
    book.write(kitTicked, { item: 'gloves', isPacked: false });
    expect([...state().prepare.packed]).toEqual([]);
  });
});

describe('what goes along', () => {
  it('follows from the purpose of the round', () => {
    const level = packingList([visit(wellPoint)], table);
    expect(level).toContain('tape');
    for (const none of ['cooler', 'pump', 'disinfectant'] as const) expect(level).not.toContain(none);
    const bacteria = packingList([visit(tapPoint, 'coliforms')], table);
    for (const one of ['cooler', 'ice', 'disinfectant', 'chlorine-kit'] as const) expect(bacteria).toContain(one);
    expect(bacteria).not.toContain('filters');
    expect(packingList([visit(wellPoint, 'metals')], table)).toEqual(expect.arrayContaining(['filters', 'eye-protection', 'pump']));
    expect(packingList([visit(tapPoint, 'pfas537')], table)).toContain('pfas-water');
    expect(packingList([visit({ ...wellPoint, hazards: ['contaminated'] }, 'general')], table)).toContain('purge-water');
  });

  it('needs both halves of a condition at one point', () => {
    // A well without samples and a tap with them: no pump.
    expect(packingList([visit(wellPoint), visit(tapPoint, 'coliforms')], table)).not.toContain('pump');
  });
});

it('calls those who let one in, once each, and the lab', () => {
  const hall = { ...tapPoint, contacts: [{ name: 'Fish counter', call: '0101' }] };
  expect(callsToMake([visit(hall, 'coliforms'), visit(hall, 'lead')], lab)).toEqual([
    { point: hall.id, whom: 'Fish counter', call: '0101', about: 'let-in' },
    { point: null, whom: 'Island lab', call: null, about: 'lab' },
  ]);
  expect(callsToMake([visit(wellPoint)], lab)).toEqual([]);
  // Whom the work needs is called where nobody is registered as well.
  const whom = (...visits: PlannedVisit[]) => callsToMake(visits, null).map((call) => call.whom);
  expect(whom(visit(tapPoint, 'pfas533'))).toContain('Operator of the supply');
  expect(whom(visit({ ...wellPoint, kind: 'supply-well' }, 'general'))).toContain('Operator of the well');
  expect(whom(visit(tapPoint, 'legionella'))).toEqual(expect.arrayContaining(['Biocide contractor', 'Risk assessor']));
});
