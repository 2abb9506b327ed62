import type { Words } from '../findings/index.ts';

export const fillAsks: Words = {
  fill: ({ count }) => (count === 1 ? 'Fill 1 bottle' : `Fill ${count} bottles`),
  'fill-blanks': ({ count }) => (count === 1 ? 'Fill the blank: 1 bottle' : `Fill the blanks first: ${count} bottles`),
};
