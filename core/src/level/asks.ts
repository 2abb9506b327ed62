import type { Words } from '../findings/index.ts';

export const levelAsks: Words = {
  'measure-level': 'Measure the level',
  'read-again': 'Read the level again: two must agree',
};
