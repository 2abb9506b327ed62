import type { MisfitWords } from '../book/index.ts';

export const actWords: MisfitWords = {
  'no-such-action': 'There is no such follow-up.',
  'action-done': 'This follow-up is done.',
};
