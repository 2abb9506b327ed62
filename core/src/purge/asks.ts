import type { Words } from '../findings/index.ts';

export const purgeAsks: Words = {
  'set-up-purge': 'Set up the purge',
  'end-purge': 'End the purge: stable',
  'purge-on': 'Purge until stable',
  'next-set': 'The next set of readings',
};
