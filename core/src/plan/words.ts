import type { Words } from '../findings/index.ts';

export const planWords: Words = {
  'no-plan': 'There is no such round.',
  'given-up': 'This round was given up already.',
  'planned-already': 'This round is planned already.',
  'no-such-visit': 'This round has no such point.',
  'in-plan': 'It is in the plan already.',
  'not-in-plan': 'It is not in the plan.',
  'bottle-used': ({ bottle, state, analysis }) => `Bottle ${bottle} was ${state} already: ${analysis} stays in the plan.`,
  'not-in-round': ({ bottle }) => `${bottle} is not in this round.`,
};
