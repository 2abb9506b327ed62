import { gearRow } from '../bottles/index.ts';
import { inBook, type Says } from '../book/index.ts';
import type { FindingWords, Words } from '../findings/index.ts';
import { instrumentKind } from '../registers/index.ts';
import { show, showTyped } from '../units/index.ts';
import { checkRow, type CheckOutcome } from './check.ts';
import { bottlesBoxed, callMade, checkOverridden, gearChecked, instrumentChecked, kitTicked } from './entries.ts';
import { packRow } from './packing.ts';
import type { Readiness } from './prepare.ts';

export const prepareWords: Words = {
  'other-instrument': 'That check is of another kind of instrument.',
  'no-answer': 'Say whether it is so.',
  'no-reading': 'Write down what it reads.',
  'no-nominal': 'Write down what it should read.',
  'not-of-the-day': 'This check is from an earlier day. Check the instrument again.',
  'read-since': 'It has been checked in this round since.',
  'no-lot': 'Write down the lot of the standard.',
};

export const prepareFindings: FindingWords = {
  'box-two-colds': [
    ({ name }) => `${name} holds bottles that want ice, and such that ice spoils.`,
    'Put what is kept at 6 to 20 °C into a box of its own.',
  ],
  'box-narrow-cold': [
    ({ name }) => `${name} holds what wants 6 to 20 °C and bacteria that want less than 10 °C.`,
    'Keep it at 6 to 10 °C with a thermometer in it and no ice at the bottles, or take two boxes.',
  ],
  'box-too-small': [
    ({ name, holds, space }) => `${name} holds ${show(Number(holds), 'L', 0)}; with ice these bottles take ${show(Number(space), 'L', 0)}.`,
    'Take another box for some of them.',
  ],
};

export const outcomeNames: Record<CheckOutcome, string> = {
  pass: 'Passes',
  fail: 'Fails',
  expired: 'Standard out of date',
  'wrong-standard': 'That standard is for another check',
};
export const readinessNames: Record<Readiness, string> = {
  checked: 'Checked',
  failed: 'Failed',
  unchecked: 'Not checked',
  overridden: 'Used without a good check',
};
export const callAnswerNames = { yes: 'Yes', no: 'No', nobody: 'Nobody answered' } as const;

export const prepareSays: readonly Says[] = [
  inBook(instrumentChecked, ({ instrument, check, reading, nominal, isGood, standard, isAdjusted, taken }) => {
    const said = reading ? `reads ${showTyped(reading)}${nominal ? `, should ${showTyped(nominal)}` : ''}` : isGood ? 'is so' : 'is not so';
    return `${instrument.name}, ${checkRow(check).name}: ${said}.${standard ? ` Lot ${standard.lot}, until ${standard.expires}.` : ''}${isAdjusted ? ' Adjusted before.' : ''}${taken ? ' Made in another round of the day.' : ''}`;
  }),
  inBook(checkOverridden, ({ kind, reason }) => `${instrumentKind(kind).name}: ${reason}`),
  inBook(kitTicked, ({ item, isPacked }) => `${packRow(item).name}: ${isPacked ? 'in the van' : 'taken out again'}.`),
  inBook(gearChecked, ({ gear, isSo }) => `${gearRow(gear).ask}: ${isSo ? 'yes' : 'no'}.`),
  inBook(bottlesBoxed, ({ box, bottles }) => `${box ? `${box.name}: ` : 'Out of their box: '}${bottles.join(', ')}.`),
  inBook(callMade, ({ whom, answer, words }) => `${whom}: ${callAnswerNames[answer].toLowerCase()}.${words ? ` ${words}` : ''}`),
];
