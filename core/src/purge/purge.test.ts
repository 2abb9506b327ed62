import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MeasuringPoint } from '../registers/index.ts';
import { convert, fromBase, toBase } from '../units/index.ts';
import {
  questionBuilt,
  casingVolume,
  standingWater,
  filterPackVolume,
  flowRate,
  hoseDiameter,
  insideDiameter,
  pipeIds,
  pipe,
  readingClock,
  timeFor,
  waterColumn,
} from './index.ts';

const gallonsPerFoot = (inches: number) =>
  fromBase(casingVolume({ insideDiameter: toBase(inches, 'in'), column: toBase(1, 'ft') }).value, 'gal');

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

describe('a well as it is registered', () => {
  const codes = (insideDiameter: number, pipe?: string) => questionBuilt({ insideDiameter, pipe }).map((one) => one.code);
  it('is asked about where an inch was typed as a millimetre, or the other way', () => {
    expect([codes(0.002), codes(52 * 0.0254), codes(0.052)]).toEqual([['narrow'], ['wide'], []]);
  });

  it('is asked about where the diameter is that of another pipe: a nominal 2 in is 52.5 mm inside (ASTM D1785, schedule 40)', () => {
    // Geometry: 2.000 in for 2.067 in is 6.4 % less water.
    expect([codes(0.0508, 's40-2'), codes(0.052501, 's40-2')]).toEqual([['other-pipe'], []]);
    expect([codes(0.0525, 's40-2'), codes(0.0381, 's40-2'), codes(0.05, 'dn50')]).toEqual([[], ['other-pipe'], ['other-pipe']]);
    expect(codes(0.05, 'no-such-pipe')).toEqual([]);
  });
});
