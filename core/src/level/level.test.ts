import { describe, expect, it } from 'vitest';
import { Script, wellPoint } from '../../test/script.ts';
import { Trail } from '../book/index.ts';
import { base } from '../units/index.ts';
import {
  agree,
  atRest,
  depthBelowGround,
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
      measuringPoint: cut.name,
      typed: { text: '7.4', unit: 'm' },
      depth: 7.4,
      water: 'static',
    } as const;
    const { agreed } = levelState({ readings: Trail.of(), agreed: reading, leftOut: null }, point);
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
  const around = { point: wellPoint, tolerances: table };
  const read = (book: LevelBook, text: string, water: WaterState) =>
    levelRoom.advance(book, new Script().atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water }), around);
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

  it('is compared with levels at rest only', () => {
    const record = [{ water: 'static' as const }, { water: 'pumping' as const }, { water: 'pumped-lately' as const }];
    expect(atRest(record)).toEqual([{ water: 'static' }]);
  });
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
