import type { Finding, FindingWords, Phrase, Words } from '../findings/index.ts';
import { showDuration, showMinutes } from '../time/index.ts';
import { show, showNumber, showTyped } from '../units/index.ts';
import {
  answerTaken,
  answerWays,
  bottleConditions,
  boxRead,
  cold,
  handedOver,
  labAnswered,
  leftReasons,
  readingTimes,
  readingWays,
  type BottleCondition,
} from './entries.ts';
import type { Party } from './party.ts';
import { boxRecorded, type Band, type OutOfBand } from './record/index.ts';
import { inBook, type Says } from '../book/index.ts';

const degrees = (value: unknown, digits = 0) => show(Number(value), 'degC', digits);
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

const newSample = 'Take a new sample.';
const span = (value: unknown) => showDuration(Number(value));
const seconds = (value: unknown) => showDuration(Number(value) * 1000);
const plain = (value: unknown) => showNumber(Number(value), 3);

export const custodyFindings: FindingWords = {
  ...conditions,
  'holding-over': [
    ({ since, before }) =>
      since === undefined ? `Holding time ends before it is there: in ${span(before)}.` : `Holding time is over since ${span(since)}.`,
    newSample,
  ],
  'holding-short': [({ left }) => `Holding time ends in ${span(left)}.`, 'Ask the lab to start it at once.'],
  'starts-late': [
    ({ after, hours, by }) => `The lab starts it ${plain(after)} h after receipt: ${span(by)} after its ${plain(hours)} h are over.`,
    'Ask the lab to start it earlier, or hand it over earlier.',
  ],
  'too-warm': [
    ({ is, least, most }) => `Too warm: ${degrees(is, 1)}. The lab takes these at ${degrees(least)} to ${degrees(most)}.`,
    cooler,
  ],
  'too-cold': [
    ({ is, least, most }) => `Too cold: ${degrees(is, 1)}. The lab takes these at ${degrees(least)} to ${degrees(most)}.`,
    'Keep the bottles off the ice; then measure again.',
  ],
  'cooling-begun': [
    ({ is, within }) => `Still warm: ${degrees(is, 1)}. The lab takes it on ice if it was filled less than ${plain(within)} h ago.`,
    'Leave it on ice, and say so at the desk.',
  ],
  'cold-harms': [
    ({ cold, box }) => `${String(cold).charAt(0).toUpperCase()}${String(cold).slice(1)} in ${box}: these want no ice.`,
    'Put them into a box without ice.',
  ],
  'cold-against': [({ cold, box }) => `${box} is kept cold by ${cold}: these want real ice alone.`, 'Change to wet ice in bags.'],
  'intake-closed': [({ bottle, opens }) => `The lab takes no ${bottle} in then. Intake opens in ${span(opens)}.`, intake],
  'intake-too-late': [
    ({ bottle, opens }) => `The lab accepts no ${bottle} then, and these are too old when its intake opens in ${span(opens)}.`,
    'Call the lab: will it accept them now? If not, take them again.',
  ],
  'no-intake': [({ bottle }) => `The lab takes no ${bottle} in then. No intake in the next two weeks.`, intake],
  'label-unseen': ['Its label was not looked at, as those of others were.', 'Read it against the form, or scan it.'],
  'sample-spoilt': ['A step of its protocol spoilt this sample.', 'Take it again; a lab’s number of it would prove nothing.'],
  'residual-missing': ['The residual is missing.', 'Measure free chlorine at the tap.'],
  'residual-high': [
    ({ is, most }) => `${plain(is)} mg/L of chlorine: this lab’s bottles take up ${plain(most)} mg/L.`,
    'Ask the lab for bottles with more thiosulfate.',
  ],
  'stagnation-missing': ['How long the water stood is not known.', 'Take it again with its clock, or tell the lab.'],
  'stagnation-short': [
    ({ is, least, most }) => `The water stood ${seconds(is)}: the lab wants ${seconds(least)} to ${seconds(most)}.`,
    'Wait, and take it again.',
  ],
  'stagnation-long': [
    ({ is, least, most }) => `The water stood ${seconds(is)}: the lab wants ${seconds(least)} to ${seconds(most)}.`,
    'Flush, let it stand anew, and take it again.',
  ],
  'not-offered': [({ bottle }) => `This lab does not do ${bottle}.`, 'Send it to a lab that does.'],
  'not-accredited': [
    ({ bottle }) => `The lab is not accredited for ${bottle}: its result may not count for compliance.`,
    'Send it to a lab that is, or ask the authority.',
  ],
  'reports-too-high': [
    ({ parameter, from, limit }) =>
      `${parameter}: the lab reports from ${plain(from)} on, the limit is ${plain(limit)}. “Less than” could not tell.`,
    'Ask for a finer method, or send it to another lab.',
  ],
  'set-broken': [({ there, copies }) => `${there} of ${copies} bottles of this sample.`, 'Find the others, or fill them.'],
  'blank-missing': [({ name }) => `Its ${name} is not with it.`, 'Lay it beside the bottles it belongs to, or fill one.'],
  'field-missing': [({ name }) => `“${name}” is empty on the form.`, 'Complete the register or the book.'],
  'form-incomplete': [({ name }) => `The lab’s form asks for “${name}”.`, 'Enter it below.'],
  'count-differs': [({ counted, form }) => `${counted} counted, ${form} on the form.`, 'Count again; mark what is not there as not found.'],
  'cannot-reach': [
    ({ hours, opens }) =>
      `Filled now it cannot reach the lab in time: it keeps ${hours} h, and intake opens ${opens === undefined ? 'in no less than two weeks' : `in ${span(opens)}`}.`,
    'Fill it later, or ask the lab first.',
  ],
  'likely-fahrenheit': [
    ({ text, as }) => `${String(text)} °C in a box? As °F it would be ${degrees(as, 1)}.`,
    'Look at the unit of the thermometer.',
  ],
  'record-elsewhere': ['None of its readings lies in the time of this box.', 'Another box, another day, or a clock or zone that is off?'],
  'record-ahead': [
    ({ by }) => `Its last reading is still to come, in ${showMinutes(Number(by))}.`,
    'Was its clock ahead, or is its zone another?',
  ],
  'record-above': [
    ({ box, bottle, for: time, most, is }) =>
      `${box} was above ${degrees(most)} for ${showMinutes(Number(time))}, ${degrees(is, 1)} at the warmest. Longest for ${bottle}.`,
    'Tell the lab, and take again what the protocol does not allow.',
  ],
  'record-below': [
    ({ box, bottle, for: time, least, is }) =>
      `${box} was below ${degrees(least)} for ${showMinutes(Number(time))}, ${degrees(is, 1)} at the coldest. Longest for ${bottle}.`,
    'Look whether bottles froze or broke, and tell the lab.',
  ],
  'record-unseen': [
    ({ bottle, for: time, gaps }) =>
      `For ${showMinutes(Number(time))} between filling and hand-over nothing was recorded${Number(gaps) > 0 ? `, with ${gaps === 1 ? 'a gap' : `${gaps} gaps`} in between` : ''}: ${bottle}.`,
    'What it was like then, the record does not tell.',
  ],
  'record-differs': [
    ({ box, hand, is }) => `${box} was read by hand at ${degrees(hand, 1)}; the record has ${degrees(is, 1)} at that moment.`,
    'Is its clock an hour off, or was it another box? A logger at the wall differs from bottles in the middle.',
  ],
  'no-bottles': ['No filled bottle is in the cooler.', 'Fill the bottles first.'],
  'no-temperature': [
    ({ box }) => `${box}: the temperature is missing.`,
    'Measure it in the temperature bottle, or in the water between the bottles.',
  ],
  'no-seal': [({ box }) => `${box}: this lab asks for a seal number.`, 'Seal the box and enter the number.'],
  'seal-broken': [({ box }) => `${box}: its seal is broken.`, 'Write down who opened it and why; the lab may refuse what is in it.'],
  'seal-other': [({ box }) => `${box}: its seal is not the one on the form.`, 'Find out who opened it; are two boxes swapped?'],
};

/** What was foretold of a bottle, in a word or two: its numbers stand in the book of the moment. */
export const refusalNames: Words = {
  ...Object.fromEntries(Object.entries(bottleConditions).map(([code, name]) => [code, name.toLowerCase()])),
  'holding-over': 'holding time over',
  'starts-late': 'started too late',
  'too-warm': 'too warm',
  'too-cold': 'too cold',
  'cold-against': 'kept cold by the wrong thing',
  'intake-closed': 'intake closed',
  'intake-too-late': 'too old when intake opens',
  'no-intake': 'no intake',
  'residual-missing': 'residual missing',
  'residual-high': 'too much chlorine',
  'stagnation-missing': 'standing time not known',
  'stagnation-short': 'stood too short',
  'stagnation-long': 'stood too long',
  'not-offered': 'not done by this lab',
  'set-broken': 'bottles of its sample missing',
  'form-incomplete': 'form incomplete',
  'field-missing': 'form incomplete',
  'count-differs': 'count differs',
  'no-temperature': 'temperature missing',
  'no-seal': 'seal number missing',
  'seal-broken': 'seal broken',
  'seal-other': 'another seal',
};

export const custodyWords: Words = {
  'no-such-hand-over': 'There is no such hand-over.',
  'lab-answered': 'The lab has answered so already.',
  'other-reference': ({ reference }) => `The lab’s reference for this form is ${reference}: is that the answer to another one?`,
  'not-on-form': ({ bottle }) => `${bottle} is not on that form: is that the answer to another one?`,
  'other-lab': ({ bottle, lab }) => `${bottle} goes to ${lab}.`,
  'bottle-twice': ({ bottle }) => `${bottle} is on the form twice.`,
  'not-in-cooler': ({ bottle }) => `${bottle} is not in the cooler: not filled, or handed over already.`,
  'held-by-other': ({ bottle, holder }) => `${bottle} is with ${holder}, who has to hand it over.`,
  'no-such-box': ({ bottle }) => `The box of ${bottle} is not on the form.`,
};

const saysParty = ({ as, name, lab }: Party) => name || (as === 'lab' && lab ? 'the lab' : '');
const answers = ({
  reference,
  bottles,
}: {
  reference: string;
  bottles: readonly { bottle: string; accepted: boolean; reason?: string | undefined }[];
}) => {
  const [taken, refused] = [bottles.filter(({ accepted }) => accepted), bottles.filter(({ accepted }) => !accepted)];
  const not = refused.map(({ bottle, reason }) => `${bottle}${reason ? ` (${reason})` : ''}`);
  return `${reference}: ${taken.length} accepted${not.length > 0 ? `; refused: ${not.join(', ')}` : ''}.`;
};

export const custodySays: readonly Says[] = [
  inBook(handedOver, ({ from, to, takenBy, boxes, bottles, left, signed, received }) => {
    const odd = bottles.filter(({ condition }) => condition !== 'good');
    const said = [
      ...odd.map(({ bottle, condition }) => `${bottle} ${bottleConditions[condition].toLowerCase()}`),
      ...left.map(({ bottle, why }) => `${bottle} ${leftReasons[why].toLowerCase()}`),
    ];
    const ofBoxes = boxes.map(
      ({ name, temperature, seal, sealIs }) =>
        `${name}${temperature ? ` ${showTyped(temperature)}` : ''}${seal ? `, seal ${seal}` : ''}${sealIs === 'whole' ? '' : `, seal ${sealIs}`}`,
    );
    const hands = [signed && `Signed ${signed.name}`, received && `taken ${received.name}`].filter((one) => one !== undefined);
    return (
      `${bottles.map(({ bottle }) => bottle).join(', ')} to ${[saysParty(to), takenBy].filter(Boolean).join(', ')}, from ${from.name}. ` +
      `${ofBoxes.length > 0 ? `${ofBoxes.join('; ')}. ` : ''}${said.length > 0 ? `${said.join(', ')}. ` : ''}${hands.join(', ')}${hands.length > 0 ? '.' : ''}`
    ).trim();
  }),
  inBook(boxRead, ({ box, when, cold: by, temperature, by: what }) =>
    [
      `${box.name}, ${readingTimes[when].toLowerCase()}:`,
      temperature ? `${showTyped(temperature)}, ${readingWays[what].toLowerCase()}.` : '',
      by ? `Kept by ${cold(by).name.toLowerCase()}.` : '',
    ]
      .filter(Boolean)
      .join(' '),
  ),
  inBook(boxRecorded, ({ box, recording, readings, gaps }) =>
    [`${box.name}: ${readings} readings of ${recording.name}`, gaps.length > 0 && `${gaps.length} gap${gaps.length === 1 ? '' : 's'}`]
      .filter(Boolean)
      .join(', ')
      .concat('.'),
  ),
  inBook(labAnswered, answers),
  inBook(answerTaken, ({ how, whom, ...answer }) => `${answers(answer)} ${answerWays[how]}, ${whom}.`),
];

/** What a form lacks before somebody reads, seals or types it. */
const unknownYet: Readonly<Record<string, (data: NonNullable<Finding['data']>) => string>> = {
  'no-temperature': () => 'temperature',
  'no-seal': () => 'seal',
  'form-incomplete': ({ name }) => `“${String(name)}”`,
};

/** Whether a refusal says only that something is not known yet: until it is, nobody can say that the lab takes the bottles. */
export const isUnknownYet = ({ code }: Pick<Finding, 'code'>): boolean => Object.hasOwn(unknownYet, code);

/** `temperature, seal`: what is not known yet, each once. */
export const sayUnknown = (findings: readonly Finding[]): string =>
  [...new Set(findings.filter(isUnknownYet).map(({ code, data }) => unknownYet[code]!(data ?? {})))].join(', ');

/** From here on (ms) it is said that nothing was recorded: a logger that is put in a moment late leaves nothing out. */
const worthSaying = 10 * 60_000;

/** What the record of its box says of a bottle, in a sentence; empty where it was in its band all the time. */
export function sayRecordOfBox({ name, band, out }: { name: string; band: Band | null; out: OutOfBand }): string {
  const parts = [
    band && out.above > 0 ? `above ${degrees(band.most)} for ${showMinutes(out.above)}, ${degrees(out.warmest, 1)} at the warmest` : '',
    band && out.below > 0 ? `below ${degrees(band.least)} for ${showMinutes(out.below)}, ${degrees(out.coldest, 1)} at the coldest` : '',
    out.unseen > worthSaying ? `not recorded for ${showMinutes(out.unseen, 'left')}` : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? '' : `On its way the box (${name}) was ${parts.join('; ')}.`;
}
