import type { Words } from '../findings/index.ts';

export const levelAsks: Words = {
  'measure-level': 'Measure the level',
  'settle-level': 'Settle which level is right: two at rest contradict each other',
  'read-again': 'Read the level again: two must agree',
};
