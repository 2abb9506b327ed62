import type { SampleReason } from '../bottles/index.ts';
import { sayFinding, type FindingWords, type Words } from '../findings/index.ts';
import { readingFindings } from '../parameters/index.ts';
import { second, showDuration } from '../time/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { showTyped, unitLabel, type UnitId } from '../units/index.ts';
import { clockStarted, runGivenUp, runStarted, stepDone, stepReopened, stepSkipped, type StepAnswer } from './entries.ts';
import { procedureOf } from './run.ts';
import { protocols } from './tables/index.ts';

const lasting = (seconds: unknown) => (Number(seconds) < 300 ? `${Math.floor(Number(seconds))} s` : showDuration(Number(seconds) * second));

export const tapFindings: FindingWords = {
  'clock-forgotten': [
    ({ minutes }) => `This clock has run for ${showDuration(Number(minutes) * 60 * second)}. Has it really been going on all that time?`,
    'Restart the clock if not.',
  ],
  'asked-above': [({ says }) => String(says), 'Keep it if it says the same.'],
};

export const tapWords: Words = {
  'not-here': ({ type }) => `This protocol is not for a ${type}.`,
  'other-way': 'That is no way to run this procedure here.',
  'run-started': 'The protocol was started already.',
  'start-first': 'Start the protocol first.',
  'other-step': ({ say }) => `The step now is “${say}”.`,
  'run-order': ({ title }) => `“${title}” comes first: what is done after it changes its water.`,
  'run-over': 'The protocol has ended.',
  'no-clock': 'This step has no clock.',
  'clock-runs': 'Its clock is running. Say why it starts anew.',
  'other-answer': ({ type }) => `This step asks for ${type}.`,
  'no-such-option': 'Not one of the options.',
  'blank-not-planned': 'No field blank is planned in this round. Plan one, or answer no: the sample then counts as special.',
  'blank-not-filled': 'The field blank is still empty. Fill it first, or answer no.',
  'other-unit': ({ unit }) => `This step is measured in ${unitLabel(unit as UnitId)}.`,
  'no-such-item': 'The step has no such item.',
  unanswered: ({ label }) => `Answer “${label}”.`,
  'cannot-be': (data) => sayFinding(readingFindings, { code: String(data['finding']), data }).says,
  'fill-first': 'Fill the bottle first.',
  'read-before': 'That was read before the last step was done, of other water. Measure again.',
  filled: 'A bottle has been filled by this protocol: it cannot go back any more.',
  'not-closed': 'The protocol can go back only to a step that was done or skipped.',
  'clock-short': ({ least, ran }) => `The clock asks for at least ${lasting(least)}; it ran ${lasting(ran)}.`,
  'not-constant': ({ count, within, unit }) => `The last ${count} readings do not lie within ${within} ${unitLabel(unit as UnitId)}.`,
  'clock-over': ({ most, ran }) => `The clock allows at most ${lasting(most)}; it ran ${lasting(ran)}.`,
  'clock-backdated': ({ by }) => `The start of the clock was written down ${showDuration(Number(by))} after its time.`,
  'clock-postdated': ({ by }) => `The end of the clock was written down ${showDuration(Number(by))} before its time.`,
  needed: 'This step cannot be left out: what comes after it would not be safe.',
  'too-few-times': ({ least, times }) => `At least ${least} times; ${times} were counted.`,
  'answered-no': ({ items }) => `Answered no: ${items}.`,
};

/** A protocol in its newest edition: only its words are looked up in it. */
const protocolOf = (id: string) => protocols.newest.find((one) => one.id === id);
/** A step of some way of a procedure, by its name there. */
const stepOf = (procedure: string, id: string) =>
  protocols.newest.filter((one) => procedureOf(one) === procedure).flatMap(({ steps }) => steps.find((step) => step.id === id) ?? [])[0];
const stepSays = (procedure: string, id: string) => `“${stepOf(procedure, id)?.say ?? id}”`;

/** An answer to a step, in words. */
function sayAnswer(procedure: string, id: string, answer: StepAnswer): string {
  const act = stepOf(procedure, id)?.act;
  switch (answer.type) {
    case 'measure':
      return `: ${showTyped(answer.reading)}`;
    case 'constant':
      return `: ${answer.readings.map(showTyped).join(', ')}`;
    case 'since':
      return `: ${showTyped(answer.lasted)}`;
    case 'times':
      return `: ${answer.times} times`;
    case 'choose':
      return `: ${(act?.type === 'choose' && act.options.find((option) => option.id === answer.option)?.label) || answer.option}`;
    case 'checks': {
      const label = (item: string) => (act?.type === 'checks' && act.items.find((one) => one.id === item)?.label) || item;
      const said = (word: string, items: readonly string[]) => (items.length > 0 ? [`${word}: ${items.map(label).join('; ')}`] : []);
      return `: ${[...said('yes', answer.yes), ...said('no', answer.no)].join('. ')}`;
    }
    default:
      return '';
  }
}

export const tapSays: readonly Says[] = [
  inBook(
    runStarted,
    ({ procedure, protocol, edition }) =>
      `“${protocolOf(protocol)?.title ?? protocolOf(procedure)?.title ?? protocol}”, edition ${edition}.`,
  ),
  inBook(runGivenUp, ({ procedure, reason }) => `“${protocolOf(procedure)?.title ?? procedure}”: ${reason}`),
  inBook(stepReopened, ({ procedure, step, reason }) => `Back to ${stepSays(procedure, step)}: ${reason}`),
  inBook(clockStarted, ({ procedure, step, reason }) => `${stepSays(procedure, step)}${reason ? `, anew: ${reason}` : '.'}`),
  inBook(
    stepDone,
    ({ procedure, step, answer, departure }) =>
      `${stepSays(procedure, step)}${sayAnswer(procedure, step, answer)}.${departure ? ` Departs from the protocol: ${departure}` : ''}`,
  ),
  inBook(stepSkipped, ({ procedure, step, departure }) => `${stepSays(procedure, step)}: ${departure}`),
];

const makes = { routine: '', special: ' Special, not for compliance.', invalid: ' Spoilt: take it again.' } as const;

const inside = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** Why a sample is what it is, as a sentence. */
export function saySample({ code, makes: kind, data }: SampleReason): string {
  const says = {
    stop: () => data['say']!,
    departure: () => `“${data['step']}” departs from the protocol: ${data['reason']}.`.replace(/\.\.$/, '.'),
    'begun-again': () => `Begun anew: “${data['protocol']}” had come to nothing. ${data['why']}`,
    reopened: () => `Went back to “${data['step']}”: ${data['reason']}.`.replace(/\.\.$/, '.'),
    stale: () =>
      data['is'] === 'ahead'
        ? 'By the time it can be filled, the tap was flushed and measured too long ago: that is other water.'
        : 'Filled too long after the tap was flushed and measured: this is other water.',
    'no-protocol': () => 'Bacteria taken without a protocol.',
    'not-fit': () => `The place is not fit: ${inside(data['seen']!)}.`,
    'place-caution': () => `The place is fit with caution: ${inside(data['seen']!)}.`,
    unfiltered: () => `Not filtered: ${inside(data['reason']!)}. The result is of the whole water.`,
    gear: () => `Not so: ${inside(data['ask']!)}.`,
    'purge-trouble': () => `${data['trouble']}: ${inside(data['choice']!)} (${data['reason']}).`,
    'purge-short': () => `The purge ended before it was done: ${inside(data['reason']!)}.`.replace(/\.\.$/, '.'),
    'not-purged': () => `Not purged: ${inside(data['reason']!)}.`.replace(/\.\.$/, '.'),
    'unknown-protocol': () => 'Taken by a protocol that this copy of Fonte does not know.',
  };
  return `${says[code]()}${makes[kind]}`;
}
