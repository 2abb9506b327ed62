import type { LevelOfRecord } from '@fonte/core/level';
import { expect, it } from 'vitest';
import { hydrograph, logged } from './series.ts';

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
    mark: 'cap',
    levels: [
      { at: 1, value: 7.4 },
      { at: 3, value: 7.3 },
      { at: 4, value: 7.2 },
    ],
  });
  expect(hydrograph(record.slice(0, 3))).toBeNull();
});

it('draws what loggers recorded as the levels by hand are drawn, and leaves out what cannot be', () => {
  const records = [
    { mark: 'cap', elevation: 50, times: [20, 40], depths: [7, 7.2] },
    { mark: 'rim', elevation: undefined, times: [30], depths: [6] },
    { mark: 'cap', elevation: 50, times: [10], depths: [7.4] },
  ];
  const elevations = { says: '', isDepth: false, levels: [] };
  expect(logged(elevations, records)).toEqual([
    { at: 10, value: 42.6 },
    { at: 20, value: 43 },
    { at: 40, value: 42.8 },
  ]);
  expect(logged({ ...elevations, isDepth: true, mark: 'rim' }, records)).toEqual([{ at: 30, value: 6 }]);
});
