import type { MisfitWords } from '../book/index.ts';

export const custodyWords: MisfitWords = {
  'no-such-hand-over': 'There is no such hand-over.',
  'lab-answered': 'The lab has answered.',
  'other-lab': 'The round was planned for another lab.',
  'bottle-twice': 'A bottle is on the form twice.',
  'not-in-cooler': ({ bottle }) => `${bottle} is not in the cooler: not filled, or handed over already.`,
};
