import { describe, expect, it } from 'vitest';
import { Script, wellPoint } from '../../test/script.ts';
import { Trail } from '../book/index.ts';
import { belowMark } from '../registers/index.ts';
import { fold, nextAtVisit } from '../round/index.ts';
import { base } from '../units/index.ts';
import {
  agree,
  atRest,
  depthBelowGround,
  expectedLevel,
  levelLeftOut,
  proposedHold,
  questionLogger,
  questionTool,
  recovery,
  typedDepth,
  type LevelTool,
  type LevelBook,
  levelRead,
  levelRoom,
  levelState,
  ordinaryStep,
  questionLevel,
  steelTapeDepth,
  tolerances,
  waterLevelElevation,
  type WaterState,
  questionDry,
} from './index.ts';

const well = {
  measuringPoints: [{ name: 'North rim', elevation: 52.34, stickUp: 0.6 }],
  bottom: 18,
  screenTop: 12,
  screenBottom: 17,
  insideDiameter: 0.052,
  intake: 14.5,
};
const mark = well.measuringPoints[0]!;
const table = tolerances.newest[0]!;
const ask = (depth: number, record: Parameters<typeof questionLevel>[0]['record'] = []) =>
  questionLevel({ depth, mark, well, record, tolerances: table }).map((finding) => finding.code);

describe('depth and elevation', () => {
  it('goes from the mark to ground and datum, with its working', () => {
    const below = depthBelowGround({ depth: 7.4, stickUp: 0.6 });
    expect(below.value).toBeCloseTo(6.8, 9);
    expect(below.working.steps).toEqual(['7.400 m − 0.600 m = 6.800 m']);
    expect(waterLevelElevation({ depth: 7.4, elevation: 52.34 }).value).toBeCloseTo(44.94, 9);
  });

  it('tells neither where the mark’s height and elevation are not known', () => {
    const cut = { name: 'Cut in the cap' };
    const point = { ...wellPoint, well: { ...well, measuringPoints: [cut] } };
    const reading = {
      entry: 'e',
      at: 0,
      device: 'd',
      measuringPoint: cut.name,
      typed: { text: '7.4', unit: 'm' },
      depth: 7.4,
      water: 'static',
    } as const;
    const { agreed } = levelState({ readings: Trail.of(), agreed: reading, contested: null, leftOut: null, loggers: Trail.of() }, point);
    expect(agreed).toMatchObject({ depth: 7.4, belowGround: null, elevation: null });
    const asked = (depth: number) => questionLevel({ depth, mark: cut, well, record: [], tolerances: table }).map(({ code }) => code);
    expect([asked(17.5), asked(30)]).toEqual([[], ['below-bottom-perhaps']]);
  });

  it('takes the cut from the hold on a steel tape', () => {
    expect(steelTapeDepth({ hold: 40, cut: 3.27 }).value).toBeCloseTo(36.73, 9); // method of USGS TM 1-A1, GWPD 1
    expect(() => steelTapeDepth({ hold: 3, cut: 4 })).toThrow(RangeError);
  });
});

describe('agreement of two readings', () => {
  it.each([
    ['7.40', '7.405', 'm', true],
    ['7.40', '7.406', 'm', false],
    ['12.57', '12.58', 'ft', true],
    ['12.57', '12.59', 'ft', false], // 0.01 ft: USGS TM 1-A1, GWPD 4, from memory
  ] as const)('%s and %s %s', (a, b, unit, expected) => {
    expect(agree({ text: a, unit }, { text: b, unit }, table)).toBe(expected);
  });

  it('compares across units', () => {
    expect(agree({ text: '3.831', unit: 'm' }, { text: '12.57', unit: 'ft' }, table)).toBe(true);
    expect(base({ text: '12.57', unit: 'ft' })).toBeCloseTo(3.8313, 4);
  });
});

describe('the level of a visit', () => {
  const around = { point: wellPoint, tolerances: table, pump: null };
  const read = (book: LevelBook, text: string, water: WaterState, device?: string) =>
    levelRoom.advance(
      book,
      new Script(device).atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water }),
      around,
    );
  const agreed = (...readings: [string, WaterState][]) =>
    readings.reduce((book, [text, water]) => read(book, text, water), levelRoom.empty).agreed;

  it('comes of two readings of one state: at rest and while pumping are two levels, however near', () => {
    expect(agreed(['7.40', 'static'], ['7.40', 'pumping'])).toBeNull();
    expect(agreed(['7.40', 'pumping'], ['7.40', 'pumping'])).toMatchObject({ water: 'pumping' });
  });

  it('is the one at rest, whatever is read while pumping before or afterwards', () => {
    const both = agreed(['7.40', 'static'], ['7.40', 'static'], ['8.10', 'pumping'], ['8.10', 'pumping']);
    expect(both).toMatchObject({ depth: 7.4, water: 'static' });
    const pumpedFirst = agreed(['8.10', 'pumping'], ['8.10', 'pumping'], ['7.40', 'static'], ['7.40', 'static']);
    expect(pumpedFirst).toMatchObject({ depth: 7.4, water: 'static' });
  });

  it('of two devices that were apart is contested where they contradict each other, however their readings are mixed', () => {
    const readings: [string, string][] = [
      ['7.40', 'one'],
      ['9.80', 'other'],
      ['7.402', 'one'],
      ['9.80', 'other'],
    ];
    const book = readings.reduce((all, [text, device]) => read(all, text, 'static', device), levelRoom.empty);
    expect(book).toMatchObject({ agreed: { depth: 7.402 }, contested: { depth: 9.8 } });
    const near = [...readings.slice(0, 3), ['7.43', 'other'], ['7.43', 'other']] as [string, string][];
    expect(near.reduce((all, [text, device]) => read(all, text, 'static', device), levelRoom.empty).contested).toBeNull();
  });

  it('is compared with levels at rest only', () => {
    const record = [{ water: 'static' as const }, { water: 'pumping' as const }, { water: 'pumped-lately' as const }];
    expect(atRest(record)).toEqual([{ water: 'static' }]);
  });
});

describe('a well that seems dry', () => {
  const mark = wellPoint.well.measuringPoints[0]!;
  const record = [{ at: 0, measuringPoint: mark.name, depth: 8.5 }];

  it('is asked about where water stood higher up, or the well goes on below the tape', () => {
    const codes = (reached: number, all = record) => questionDry(reached, mark, wellPoint.well, all).map(({ code }) => code);
    expect(codes(12)).toEqual(['dry-above-record']);
    expect(codes(12, [])).toEqual(['dry-above-bottom']);
    const bottom = belowMark(mark, wellPoint.well.bottom)!;
    // Half a metre is what lies in a sump.
    expect([codes(bottom - 0.1, []), codes(bottom - 0.49, []), codes(bottom - 0.51, [])]).toEqual([[], [], ['dry-above-bottom']]);
  });

  it('is no level by a tape that came up dry, and ends its visit with what is owed', () => {
    const script = new Script().plan();
    const m = (text: string) => ({ text, unit: 'm' as const });
    script.atWell(levelRead, {
      measuringPoint: mark.name,
      depth: m('12'),
      by: { tool: 'steel', hold: m('12'), cut: m('0') },
      water: 'static',
    });
    expect(fold(script.entries)!.aside.map(({ misfit }) => misfit.code)).toEqual(['dry-tape']);
    script.atWell(levelLeftOut, { why: 'dry', reached: m('18.9'), reason: 'nothing down to the bottom' });
    const visit = fold(script.entries)!.visits.find(({ id }) => id === script.well)!;
    expect(nextAtVisit(visit)).toBeNull();
  });
});

describe('other tapes', () => {
  const m = (text: string) => ({ text, unit: 'm' as const });
  const ft = (text: string) => ({ text, unit: 'ft' as const });
  it('say the depth by what stood on them, with the digits of the finest', () => {
    // Hold less cut, corrected: method of USGS TM 1-A1 (GWPD 1).
    expect(typedDepth({ tool: 'steel', hold: ft('55'), cut: ft('4.18') })).toEqual(ft('50.82'));
    expect(typedDepth({ tool: 'steel', hold: m('40'), cut: m('3.27'), correction: m('-0.004') })).toEqual(m('36.726'));
    expect(typedDepth({ tool: 'coarse', at: m('7.5'), rest: m('0.013') })).toEqual(m('7.513'));
    expect(typedDepth({ tool: 'flowing', head: m('0.42') })).toEqual(m('-0.42'));
    expect(typedDepth({ tool: 'electric' })).toBeNull();
  });

  it('are refused where the depth is none that the tape says, or more is wet than was held', () => {
    const said = (by: object, depth: string) =>
      levelRead.payload
        .safeParse({ measuringPoint: 'North rim', depth: m(depth), by, water: 'static' })
        .error?.issues.map(({ path }) => path.join('.')) ?? [];
    expect(said({ tool: 'steel', hold: m('9'), cut: m('1.6') }, '7.4')).toEqual([]);
    expect(said({ tool: 'steel', hold: m('9'), cut: m('1.6') }, '7.5')).toEqual(['depth.text']);
    expect(said({ tool: 'steel', hold: m('9'), cut: m('10') }, '-1')).toEqual(['by.cut']);
  });

  it('are held one to two metres below the last level, and elsewhere for the second run', () => {
    expect([proposedHold(7.4), proposedHold(8)]).toEqual([9, 9]);
    const first: LevelTool = { tool: 'steel', hold: m('9'), cut: m('1.6') };
    const again = (hold: string) => questionTool({ tool: 'steel', hold: m(hold), cut: m('1') }, [{ by: first }]).map(({ code }) => code);
    expect([again('9'), again('9.2'), again('9.5')]).toEqual([['same-hold'], ['same-hold'], []]);
  });
});

describe('a well that recovers', () => {
  const newest = tolerances.newest[0]!;
  const read = (...at: [number, number][]) => at.map(([minutes, depth]) => ({ at: minutes * 60_000, depth, measuringPoint: 'North rim' }));
  it('is at rest once its change in a minute is less than the tape tells', () => {
    expect(recovery(read([0, 9]), newest)).toBeNull();
    expect(recovery(read([0, 9], [0.5, 8.9]), newest)).toBeNull();
    expect(recovery(read([0, 9], [2, 8.6]), newest)).toMatchObject({ perMinute: expect.closeTo(-0.2, 9) as number, isAtRest: false });
    expect(recovery(read([0, 9], [2, 8.6], [7, 8.596]), newest)).toMatchObject({ isAtRest: true });
    // A round that was planned before there was a figure has none.
    expect(recovery(read([0, 9], [5, 9]), tolerances.find('tolerances@2026-1'))).toMatchObject({ least: null, isAtRest: false });
  });
});

describe('what the record lets one expect', () => {
  // Two years, monthly: a wave of 0.8 m about 7.4 m, falling by 0.1 m a year, one reading of another well among them.
  const wave = (month: number) => 7.4 + 0.8 * Math.sin((2 * Math.PI * month) / 12) + (0.1 * month) / 12;
  const month = (year: number) => (year * 365.2425 * 86_400_000) / 12;
  const record = Array.from({ length: 24 }, (_, at) => ({ at: month(at), depth: at === 9 ? 3 : wave(at), measuringPoint: 'North rim' }));
  const asked = (at: number, depth: number) =>
    questionLevel({ depth, mark, well, record, tolerances: table, at: month(at) }).map(({ code }) => code);

  it('follows season and trend, whatever one bad reading says', () => {
    const expected = expectedLevel(record, month(27), table)!;
    expect(expected.depth).toBeCloseTo(wave(27), 1);
    expect(expected.half).toBeLessThan(0.4);
  });

  it('asks about a level that the season does not explain, though it is near the last; and lets a jump be that it does', () => {
    expect(asked(26, wave(26))).toEqual([]);
    expect(asked(26, wave(23))).toEqual(['unlike-record']);
  });

  it('asks whether the unit slipped, where that would explain it', () => {
    expect(asked(26, wave(26) / 0.3048)).toEqual(['below-bottom', 'slip']);
    expect(asked(26, wave(26) / 10)).toEqual(expect.arrayContaining(['slip']));
    const quiet = [7.4, 7.45, 7.38].map((depth, at) => ({ at, depth, measuringPoint: 'North rim' }));
    expect(ask(7.4 * 0.3048, quiet)).toEqual(['slip']);
  });

  it('lets four robust standard deviations be: 1.4826 medians of what is left each', () => {
    // Off their mean by 0.1 m up and down, by turns: the median of that is 0.1 m.
    const flat = Array.from({ length: 400 }, (_, at) => ({
      at: month(at),
      depth: 7.4 + (at % 2 ? 0.1 : -0.1),
      measuringPoint: 'North rim',
    }));
    expect(expectedLevel(flat, month(400), table)!.half).toBeCloseTo(4 * 1.4826 * 0.1, 2);
  });

  it('looks at a thousand readings of a logger at most, and says of how many', () => {
    // Every second one of 2,000 is left out: only those that are looked at lie at 7.4 m.
    const half = Array.from({ length: 2000 }, (_, at) => ({ at: month(at / 30), depth: at % 2 ? 9.4 : 7.4, measuringPoint: 'North rim' }));
    expect(expectedLevel(half, month(67), table)).toMatchObject({ depth: expect.closeTo(7.4, 6) as number, readings: 2000 });
    expect(expectedLevel(half.slice(0, 1000), month(34), table)!.depth).toBeCloseTo(8.4, 1);
  });

  it('knows nothing of a short record', () => {
    expect(expectedLevel(record.slice(0, 9), month(10), table)).toBeNull();
  });
});

it('a logger more than two centimetres off is asked about', () => {
  const asked = (shows: number) => questionLogger(shows, 7.4).length;
  expect([asked(7.41), asked(7.419), asked(7.421), asked(7.379), asked(7.45)]).toEqual([0, 0, 1, 1, 1]);
});

it('a level is left out with how far the tape came, where it came anywhere', () => {
  const issues = (payload: object) => levelLeftOut.payload.safeParse(payload).error?.issues.map(({ path }) => path.join('.')) ?? [];
  expect(issues({ why: 'dry', reason: 'no signal to the bottom' })).toEqual(['reached']);
  expect(issues({ why: 'dry', reached: { text: '18.6', unit: 'm' }, reason: 'no signal to the bottom' })).toEqual([]);
  expect(issues({ why: 'no-access', reason: 'sealed head' })).toEqual([]);
});

describe('questions on the spot', () => {
  it('asks about a depth below the bottom, the screen or the intake, and above ground', () => {
    expect(ask(18.61)).toEqual(['below-bottom']);
    expect(ask(18.6)).toEqual(['below-screen']);
    expect(ask(15.2)).toEqual(['below-intake']);
    expect(ask(0.5)).toEqual(['above-ground']);
    expect(ask(7.4)).toEqual([]);
  });

  it('asks about a jump, more patiently at a well that moves', () => {
    const quiet = [7.4, 7.45, 7.38].map((depth, at) => ({ at, depth, measuringPoint: 'North rim' }));
    const lively = [7.4, 8.4, 7.5].map((depth, at) => ({ at, depth, measuringPoint: 'North rim' }));
    expect([ask(7.9, quiet), ask(7.9, lively), ask(9.1, lively)]).toEqual([['jump'], [], ['jump']]);
    expect(ordinaryStep(lively, table)).toBeCloseTo(1.5, 9);
  });

  it('does not compare levels read at another mark', () => {
    expect(ask(7.4, [{ at: 0, depth: 2, measuringPoint: 'Old rim' }])).toEqual([]);
  });
});
