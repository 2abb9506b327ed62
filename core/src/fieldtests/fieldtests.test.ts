import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { Script, tapPoint } from '../../test/script.ts';
import { parameter } from '../parameters/index.ts';
import { checkOverridden, checkRow, checksFor } from '../prepare/index.ts';
import { fold, sayEntry } from '../round/index.ts';
import { overview } from '../round/overview.ts';
import { second } from '../time/index.ts';
import type { Typed } from '../units/index.ts';
import {
  chartOf,
  combinedChlorine,
  isSound,
  method,
  methodIds,
  questionTest,
  saturationOf,
  sayDoubt,
  sayTold,
  tell,
  testBegun,
  testDropped,
  testRead,
  usedOf,
  type MethodId,
  type Shown,
} from './index.ts';

let book: Script;
const { visit, state, misfit } = atTheWell(() => book);
beforeEach(() => {
  book = new Script().plan();
});

const mg = (text: string): Typed => ({ text, unit: 'mg/L' });
const shows = (text: string): Shown => ({ is: 'number', reading: mg(text) });
const tests = () => visit(book.tap).tests;
const begin = (id: MethodId, more: object = {}) => book.atTap(testBegun, { method: id, ...more });
/** Reads a test so many seconds after its reagent went in. */
const read = (id: MethodId, test: string, text: string, seconds: number, more: object = {}) =>
  book.atTap(testRead, { method: id, test, shown: shows(text), ...more }, seconds / 60);
const reading = (id: MethodId, test: string, text: string, seconds: number, more: object = {}) => {
  book.now += seconds * second;
  const entry = book.make(testRead, { method: id, test, shown: shows(text), ...more }, book.tap);
  book.now -= seconds * second;
  return misfit(entry);
};

describe('the methods', () => {
  it('read in a unit of their parameter, tell less than they show, and have a source', () => {
    for (const id of methodIds) {
      const { instrument, range, step, chart, guide, source, clock, parameter: of, unit } = method(id);
      expect(source.length, id).toBeGreaterThan(10);
      expect(guide.length, id).toBeGreaterThan(0);
      if (range && step) expect(step, id).toBeLessThan(range[1] / 10);
      // Nothing that a photometer reads stands on another range's check.
      if (instrument === 'photometer')
        expect(
          checksFor('photometer', [of], '2026-11-23').map((one) => checkRow(one).name.split(' ')[0]),
          id,
        ).toEqual(['Zero', 'Standard']);
      if (clock) expect(clock.most, id).toBeGreaterThan(clock.least);
      if (chart)
        expect(
          [...chart].sort((a, b) => a - b),
          id,
        ).toEqual(chart);
      expect(() => tell(id, { is: 'number', reading: { text: '1', unit } }), `${id} ${of}`).not.toThrow();
    }
  });
});

describe('what a test tells', () => {
  it.each<[MethodId, Shown, number, string]>([
    ['free-chlorine-low', shows('0.42'), 1, '0.42 mg/L'],
    // Below its step it is not told from nothing: total 0.03 beside free 0.00 is plausible (common practice).
    ['free-chlorine-low', shows('0.01'), 1, '< 0.02 mg/L'],
    ['free-chlorine-low', shows('0.00'), 1, '< 0.02 mg/L'],
    ['total-chlorine-low', shows('0.03'), 1, '0.03 mg/L'],
    ['free-chlorine-low', { is: 'over' }, 1, '> 2.00 mg/L'],
    ['free-chlorine-low', shows('2.4'), 1, '> 2.00 mg/L'],
    ['free-chlorine-low', shows('1.3'), 10, '13.00 mg/L'],
    ['free-chlorine-low', { is: 'over' }, 10, '> 20.00 mg/L'],
    ['free-chlorine-low', shows('0'), 10, '< 0.20 mg/L'],
    // Phenol red is yellow up to 6.4 and red from 8.2 (handbooks of indicators, from memory): at its ends it tells a side.
    ['ph-colour', { is: 'number', reading: { text: '7.4', unit: 'pH' } }, 1, '7.40 pH'],
    ['ph-colour', { is: 'number', reading: { text: '8.4', unit: 'pH' } }, 1, '> 8.40 pH'],
    ['ph-colour', { is: 'number', reading: { text: '6.3', unit: 'pH' } }, 1, '< 6.50 pH'],
    ['fluoride-colour', { is: 'class', from: 1, to: 1.5 }, 1, '1.00 to 1.50 mg/L'],
    ['fluoride-colour', { is: 'class', from: 1, to: 1 }, 1, '1.00 mg/L'],
  ])('%s', (id, shown, parts, says) => {
    expect(sayTold(tell(id, shown, { parts })!)).toBe(says);
  });

  it('of a conductivity that no meter compensated is that at 25 °C', () => {
    const beside = { compensation: 'none', temperature: { text: '15', unit: 'degC' } } as const;
    const shown: Shown = { is: 'number', reading: { text: '500', unit: 'uS/cm' } };
    // 500 · 1.256: ISO 7888, table of factors at 15 °C (from memory)
    expect(tell('conductivity', shown, beside)!.low).toBeCloseTo(628, 0);
    expect(tell('conductivity', shown, { compensation: 'meter' })!.low).toBe(500);
  });

  it('of oxygen is a part of what air gives at its temperature and elevation', () => {
    const told = tell('oxygen', shows('9.092'))!;
    const warm = { text: '20', unit: 'degC' } as const;
    // Benson and Krause (1984), USGS tables: 9.092 mg/L at 20 °C and 101.325 kPa
    expect(saturationOf(told, { temperature: warm })).toBeCloseTo(1, 3);
    expect(saturationOf(told, { temperature: warm, elevation: { text: '1000', unit: 'm' } })).toBeGreaterThan(1.1);
  });
});

describe('what is asked about before it is written down', () => {
  const codes = (
    id: MethodId,
    shown: Shown,
    beside: Parameters<typeof questionTest>[2] = {},
    asked: Partial<Parameters<typeof questionTest>[3]> = {},
  ) => questionTest(id, shown, beside, { isRaw: false, other: null, ...asked }).map(({ severity, code }) => `${severity} ${code}`);

  it('is more free chlorine than there is in all, in whichever order they are read', () => {
    const total = tell('total-chlorine-low', shows('0.30'));
    expect(codes('free-chlorine-low', shows('0.45'), {}, { other: total })).toEqual(['question free-above-total']);
    expect(codes('free-chlorine-low', shows('0.31'), {}, { other: total })).toEqual([]);
    expect(codes('total-chlorine-low', shows('0.30'), {}, { other: tell('free-chlorine-low', shows('0.45')) })).toEqual([
      'question free-above-total',
    ]);
    expect(codes('total-chlorine-low', shows('0.01'), {}, { other: tell('free-chlorine-low', shows('0.01')) })).toEqual([
      'note not-from-zero',
    ]);
  });

  it('is chlorine in raw water, water that is too warm, too much oxygen, and what an instrument is not for', () => {
    expect(codes('free-chlorine-low', shows('0.1'), {}, { isRaw: true })).toEqual(['question chlorine-in-raw']);
    expect(codes('free-chlorine-low', shows('0.01'), {}, { isRaw: true })).toEqual(['note not-from-zero']);
    expect(codes('temperature', { is: 'number', reading: { text: '31', unit: 'degC' } })).toEqual(['question unusual']);
    expect(codes('oxygen', shows('12.5'), { temperature: { text: '18', unit: 'degC' } })).toEqual(['question over-saturated']);
    expect(codes('free-chlorine-high', shows('5'), {}, { ranges: [{ parameter: 'freeChlorine', from: 0.02, to: 4 }] })).toEqual([
      'question unusual',
      'question instrument-range',
    ]);
    expect(codes('free-chlorine-low', { is: 'over' })).toEqual(['note dilute']);
    expect(codes('fluoride-colour', { is: 'class', from: 1, to: 1.5 })).toEqual(['note between-steps']);
    expect(codes('ph', { is: 'number', reading: { text: '74', unit: 'pH' } })).toEqual(['stop impossible']);
  });

  it('has to be explained in the book', () => {
    const test = begin('free-chlorine-low');
    read('free-chlorine-low', test.id, '0.45', 30);
    const total = begin('total-chlorine-low');
    expect(reading('total-chlorine-low', total.id, '0.20', 200)?.message).toMatch(/no more is free than there is in all/);
    expect(reading('total-chlorine-low', total.id, '0.50', 200)).toBeUndefined();
  });
});

describe('a test in the book', () => {
  it('runs its clock from the reagent on, on the first page as well', () => {
    const begun = begin('total-chlorine-low');
    expect(overview(state()).clocks).toMatchObject([
      { room: 'fieldtests', least: 180, most: 360, from: book.now, say: 'Read: Total chlorine, 0 to 2 mg/L' },
    ]);
    read('total-chlorine-low', begun.id, '0.51', 200);
    expect(overview(state()).clocks).toEqual([]);
    expect(tests()).toMatchObject([{ method: 'total-chlorine-low', told: { form: 'value', low: 0.51 }, doubts: [] }]);
    expect(sayEntry(book.entries.at(-1)!)).toBe('Total chlorine, 0 to 2 mg/L: 0.51 mg/L.');
  });

  it('needs a reason read too early or too late, as when the phone slept, and is doubted then', () => {
    const total = begin('total-chlorine-low');
    expect(reading('total-chlorine-low', total.id, '0.4', 60)).toMatchObject({ path: 'payload.departure' });
    const free = begin('free-chlorine-low');
    expect(reading('free-chlorine-low', free.id, '0.4', 200)?.message).toMatch(/Read after its time/);
    read('free-chlorine-low', free.id, '0.4', 200, { departure: 'the phone was in the van' });
    expect(tests().at(-1)!.doubts.map(sayDoubt)).toEqual(['Read too late: the phone was in the van.']);
    expect(isSound(tests().at(-1)!)).toBe(false);
  });

  it('is read once, by its own method, and not after it was given up', () => {
    const free = begin('free-chlorine-low');
    expect(reading('total-chlorine-low', free.id, '0.4', 30)?.message).toBe('No such test is running here.');
    read('free-chlorine-low', free.id, '0.4', 30);
    expect(reading('free-chlorine-low', free.id, '0.5', 30)?.message).toBe('No such test is running here.');
    const spilt = begin('free-chlorine-low');
    book.atTap(testDropped, { test: spilt.id, reason: 'spilt' });
    expect(reading('free-chlorine-low', spilt.id, '0.4', 30)?.message).toBe('No such test is running here.');
    expect(misfit(book.make(testRead, { method: 'free-chlorine-low', shown: shows('0.4') }, book.tap))?.path).toBe('payload.test');
  });

  it('with a lot out of date asks why it is used, and is doubted', () => {
    const lot = { lot: 'T1', expires: '2026-11-22' };
    expect(misfit(book.make(testBegun, { method: 'free-chlorine-low', lot }, book.tap))?.path).toBe('payload.otherwise');
    expect(misfit(book.make(testBegun, { method: 'free-chlorine-low', lot: { ...lot, expires: '2026-11-23' } }, book.tap))).toBeUndefined();
    const begun = begin('free-chlorine-low', { lot, otherwise: 'the only one in the van' });
    read('free-chlorine-low', begun.id, '0.4', 30);
    expect(tests().at(-1)!.doubts).toMatchObject([{ code: 'expired' }]);
  });

  it('with an instrument that somebody took on themselves is doubted', () => {
    book.write(checkOverridden, { kind: 'photometer', reason: 'the standard is broken' });
    const begun = begin('free-chlorine-low');
    read('free-chlorine-low', begun.id, '0.4', 30);
    expect(tests().at(-1)!.doubts).toMatchObject([{ code: 'unchecked' }]);
  });

  it('has its dilution in the result, and its reading struck it runs again', () => {
    const begun = begin('free-chlorine-low', { parts: 20 });
    const entry = read('free-chlorine-low', begun.id, '1.5', 30, { kept: 'after the shock chlorination' });
    expect(tests().at(-1)!.told).toMatchObject({ low: 30 });
    book.correct(entry, 'the wrong cuvette');
    expect(tests().at(-1)!).toMatchObject({ readAt: null, parts: 20 });
  });

  it('of what shows no more than a chart’s steps is a class, and always by eye', () => {
    const begun = begin('fluoride-colour');
    const make = (shown: Shown) => book.make(testRead, { method: 'fluoride-colour', test: begun.id, shown }, book.tap);
    book.now += 120 * second;
    expect(misfit(make(shows('1.2')))?.message).toMatch(/no reading of Fluoride by colour/);
    expect(misfit(make({ is: 'class', from: 1, to: 1.2 }))?.message).toBe('The chart has no such step.');
    expect(misfit(make({ is: 'class', from: 1, to: 1.5 }))).toBeUndefined();
    book.atTap(testRead, { method: 'fluoride-colour', test: begun.id, shown: { is: 'class', from: 1, to: 1.5 } }, 0);
    expect(tests().at(-1)!.doubts).toEqual([{ code: 'by-eye' }]);
  });

  it('asks what a conductivity is compensated by, and how warm the water is where nobody did', () => {
    const make = (more: object) =>
      misfit(
        book.make(
          testRead,
          { method: 'conductivity', shown: { is: 'number', reading: { text: '500', unit: 'uS/cm' } }, ...more },
          book.tap,
        ),
      );
    expect(make({})?.path).toBe('payload.compensation');
    expect(make({ compensation: 'none' })?.path).toBe('payload.temperature');
    expect(make({ compensation: 'meter' })).toBeUndefined();
  });

  it('counts what was taken of a lot', () => {
    const lot = { id: tapPoint.id, lot: 'T1', expires: '2027-01-01' };
    begin('free-chlorine-low', { lot });
    begin('total-chlorine-low', { lot });
    begin('total-chlorine-low', { lot: { lot: 'T1', expires: '2027-01-01' } });
    expect(usedOf(tests(), tapPoint.id)).toBe(2);
  });
});

describe('combined chlorine', () => {
  const pair = (free: string, total: string, kept?: string) => {
    const one = begin('free-chlorine-low');
    read('free-chlorine-low', one.id, free, 30);
    const other = begin('total-chlorine-low');
    read('total-chlorine-low', other.id, total, 200, kept ? { kept } : {});
  };

  it('is what total has over free', () => {
    pair('0.42', '0.51');
    const { low, high } = combinedChlorine(tests())!;
    expect([low, high]).toEqual([0.09, 0.09]);
    expect(parameter('totalChlorine').decimals).toBe(2);
  });

  // Of one water: within half an hour of each other. Common practice.
  it.each([
    [29, true],
    [31, false],
  ])('of a pair that was read %d minutes apart is one: %s', (apart, isPair) => {
    const free = begin('free-chlorine-low');
    read('free-chlorine-low', free.id, '0.42', 30);
    book.now += (apart - 5) * 60 * second;
    const total = begin('total-chlorine-low');
    read('total-chlorine-low', total.id, '0.51', 240);
    const [one, other] = tests().map(({ readAt }) => readAt!);
    expect((other! - one!) / (60 * second)).toBeCloseTo(apart, 0);
    expect(combinedChlorine(tests()) !== null).toBe(isPair);
  });

  it('lies between bounds where one of them is not told from zero', () => {
    pair('0.00', '0.03');
    expect(combinedChlorine(tests())).toEqual({ low: 0.01, high: 0.03 });
  });

  it('is none of a pair that cannot be, of which both are doubted, until both were done again', () => {
    pair('0.45', '0.20', 'both were read twice');
    expect(combinedChlorine(tests())).toBeNull();
    expect(tests().map(isSound)).toEqual([false, false]);
    pair('0.40', '0.46');
    expect(combinedChlorine(tests())).toEqual({ low: 0.06, high: 0.06 });
  });

  it('is none of waters an hour apart', () => {
    const one = begin('free-chlorine-low');
    read('free-chlorine-low', one.id, '0.4', 30);
    book.now += 3_600_000;
    const other = begin('total-chlorine-low');
    read('total-chlorine-low', other.id, '0.5', 200);
    expect(combinedChlorine(tests())).toBeNull();
  });
});

describe('a kit', () => {
  const mg = (text: string) => ({ text, unit: 'mg/L' as const });
  // A dye that pales: what is lightest tells the most.
  const kit = {
    volume: { text: '5', unit: 'mL' as const },
    drops: 4,
    shades: [
      { shade: 'yellow', value: mg('2.0') },
      { shade: 'orange', value: mg('1.0') },
      { shade: 'red', value: mg('0') },
    ],
  };
  const issues = (payload: object) =>
    testBegun.payload
      .safeParse({ method: 'fluoride-colour', otherwise: 'no lot on it', ...payload })
      .error?.issues.map(({ path }) => path.join('.')) ?? [];

  it('has the shades of its own chart, and none is built in', () => {
    expect(issues({})).toEqual(['kit']);
    expect(issues({ kit })).toEqual([]);
    expect(issues({ kit: { ...kit, shades: kit.shades.slice(0, 1) } })).toEqual(['kit.shades']);
    expect(issues({ kit: { ...kit, shades: [...kit.shades, { shade: 'pink', value: mg('1') }] } })).toEqual(['kit.shades']);
    expect(issues({ kit: { ...kit, drops: 0 } })).toEqual(['kit.drops']);
    expect(testBegun.payload.safeParse({ method: 'free-chlorine-low', otherwise: 'no lot on it' }).success).toBe(true);
    expect(testBegun.payload.safeParse({ method: 'free-chlorine-low' }).error?.issues.map(({ path }) => path.join('.'))).toEqual(['lot']);
  });

  it('is read by its own steps, from the least to the most, whichever way its colours run', () => {
    const script = new Script().plan();
    const begun = script.atTap(testBegun, { method: 'fluoride-colour', kit });
    const make = (from: number, to: number) =>
      script.make(testRead, { method: 'fluoride-colour', test: begun.id, shown: { is: 'class', from, to } }, script.tap);
    const aside = (entry: ReturnType<typeof make>) => fold([...script.entries, entry])!.aside.map(({ misfit }) => misfit.code);
    // A step of the chart that was built in, and that this kit has not.
    expect(aside(make(1.5, 1.5))).toEqual(['no-such-step']);
    const test = () => fold(script.entries)!.visits.find(({ id }) => id === script.tap)!.tests[0]!;
    expect(chartOf('fluoride-colour', test())).toEqual([0, 1, 2]);
    script.atTap(testRead, { method: 'fluoride-colour', test: begun.id, shown: { is: 'class', from: 1, to: 2 } }, 2);
    expect(test().told).toMatchObject({ low: 1, high: 2 });
  });
});
