import type { MisfitWords } from '../book/index.ts';

export const levelWords: MisfitWords = {
  'no-level': 'A tap has no water level.',
  'no-such-mark': 'This well has no such measuring point.',
  unexplained: ({ why }) => `${why} Read again, or say why it is right.`,
};

export const levelAsks: MisfitWords = {
  'measure-level': 'Measure the level',
  'read-again': 'Read the level again: two must agree',
};
