import type { MisfitWords } from '../book/index.ts';

export const tapWords: MisfitWords = {
  'not-a-tap': 'This protocol is for a tap.',
  'run-started': 'The protocol was started already.',
  'start-first': 'Start the protocol first.',
  'other-step': ({ say }) => `The step now is “${say}”.`,
  'run-over': 'The protocol has ended.',
  'no-clock': 'This step has no clock.',
  'clock-runs': 'Its clock is running.',
  'other-answer': ({ type }) => `This step asks for ${type}.`,
  'no-such-option': 'Not one of the options.',
  'no-such-item': 'The step has no such item.',
  unanswered: ({ label }) => `Answer “${label}”.`,
  'cannot-be': ({ why }) => String(why),
  'fill-first': 'Fill the bottle first.',
  'departure-unexplained': ({ why }) => `${why} Say why.`,
};
