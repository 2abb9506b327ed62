import type { Recording } from '../src/registers/index.ts';

/** How a file of two columns is read whose dates and clock leave nothing open: moments in UTC, then a reading with a point. */
export const plainRecording: Omit<Recording, 'unit'> = {
  sha256: 'a'.repeat(64),
  name: 'record.csv',
  date: 0,
  order: 'ymd',
  clock: { goes: 'fixed', offset: 0 },
  ahead: 0,
  value: 1,
  decimals: 'point',
};
