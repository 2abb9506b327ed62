import { expect, it } from 'vitest';
import { packVolume } from './volume.ts';

it('a pack of gravel whose porosity nobody said holds three tenths of its ring (common practice: 0.25 to 0.35)', () => {
  const mark = { name: 'Rim', stickUp: 0 };
  const found = packVolume({ bore: 0.2, pack: { from: 10, to: 11 } }, mark, { insideDiameter: 0.1, depth: 5 });
  // A ring of 100 and 200 mm, 1 m long: 23.56 L, of which 7.07 L are water.
  expect(found!.value * 1000).toBeCloseTo(0.3 * 23.562, 2);
});
