import { describe, expect, it } from 'vitest';
import { papadopulosCooper, wellFunction } from '../../test/hydraulics.ts';
import { Drawdown, type Hydraulics } from './drawdown.ts';

const well: Hydraulics = { transmissivity: 2e-5, storage: 1e-3, casingRadius: 0.026, screenRadius: 0.05 };

function pumped(hydraulics: Hydraulics, flow: number, seconds: number, step = 1): Drawdown {
  const drawdown = new Drawdown(hydraulics);
  for (let time = 0; time < seconds; time += step) drawdown.advance(step, flow);
  return drawdown;
}

describe('the solutions it is held against', () => {
  it.each([
    [1e-6, 13.2383],
    [1e-4, 8.6332],
    [0.01, 4.0379],
    [0.1, 1.8229],
    [1, 0.2194],
    [2, 0.0489],
    [5, 0.001148],
  ])('the well function at u = %f is %f', (u, expected) => {
    // Wenzel, USGS Water-Supply Paper 887 (1942), table of W(u).
    expect(wellFunction(u)).toBeCloseTo(expected, u === 5 ? 6 : 4);
  });

  it.each([
    [1, 0.0919],
    [0.1, 0.7336],
    [0.01, 3.276],
    [0.001, 6.212],
  ])('that of a well with casing storage at u = %f and α = 0.1 is %f', (u, expected) => {
    // Papadopulos and Cooper (1967), table of F(u, α), from memory: s = Q/(4πT) · F, u = rw²S/(4Tt), α = rw²S/rc².
    const [T, S, rw] = [1e-3, 0.1, 0.1];
    const hydraulics = { transmissivity: T, storage: S, casingRadius: rw, screenRadius: rw };
    const time = (rw ** 2 * S) / (4 * T * u);
    const [Q] = [1e-3];
    expect((papadopulosCooper(hydraulics, Q, time) * 4 * Math.PI * T) / Q).toBeCloseTo(expected, expected > 1 ? 2 : 3);
  });
});

describe('the level of a well that is pumped', () => {
  it.each([30, 120, 600, 3600])('after %i s is that of a well with casing storage (Papadopulos and Cooper 1967)', (time) => {
    const flow = 0.4e-3 / 60;
    const expected = papadopulosCooper(well, flow, time);
    expect(pumped(well, flow, time).value / expected).toBeGreaterThan(0.97);
    expect(pumped(well, flow, time).value / expected).toBeLessThan(1.03);
  });

  it('falls at first as if only the casing were emptied', () => {
    const flow = 0.4e-3 / 60;
    const tight = { ...well, transmissivity: 1e-9 };
    expect(pumped(tight, flow, 60).value).toBeCloseTo((flow * 60) / (Math.PI * 0.026 ** 2), 2);
  });

  it('is late that of Theis, and falls by 2.30 Q/(4πT) in each tenfold time (Cooper and Jacob 1946)', () => {
    const good: Hydraulics = { transmissivity: 1e-3, storage: 1e-3, casingRadius: 0.026, screenRadius: 0.05 };
    const flow = 1e-3;
    const after = (time: number) => pumped(good, flow, time, 2).value;
    const theis = (time: number) =>
      (flow / (4 * Math.PI * 1e-3)) * wellFunction((0.05 ** 2 * good.storage) / (4 * good.transmissivity * time));
    expect(after(5000) / theis(5000)).toBeCloseTo(1, 1);
    const cycle = (Math.LN10 * flow) / (4 * Math.PI * 1e-3);
    expect((after(10_000) - after(1000)) / cycle).toBeCloseTo(1, 1);
  });

  it('recovers by the difference of two pumpings (Theis recovery)', () => {
    const flow = 0.4e-3 / 60;
    const drawdown = pumped(well, flow, 1800);
    for (let time = 0; time < 900; time++) drawdown.advance(1, 0);
    const expected = papadopulosCooper(well, flow, 2700) - papadopulosCooper(well, flow, 900);
    expect(drawdown.value / expected).toBeCloseTo(1, 1);
  });

  it('never goes lower than the intake: what comes then is what flows in', () => {
    const drawdown = new Drawdown(well);
    let came = 0;
    for (let time = 0; time < 1200; time++) came = drawdown.advance(1, 5e-3 / 60, 2);
    expect(drawdown.value).toBeCloseTo(2, 9);
    expect(came).toBeGreaterThan(0);
    expect(came).toBeLessThan(5e-3 / 60);
    expect(came).toBeCloseTo(drawdown.inflow, 9);
  });
});

describe('tests of wells in the literature', () => {
  // Todd, Groundwater Hydrology, 2nd ed. (1980), table 4.2 and examples 4.4.1 to 4.4.3: a confined aquifer pumped at 2500 m³/d, drawdown
  // in m at 60 m after so many minutes. From memory.
  const flow = 2500 / 86_400;
  const observed: readonly (readonly [minutes: number, drawdown: number])[] = [
    [4, 0.41],
    [10, 0.57],
    [18, 0.67],
    [30, 0.76],
    [60, 0.9],
    [100, 0.96],
    [150, 1.04],
    [240, 1.12],
  ];
  const [transmissivity, storage] = [1110 / 86_400, 2.06e-4];

  it.each(observed)('that of the well function after %i min is %f m', (minutes, drawdown) => {
    const u = (60 ** 2 * storage) / (4 * transmissivity * minutes * 60);
    expect(Math.abs((flow / (4 * Math.PI * transmissivity)) * wellFunction(u) - drawdown)).toBeLessThan(0.02);
  });

  it('the straight line through its late drawdowns gives back its aquifer (Cooper and Jacob 1946)', () => {
    const late = observed.filter(([minutes]) => minutes >= 10).map(([minutes, drawdown]) => [Math.log10(minutes), drawdown] as const);
    const [x, y] = [0, 1].map((axis) => late.reduce((sum, one) => sum + one[axis]!, 0) / late.length) as [number, number];
    const slope = late.reduce((sum, one) => sum + (one[0] - x) * (one[1] - y), 0) / late.reduce((sum, one) => sum + (one[0] - x) ** 2, 0);
    // The book reads 1090 m²/d and 1.84 · 10⁻⁴ off such a line, and 1110 m²/d and 2.06 · 10⁻⁴ off the type curve.
    const found = ((Math.LN10 * flow) / (4 * Math.PI * slope)) * 86_400;
    expect(found / 1090).toBeGreaterThan(0.93);
    expect(found / 1090).toBeLessThan(1.07);
    const zero = 10 ** (x - y / slope);
    const stored = (2.25 * (found / 86_400) * zero * 60) / 60 ** 2;
    expect(stored / 1.84e-4).toBeGreaterThan(0.7);
    expect(stored / 1.84e-4).toBeLessThan(1.3);
    // And what is simulated falls along the same line.
    const wide = { transmissivity, storage, casingRadius: 0.1, screenRadius: 60 };
    const simulated = (minutes: number) => pumped(wide, flow, minutes * 60, 10).value;
    expect((simulated(240) - simulated(60)) / Math.log10(4) / slope).toBeCloseTo(1, 1);
  });

  it('a slug that is taken out at once comes back as at Dawsonville', () => {
    // Cooper, Bredehoeft and Papadopulos (1967), Dawsonville, Georgia: 0.560 m, casing of 7.6 cm, 5.3 cm²/s with α = 10⁻³. From memory.
    const dawsonville: Hydraulics = { transmissivity: 5.3e-4, storage: 1e-3, casingRadius: 0.076, screenRadius: 0.076 };
    const drawdown = new Drawdown(dawsonville);
    drawdown.advance(0.01, (0.56 * Math.PI * 0.076 ** 2) / 0.01);
    let at = 0;
    for (const [seconds, left] of [
      [3, 0.457],
      [9, 0.345],
      [15, 0.28],
      [24, 0.205],
      [36, 0.14],
      [48, 0.093],
      [63, 0.065],
    ] as const) {
      for (; at < seconds - 1e-9; at += 0.1) drawdown.advance(0.1, 0);
      expect(Math.abs(drawdown.value - left)).toBeLessThan(0.02);
    }
  });
});
