import { sayFinding, type Words } from '../findings/index.ts';
import { readingFindings } from '../parameters/index.ts';
import { second, showDuration } from '../time/index.ts';

const lasting = (seconds: unknown) => (Number(seconds) < 300 ? `${Math.floor(Number(seconds))} s` : showDuration(Number(seconds) * second));

export const tapWords: Words = {
  'not-here': ({ type }) => `This protocol is not for a ${type}.`,
  'run-started': 'The protocol was started already.',
  'start-first': 'Start the protocol first.',
  'other-step': ({ say }) => `The step now is “${say}”.`,
  'run-order': ({ title }) => `“${title}” comes first: it needs the water as it stands.`,
  'run-over': 'The protocol has ended.',
  'no-clock': 'This step has no clock.',
  'clock-runs': 'Its clock is running. Say why it starts anew.',
  'other-answer': ({ type }) => `This step asks for ${type}.`,
  'no-such-option': 'Not one of the options.',
  'no-such-item': 'The step has no such item.',
  unanswered: ({ label }) => `Answer “${label}”.`,
  'cannot-be': (data) => sayFinding(readingFindings, { code: String(data['finding']), data }).says,
  'fill-first': 'Fill the bottle first.',
  'clock-short': ({ least, ran }) => `The clock asks for at least ${lasting(least)}; it ran ${lasting(ran)}.`,
  'clock-over': ({ most, ran }) => `The clock allows at most ${lasting(most)}; it ran ${lasting(ran)}.`,
  'clock-backdated': ({ by }) => `The start of the clock was written down ${showDuration(Number(by))} after its time.`,
  'clock-postdated': ({ by }) => `The end of the clock was written down ${showDuration(Number(by))} before its time.`,
  'answered-no': ({ items }) => `Answered no: ${items}.`,
};

export const tapAsks: Words = {
  'start-protocol': ({ title }) => `Start the protocol: ${title}`,
  'next-step': ({ say }) => String(say),
};
