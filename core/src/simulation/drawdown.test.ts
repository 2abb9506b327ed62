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
