import type { FindingWords, Phrase, Words } from '../findings/index.ts';
import { showDuration } from '../time/index.ts';
import { show, showTyped } from '../units/index.ts';
import { bottleConditions, handedOver, labAnswered, type BottleCondition } from './entries.ts';
import { inBook, type Says } from '../book/index.ts';

const degrees = (value: unknown) => show(Number(value), 'degC', 0);
const intake: Phrase = 'Call the lab, or plan the hand-over for then.';
const cooler: Phrase = 'More ice, or space between ice and bottle; then measure again.';

const conditions = Object.fromEntries(
  (Object.keys(bottleConditions) as BottleCondition[])
    .filter((condition) => condition !== 'good')
    .map((condition) => [
      condition,
      [`${bottleConditions[condition]}.`, 'Take a new sample with a spare, or hand it over and expect a refusal.'] as const,
    ]),
);

export const custodyFindings: FindingWords = {
  ...conditions,
  'holding-over': [({ since }) => `Holding time is over since ${showDuration(Number(since))}.`, 'Take a new sample.'],
  'holding-short': [({ left }) => `Holding time ends in ${showDuration(Number(left))}.`, 'Ask the lab to start it at once.'],
  'too-warm': [({ least, most }) => `Too warm: the lab takes it at ${degrees(least)} to ${degrees(most)}.`, cooler],
  'too-cold': [
    ({ least, most }) => `Too cold: the lab takes it at ${degrees(least)} to ${degrees(most)}.`,
    'Keep the bottle off the ice; then measure again.',
  ],
  'intake-closed': [({ bottle, opens }) => `The lab takes no ${bottle} in now. Intake opens in ${showDuration(Number(opens))}.`, intake],
  'no-intake': [({ bottle }) => `The lab takes no ${bottle} in now. No intake in the next two weeks.`, intake],
  'sample-spoilt': ['A step of its protocol spoilt this sample.', 'Take it again; a lab’s number of it would prove nothing.'],
  'residual-missing': ['The residual is missing.', 'Measure free chlorine at the tap.'],
  'cannot-reach': [
    ({ hours, opens }) =>
      `Filled now it cannot reach the lab in time: it keeps ${hours} h, and intake opens ${opens === undefined ? 'in no less than two weeks' : `in ${showDuration(Number(opens))}`}.`,
    'Fill it later, or ask the lab first.',
  ],
  'no-bottles': ['No filled bottle is in the cooler.', 'Fill the bottles first.'],
  'no-temperature': ['The cooler temperature is missing.', 'Measure it in the water between the bottles.'],
  'no-seal': ['This lab asks for a seal number.', 'Seal the cooler and enter the number.'],
};

export const custodyWords: Words = {
  'no-such-hand-over': 'There is no such hand-over.',
  'lab-answered': 'The lab has answered.',
  'other-lab': 'The round was planned for another lab.',
  'bottle-twice': 'A bottle is on the form twice.',
  'not-in-cooler': ({ bottle }) => `${bottle} is not in the cooler: not filled, or handed over already.`,
};

export const custodySays: readonly Says[] = [
  inBook(handedOver, ({ to, releasedBy, receivedBy, coolerTemperature, seal, bottles, signature }) => {
    const odd = bottles.filter(({ condition }) => condition !== 'good');
    const said = odd.map(({ bottle, condition }) => `${bottle} ${bottleConditions[condition].toLowerCase()}`);
    return (
      `${bottles.map(({ bottle }) => bottle).join(', ')} to ${to}: ${releasedBy} to ${receivedBy}. ` +
      `Cooler ${showTyped(coolerTemperature)}${seal ? `, seal ${seal}` : ''}.${said.length > 0 ? ` ${said.join(', ')}.` : ''} Signed ${signature}.`
    );
  }),
  inBook(labAnswered, ({ reference, bottles }) => {
    const [taken, refused] = [bottles.filter(({ accepted }) => accepted), bottles.filter(({ accepted }) => !accepted)];
    const not = refused.map(({ bottle, reason }) => `${bottle}${reason ? ` (${reason})` : ''}`);
    return `${reference}: ${taken.length} accepted${not.length > 0 ? `; refused: ${not.join(', ')}` : ''}.`;
  }),
];
