import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MeasuringPoint } from '../registers/index.ts';
import { convert, fromBase, toBase } from '../units/index.ts';
import {
  questionBuilt,
  casingVolume,
  standingWater,
  criteria,
  filterPackVolume,
  flowRate,
  hoseDiameter,
  insideDiameter,
  judgeStability,
  pipeIds,
  pipe,
  readingClock,
  sayStability,
  timeFor,
  waterColumn,
  type ReadingSet,
} from './index.ts';

const gallonsPerFoot = (inches: number) =>
  fromBase(casingVolume({ insideDiameter: toBase(inches, 'in'), column: toBase(1, 'ft') }).value, 'gal');

const criterion = (ref: string) => criteria.find(ref)!;

describe('volumes', () => {
  it.each([
    [1, 0.041],
    [2, 0.163],
    [3, 0.367],
    [4, 0.653],
    [6, 1.469],
    [8, 2.611],
    [10, 4.08],
    [12, 5.875],
  ])('a casing of %i in holds %f gal per ft', (inches, expected) => {
    // Geometry with 7.48052 gal/ft³; tables of the kind in US EPA Region 4 groundwater procedures.
    expect(gallonsPerFoot(inches)).toBeCloseTo(expected, 3);
  });

  it('takes the true inside diameter: a nominal two inches is six percent short', () => {
    // 20 ft well, 12.57 ft to water: common practice; pipe dimensions: ASTM D1785.
    const column = waterColumn({ bottom: toBase(20, 'ft'), depth: toBase(12.57, 'ft') });
    expect(fromBase(column.value, 'ft')).toBeCloseTo(7.43, 9);
    expect(fromBase(insideDiameter('s40-2'), 'in')).toBeCloseTo(2.067, 3);
    const gallons = (inside: number) => fromBase(casingVolume({ insideDiameter: inside, column: column.value }).value, 'gal');
    expect(gallons(insideDiameter('s40-2'))).toBeCloseTo(1.295, 3);
    expect(gallons(toBase(2, 'in'))).toBeCloseTo(1.213, 3);
  });

  it('knows litres per metre, hoses and filter packs', () => {
    expect(casingVolume({ insideDiameter: 0.05, column: 1 }).value * 1000).toBeCloseTo(1.9635, 4);
    expect(convert(hoseDiameter({ length: 40, volume: 0.018 }).value, 'm', 'mm')).toBeCloseTo(23.9, 1);
    const pack = filterPackVolume({
      bore: toBase(8, 'in'),
      casingOutside: toBase(2.375, 'in'),
      saturated: toBase(10, 'ft'),
      porosity: 0.3,
    });
    expect(fromBase(pack.value, 'gal')).toBeCloseTo(((0.3 * (Math.PI / 4) * (8 ** 2 - 2.375 ** 2)) / 144) * 10 * 7.48052, 3);
  });

  it('grows with the square of the diameter', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 2, noNaN: true }), fc.double({ min: 0.1, max: 100, noNaN: true }), (d, h) => {
        const ratio = casingVolume({ insideDiameter: 2 * d, column: h }).value / casingVolume({ insideDiameter: d, column: h }).value;
        expect(ratio).toBeCloseTo(4, 6);
      }),
    );
  });

  it('has no pipe whose wall leaves no bore', () => {
    for (const id of pipeIds) expect(insideDiameter(id)).toBeGreaterThan((0.5 * pipe(id).outside) / 1000);
  });
});

it('turns a bucket and a watch into flow, time and a reading clock', () => {
  const flow = flowRate({ volume: 0.001, seconds: 23 }); // common practice
  expect(fromBase(flow.value, 'L/min')).toBeCloseTo(2.609, 3);
  const time = timeFor({ volume: 0.018, flow: flow.value });
  expect(time.value).toBeCloseTo(414, 6);
  expect(readingClock(time.value, 3)).toEqual([7, 14, 21]);
  expect(readingClock(420, 2)).toEqual([7, 14]);
});

describe('the water in a well that becomes narrower', () => {
  const mark = { name: 'Rim', stickUp: 0.5 };
  const well = {
    narrower: [
      { from: 29.5, insideDiameter: 0.15 },
      { from: 44.5, insideDiameter: 0.1 },
    ],
  };
  const litres = (depth: number, of: Parameters<typeof standingWater>[0] = well, at = mark as MeasuringPoint) =>
    (standingWater(of, at, { insideDiameter: 0.2, depth, bottom: 60 })?.value ?? NaN) * 1000;
  const piece = (inside: number, length: number) => (Math.PI / 4) * inside ** 2 * length * 1000;

  it('is the sum of its pieces, from the level down; below the mark a casing begins by the mark’s height deeper', () => {
    // Geometry: 20 m of 200 mm, 15 m of 150 mm, 15 m of 100 mm.
    expect(litres(10)).toBeCloseTo(piece(0.2, 20) + piece(0.15, 15) + piece(0.1, 15), 9);
    expect(litres(35)).toBeCloseTo(piece(0.15, 10) + piece(0.1, 15), 9);
    expect(litres(50)).toBeCloseTo(piece(0.1, 10), 9);
    expect(litres(10, {})).toBeCloseTo(piece(0.2, 50), 9);
  });

  it('is not told where it is not known how deep that is, nor where there is no water', () => {
    expect(litres(10, well, { name: 'Rim' })).toBeNaN();
    expect(litres(61)).toBeNaN();
  });
});

describe('stability', () => {
  const rule = criterion('two-sets@2026-1');
  const worked: ReadingSet[] = [
    { temperature: 16.8, ph: 7.44, oxygen: 4.02 },
    { temperature: 15.6, ph: 7.44, oxygen: 3.84 },
    { temperature: 15.6, ph: 7.45, oxygen: 3.78 },
  ];

  it('follows the worked sequence', () => {
    // common practice
    const second = judgeStability(rule, worked.slice(0, 2));
    expect(second.stable).toBe(false);
    expect(second.heldUpBy.map((verdict) => [verdict.parameter, sayStability(verdict.because)])).toEqual([
      ['temperature', 'moved 1.20 °C, ± 0.20 allowed'],
    ]);
    expect(judgeStability(rule, worked).stable).toBe(true);
  });

  it('is not stable by too few sets, nor with a parameter unread', () => {
    expect(judgeStability(rule, worked.slice(2)).heldUpBy.every((verdict) => verdict.state === 'short')).toBe(true);
    const { oxygen: _, ...without } = worked[2]!;
    expect(judgeStability(rule, [without, without]).heldUpBy.map((verdict) => verdict.state)).toEqual(['unread']);
    expect(judgeStability(rule, [without, without], ['temperature', 'ph']).stable).toBe(true);
    expect(judgeStability(rule, []).stable).toBe(false);
  });

  it('needs three successive sets under EPA/540/S-95/504, whatever drifts', () => {
    const drift = [500, 510, 530].map((conductivity) => ({ conductivity }));
    const steady = [500, 510, 520].map((conductivity) => ({ conductivity }));
    const judge = (sets: ReadingSet[]) => judgeStability(criterion('epa-1996@2026-1'), sets, ['conductivity']).stable;
    expect([judge(drift), judge(steady), judge(steady.slice(1))]).toEqual([false, true, false]);
  });

  it('lets clear water off: at or below 5 NTU a percentage means nothing', () => {
    const clear = [4.5, 2.1, 3.3].map((turbidity) => ({ turbidity }));
    expect(judgeStability(criterion('epa-region1-2017@2026-1'), clear, ['turbidity']).stable).toBe(true);
    expect(judgeStability(criterion('epa-1996@2026-1'), clear, ['turbidity']).stable).toBe(false);
  });

  it('is not stable by numbers that are read more coarsely than they may differ', () => {
    const sets: ReadingSet[] = Array.from({ length: 3 }, () => ({ ph: 7, conductivity: 570, redox: 100, oxygen: 4, turbidity: 8 }));
    const epa = criterion('epa-1996@2026-2');
    const fine = { ph: 0.01, conductivity: 1, redox: 1, oxygen: 0.01, turbidity: 0.1 };
    expect(judgeStability(epa, sets, undefined, fine).stable).toBe(true);
    const coarse = judgeStability(epa, sets, undefined, { ...fine, ph: 1 });
    expect(coarse.heldUpBy.map((one) => [one.parameter, one.state, sayStability(one.because)])).toEqual([
      ['ph', 'coarse', 'read in steps of 1.00, ± 0.10 allowed: read finer'],
    ]);
  });

  it('lets conductivity of dilute water differ by five per cent, and other water by three', () => {
    // USGS National Field Manual, ch. A6.0, table 6.0-1.
    const usgs = criterion('usgs-nfm@2026-2');
    const holds = (values: number[]) =>
      judgeStability(
        usgs,
        values.map((conductivity) => ({ conductivity })),
        ['conductivity'],
      ).stable;
    expect([holds([90, 90, 90, 90, 94]), holds([500, 500, 500, 500, 520])]).toEqual([true, false]);
  });

  it('takes the median of five sets where the source does', () => {
    const sets = [7.0, 7.1, 7.05, 7.12, 7.0].map((ph) => ({ ph }));
    expect(judgeStability(criterion('usgs-nfm@2026-1'), sets, ['ph']).parameters[0]).toMatchObject({
      state: 'holding',
      band: { middle: 7.05, half: 0.1 },
    });
    expect(judgeStability(criterion('usgs-nfm@2026-1'), [...sets.slice(1), { ph: 7.3 }], ['ph']).stable).toBe(false);
  });

  it('holds for readings that do not move, under every criterion', () => {
    for (const rule of criteria.all) {
      const set = { temperature: 15, ph: 7, conductivity: 400, oxygen: 4, turbidity: 8, redox: 120 };
      expect(
        judgeStability(
          rule,
          Array.from({ length: rule.sets }, () => set),
        ).stable,
        rule.id,
      ).toBe(true);
    }
  });
});

describe('a well as it is registered', () => {
  const codes = (insideDiameter: number, pipe?: string) => questionBuilt({ insideDiameter, pipe }).map((one) => one.code);
  it('is asked about where an inch was typed as a millimetre, or the other way', () => {
    expect([codes(0.002), codes(52 * 0.0254), codes(0.052)]).toEqual([['narrow'], ['wide'], []]);
  });

  it('is asked about where the diameter is that of another pipe: a nominal 2 in is 52.5 mm inside (ASTM D1785, schedule 40)', () => {
    expect([codes(0.0525, 's40-2'), codes(0.0381, 's40-2'), codes(0.05, 'dn50')]).toEqual([[], ['other-pipe'], []]);
    expect(codes(0.05, 'no-such-pipe')).toEqual([]);
  });
});
