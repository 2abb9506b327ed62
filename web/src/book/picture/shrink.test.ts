import { expect, it } from 'vitest';
import { keptSize, longestSide } from './shrink.ts';

it.each([
  ['a phone’s picture', 4032, 3024, 1600, 1200],
  ['one held upright', 3024, 4032, 1200, 1600],
  ['a small one, which stays as it is', 640, 480, 640, 480],
  ['a strip', 16000, 4, longestSide, 1],
])('keeps %s in its shape', (_, width, height, kept, high) => {
  expect(keptSize(width, height)).toEqual({ width: kept, height: high });
});
