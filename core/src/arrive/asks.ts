import type { Words } from '../findings/index.ts';

export const arriveAsks: Words = {
  'look-round': 'Look round before you touch anything',
  'left-for-danger': 'Left, as it was not safe: come back, or take another point',
  'look-at-place': 'Is the place fit to sample?',
  restore: ({ count }) => (count === 1 ? 'Put 1 thing back as it was' : `Put ${count} things back as they were`),
};
