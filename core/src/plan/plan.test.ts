import { describe, expect, it } from 'vitest';
import { idOf, lab, Script, tapPoint, wellPoint } from '../../test/script.ts';
import { upgraded } from '../book/index.ts';
import { Lab, labRegistered, Point } from '../registers/index.ts';
import { fold, sayAbout } from '../round/index.ts';
import {
  bottleId,
  dayPlanned,
  freeCode,
  labellingOf,
  questionDay,
  questionLab,
  questionSurface,
  roundPlanned,
  visitAdded,
} from './index.ts';

const planned = (change: object = {}) => ({ ...(new Script().plan().entries[0]!.payload as object), ...change });
const paths = (payload: unknown) => roundPlanned.payload.safeParse(payload).error?.issues.map((issue) => issue.path.join('.'));

describe('the day of a plan', () => {
  it.each([
    ['2026-11-22', ['day-past']],
    ['2026-11-23', []],
    ['2027-01-22', []],
    ['2027-01-23', ['day-far']],
    ['2062-11-23', ['day-far']],
  ])('%s, seen from 23 November 2026', (date, codes) => {
    expect(questionDay(date, '2026-11-23').map(({ code }) => code)).toEqual(codes);
  });
});

describe('a plan', () => {
  it('is null for a book that has none', () => {
    expect(fold([])).toBeNull();
  });

  it('labels bottles by round, point and letter', () => {
    expect(bottleId({ code: '261123A', date: '2026-11-23' }, 'MW3', 'N')).toBe('261123A-MW3-N');
    const labels = fold(new Script().plan().entries)!.bottles.map((bottle) => bottle.id);
    expect(new Set(labels).size).toBe(labels.length);
  });

  it.each([
    ['no name', { name: ' ' }, 'name'],
    ['a code with blanks', { code: 'A B' }, 'code'],
    ['no system', { system: '' }, 'system'],
    ['a day that is none', { date: '2026-02-30' }, 'date'],
    ['no point', { visits: [] }, 'visits'],
    ['a made-up zone', { zone: 'Atlantic/Marenta' }, 'zone'],
  ])('with %s is refused at its field', (_, change, path) => {
    expect(paths(planned(change))).toEqual([path]);
  });
});

describe('the register of points', () => {
  const well = (change: object) =>
    Point.safeParse({ ...wellPoint, well: { ...wellPoint.well, ...change } }).error?.issues.map((issue) => issue.path.join('.'));

  it.each([
    [{ screenBottom: 11 }, 'well.screenBottom'],
    [{ screenBottom: 19 }, 'well.screenBottom'],
    [{ intake: 30 }, 'well.intake'],
    [{ bottom: -1 }, 'well.bottom'],
    [{ insideDiameter: 0 }, 'well.insideDiameter'],
    [{ bottom: 1e9 }, 'well.bottom'],
    [{ measuringPoints: [] }, 'well.measuringPoints'],
  ])('refuses a well that cannot be: %j', (change, path) => {
    expect(well(change)).toContain(path);
  });

  it('refuses a code that does not fit a label', () => {
    expect(Point.safeParse({ ...tapPoint, code: 'market hall' }).success).toBe(false);
    expect(Point.safeParse({ ...tapPoint, tap: { outlet: 'Spout', residualMinimum: null } }).success).toBe(true);
  });
});

it('refuses a lab whose hours are no times', () => {
  const odd = { id: idOf(1), name: 'L', zone: 'UTC', intake: [{ weekday: 1, opens: '8', closes: '25:00' }], temperature: {} };
  expect(Lab.safeParse(odd).error?.issues.map((issue) => issue.path.join('.'))).toEqual(['intake.0.opens', 'intake.0.closes']);
});

describe('a lab as it is registered', () => {
  const known = { id: idOf(1), name: 'L', zone: 'UTC', intake: [], temperature: {} };
  const refused = (change: object) => Lab.safeParse({ ...known, ...change }).error?.issues.map(({ path }) => path.join('.')) ?? [];
  const hours = (weekday: number, opens: string, closes: string) => ({ weekday, opens, closes });

  it.each([
    [[hours(1, '08:00', '12:00'), hours(1, '13:00', '16:00'), hours(2, '09:00', '15:00')], []],
    [[hours(1, '08:00', '12:00'), hours(1, '11:00', '16:00')], ['intake.1.opens']],
    [[hours(1, '16:00', '08:00')], ['intake.0.closes']],
    [[hours(1, '08:00', '08:00')], ['intake.0.closes']],
  ])('takes hours that follow each other, and refuses those that overlap or end before they begin: %j', (intake, fields) => {
    expect(refused({ intake })).toEqual(fields);
  });

  it.each([
    ['{round}-{point}-{bottle}', true],
    ['W/{date}/{round}.{point}_{bottle}', true],
    ['{point}-{bottle}', false],
    ['{round}-{bottle}', false],
    ['{round}-{point}', false],
    ['{round}{point}-{bottle}', false],
    ['{round}-{point}-{bottle}-{number}', false],
    ['{round} {point} {bottle}', false],
    ['THE.LABS.OWN.LONG.NAME-{round}-{point}-{bottle}', false],
  ])('has identifiers that tell bottles apart, or is refused: %s', (labels, does) => {
    expect(refused({ labels })).toEqual(does ? [] : ['labels']);
  });

  it('labels by its own pattern, whichever visit and blank it is', () => {
    const labelling = labellingOf({ code: '261123A', date: '2026-11-23', lab: { labels: 'W/{date}/{round}.{point}_{bottle}' } });
    expect(bottleId(labelling, 'MW3', 'N', 2)).toBe('W/261123/261123A.MW3.2_N');
  });

  it('is asked for what it does not take, and never opens where it has no hours', () => {
    const codes = (lab: Partial<Lab>) => questionLab({ ...known, ...lab }, ['coliforms', 'radon', 'radon']).map(({ code }) => code);
    expect(codes({ intake: [hours(1, '08:00', '12:00')] })).toEqual([]);
    expect(codes({ intake: [hours(1, '08:00', '12:00')], takes: ['coliforms'] })).toEqual(['lab-takes-not']);
    expect(codes({})).toEqual(['lab-never-opens']);
  });

  it('of before is one of today: its days of bacteria are cut-offs', () => {
    const [, second] = labRegistered.earlier;
    const before = second!.payload.parse({ ...known, bacteriaCloses: { 4: '12:00', 5: null } });
    expect(upgraded(labRegistered, 2, before)).toMatchObject({
      cutOffs: [
        { bottles: ['bacteria'], weekdays: [4], closes: '12:00' },
        { bottles: ['bacteria'], weekdays: [5], closes: null },
      ],
      dropOffs: [],
    });
  });
});

describe('the code of a round', () => {
  it('is the first free letter of the day, and none that is easily misread', () => {
    expect(freeCode('2026-11-23', [])).toBe('261123A');
    expect(freeCode('2026-11-23', ['261123A', '261123B', '261124C'])).toBe('261123C');
    expect(
      freeCode(
        '2026-11-23',
        [...'ABCDEFGHIJKM'].map((letter) => `261123${letter}`),
      ),
    ).toBe('261123N');
  });

  it('goes on with numbers when a day has more rounds than letters', () => {
    const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => `261123${letter}`);
    expect(freeCode('2026-11-23', letters)).toBe('261123Z2');
    expect(freeCode('2026-11-23', [...letters, '261123Z2'])).toBe('261123Z3');
  });
});

describe('the order of the day', () => {
  const settings = { start: '08:00', speed: 11, roadFactor: 1.4 };
  const ordered = (script: Script, order: string[]) => fold([...script.entries, script.make(dayPlanned, { ...settings, order }, null)])!;

  it('is the order of the visits from then on; one that it does not name comes last', () => {
    const script = new Script().plan();
    script.now += 60_000;
    const { visits, day, aside } = ordered(script, [script.tap]);
    expect(visits.map(({ id }) => id)).toEqual([script.tap, script.well]);
    expect(day).toEqual(settings);
    expect(aside).toEqual([]);
  });

  it('names visits of the round, and leaves two visits to one point as their labels count them', () => {
    const script = new Script().plan();
    script.now += 60_000;
    const other = ordered(script, [idOf(99), script.tap]);
    expect(other.aside.map(({ misfit }) => misfit.code)).toEqual(['no-such-visit']);
    expect(other.visits.map(({ id }) => id)).toEqual([script.well, script.tap]);
    const [again, later] = [idOf(98), idOf(97)];
    script.write(visitAdded, { id: again, point: tapPoint, analyses: [] });
    script.write(visitAdded, { id: later, point: tapPoint, analyses: [] });
    script.now += 60_000;
    expect(ordered(script, [later, again, script.tap]).aside.map(({ misfit }) => misfit.code)).toEqual(['visits-turned']);
    expect(ordered(script, [script.tap, again, later, script.well]).visits[0]!.id).toBe(script.tap);
  });

  it('hands over at places of the round’s lab, on the way after one of its visits', () => {
    const script = new Script().plan(['coliforms'], { lab: { ...lab, dropOffs: [{ name: 'Quay', hours: [], toLab: 0 }] } });
    script.now += 60_000;
    const codes = (change: object) =>
      fold([...script.entries, script.make(dayPlanned, { ...settings, order: [script.tap], ...change }, null)])!.aside.map(
        ({ misfit }) => misfit.code,
      );
    expect(codes({ at: 'Quay', midway: { after: script.tap, at: 'Quay' } })).toEqual([]);
    expect(codes({ at: 'Pier' })).toEqual(['no-such-door']);
    expect(codes({ midway: { after: script.tap, at: 'Pier' } })).toEqual(['no-such-door']);
    expect(codes({ midway: { after: idOf(99) } })).toEqual(['no-such-visit']);
  });

  it.each([
    ['start', { start: '8' }],
    ['drives.0.lasts', { drives: [{ ends: ['start', 'lab'], lasts: -60 }] }],
    ['speed', { speed: 0 }],
    ['speed', { speed: 400 }],
    ['roadFactor', { roadFactor: 0.5 }],
    ['lunch', { lunch: -60 }],
    ['order', { order: [] }],
    ['order', { order: [idOf(1), idOf(1)] }],
  ])('is refused at %s: %j', (path, change) => {
    const read = dayPlanned.payload.safeParse({ ...settings, order: [idOf(1)], ...change });
    expect(read.error?.issues.map((issue) => issue.path.join('.'))).toEqual([path]);
  });
});

describe('surface water', () => {
  const asked = (change: Partial<Point>) =>
    questionSurface([{ point: { ...tapPoint, ...change } as Point, analyses: ['coliforms'] }]).map(({ code }) => code);

  it('is sampled for drinking behind its treatment only, and somebody’s own is asked about before anybody drives there', () => {
    expect(asked({})).toEqual([]);
    expect(asked({ water: 'private' })).toEqual(['private-source-unsaid']);
    expect(asked({ water: 'private', source: 'groundwater' })).toEqual([]);
    expect(asked({ water: 'private', source: 'surface' })).toEqual(['surface-untreated']);
    expect(asked({ water: 'raw', source: 'surface' })).toEqual(['surface-untreated']);
    expect(asked({ water: 'treated', source: 'surface' })).toEqual([]);
    // Nobody drinks what is only monitored: a river may be sampled.
    expect(asked({ water: 'raw', source: 'surface', use: 'monitoring' })).toEqual([]);
    expect(sayAbout({ code: 'surface-untreated', data: { name: 'Farm' } }).says).toBe(
      'Farm: untreated surface water is not taken for drinking-water tests.',
    );
  });
});
