import { describe, expect, it } from 'vitest';
import { chlorineAt, photometerShows, type CuvetteTest } from './index.ts';

const water = { free: 0.5, combined: 0.2, blank: 0.06 };
const free: CuvetteTest = { of: 'freeChlorine', begunAt: 0, isZeroed: true, parts: 1, most: 2, step: 0.02 };
const total: CuvetteTest = { ...free, of: 'totalChlorine' };
const shows = (test: CuvetteTest, seconds: number) => Number(photometerShows(water, test, seconds * 1000, 'a'));

describe('a simulated photometer', () => {
  it('shows free chlorine at once, and what is bound with its own reagent after three minutes', () => {
    expect(Math.abs(shows(free, 20) - 0.5)).toBeLessThan(0.03);
    expect(Math.abs(shows(total, 240) - 0.7)).toBeLessThan(0.03);
    expect(shows(total, 20)).toBeLessThan(0.65);
  });

  it('creeps up where free chlorine is read late, and fades after ten minutes', () => {
    expect(shows(free, 300)).toBeGreaterThan(shows(free, 20) + 0.03);
    expect(shows(total, 1500)).toBeLessThan(shows(total, 300) - 0.1);
  });

  it('reads the colour of the water where zero was not set with it, and is over its range above it', () => {
    expect(shows({ ...free, isZeroed: false }, 30) - shows(free, 30)).toBeCloseTo(0.06, 1);
    expect(photometerShows({ ...water, free: 3 }, free, 30_000, 'a')).toBeNull();
    expect(Math.abs(Number(photometerShows({ ...water, free: 3 }, { ...free, parts: 10 }, 30_000, 'a')) - 0.31)).toBeLessThan(0.03);
  });

  it('has no chlorine where none is dosed, and more bound than free where chloramine is', () => {
    expect(chlorineAt('p', null, false)).toMatchObject({ free: 0, combined: 0 });
    expect(chlorineAt('p', 0.2, false).free).toBeGreaterThan(0.2);
    expect(chlorineAt('p', 0.5, true)).toMatchObject({ free: 0 });
  });
});
