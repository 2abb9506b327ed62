import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart, drawn, halfAt, height } from './geometry.ts';

const mark = { name: 'Rim', stickUp: 0.5 };
const well = {
  measuringPoints: [mark],
  bottom: 60,
  screenTop: 48,
  screenBottom: 58,
  insideDiameter: 0.2,
  narrower: [{ from: 30, insideDiameter: 0.15 }],
  bore: 0.32,
  pack: { from: 44, to: 60 },
  seal: { from: 1, to: 12, of: 'cement' },
};

describe('a well as it is drawn', () => {
  it('stands to scale in depth, below the mark', () => {
    const of = drawn(well, mark, []);
    expect(of).toMatchObject({ ground: 0.5, bottom: 60.5, screen: { from: 48.5, to: 58.5 }, seal: { from: 1.5, to: 12.5, of: 'cement' } });
    // As deep again below the mark is as far again on the drawing.
    expect((of.y(40) - of.y(0)) / (of.y(20) - of.y(0))).toBeCloseTo(2, 9);
  });

  it('becomes narrower where its casing does, as much as that is, and the bore stays outside', () => {
    const of = drawn(well, mark, []);
    expect(halfAt(of.casing, 40) / halfAt(of.casing, 10)).toBeCloseTo(0.75, 6);
    expect(of.casing.map(({ from, to }) => [from, to])).toEqual([
      [0, 30.5],
      [30.5, 60.5],
    ]);
    expect(of.bore!).toBeGreaterThan(halfAt(of.casing, 10));
  });

  it('lies in the layers that were drilled through, but for those below what is drawn', () => {
    const layers = [
      { to: 14, of: 'clay', water: 'holds-back' as const },
      { to: 61, of: 'limestone', water: 'gives' as const },
      { to: 90, of: 'marl' },
      { to: 120, of: 'granite' },
    ];
    const found = drawn({ ...well, layers }, mark, []).layers;
    expect(found.map(({ of, from }) => [of, from])).toEqual([
      ['clay', 0.5],
      ['limestone', 14.5],
      ['marl', 61.5],
    ]);
    expect(found[2]!.to).toBe(90.5);
    // How deep they lie below a mark whose height nobody knows, nobody knows.
    expect(drawn({ ...well, layers }, { name: 'Rim' }, []).layers).toEqual([]);
  });

  it('is drawn without bore, seal and pack where nobody knows them, and open below where the bottom is not known', () => {
    const of = drawn({ measuringPoints: [mark] }, mark, [14]);
    expect(of).toMatchObject({ bore: null, seal: null, pack: null, screen: null, isBottomKnown: false });
    expect(of.bottom).toBeGreaterThan(14);
  });
});

it('no two words lie over one another, and none falls off the drawing', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: height, noNaN: true }), { minLength: 1, maxLength: 12 }), (all) => {
      const placed = apart(all.map((y) => ({ y }))).map(({ y }) => y);
      expect(placed.every((y, place) => place === 0 || y - placed[place - 1]! >= 18 - 1e-9)).toBe(true);
      expect(Math.max(...placed)).toBeLessThanOrEqual(height);
    }),
  );
});
