import type { LevelOfRecord } from '@fonte/core/level';
import { expect, it } from 'vitest';
import { hydrograph } from './series.ts';

const level = (at: number, measuringPoint: string, depth: number, elevation: number | null): LevelOfRecord => ({
  round: 'r',
  at,
  measuringPoint,
  depth,
  elevation,
  water: 'static',
});

it('draws elevations, in which levels from different marks are comparable', () => {
  const record = [level(1, 'rim', 7.4, 40), level(2, 'cap', 6.9, 40.1), level(3, 'rim', 7.2, 40.2)];
  expect(hydrograph(record)).toMatchObject({ isDepth: false, levels: [{ value: 40 }, { value: 40.1 }, { value: 40.2 }] });
});

it('draws depths below one mark where no elevation is known, and never mixes marks', () => {
  const record = [level(1, 'cap', 7.4, null), level(2, 'rim', 9, null), level(3, 'cap', 7.3, null), level(4, 'cap', 7.2, null)];
  expect(hydrograph(record)).toEqual({
    says: 'Depth to water below cap',
    isDepth: true,
    levels: [
      { at: 1, value: 7.4 },
      { at: 3, value: 7.3 },
      { at: 4, value: 7.2 },
    ],
  });
  expect(hydrograph(record.slice(0, 3))).toBeNull();
});
