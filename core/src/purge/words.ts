import type { MisfitWords } from '../book/index.ts';

export const purgeWords: MisfitWords = {
  'no-purge': 'A tap is not purged.',
  'level-first': 'Measure the level first: this method takes its volume from it.',
  'set-up-first': 'Set up the purge first.',
  'purge-ended': 'The purge has ended.',
  'ended-early': 'Volume or stability is not reached: say why you end here.',
};

export const purgeAsks: MisfitWords = {
  'set-up-purge': 'Set up the purge',
  'end-purge': 'End the purge: stable',
  'purge-on': 'Purge until stable',
};
