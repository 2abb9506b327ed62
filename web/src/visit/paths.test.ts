import { expect, it } from 'vitest';
import { roomPath } from './paths.ts';

it('leads to the room at the point, or to the round where none is named', () => {
  expect(roomPath('r', 'level', 'v')).toBe('/rounds/r/at/v/level');
  expect(roomPath('r', 'tap', 'v')).toBe('/rounds/r/at/v/tap');
  expect(roomPath('r', 'tap', 'v', 'lead-timed')).toBe('/rounds/r/at/v/tap/lead-timed');
  expect(roomPath('r', 'custody', null)).toBe('/rounds/r/custody');
  expect(roomPath('r', 'plan', 'v')).toBe('/rounds/r');
});
