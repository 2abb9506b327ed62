import { say, type Coded, type FindingWords, type Words } from '../findings/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { show, showNumber, showTyped, unitLabel } from '../units/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { criteria } from './criteria.ts';
import { purgeEnded, purgeReading, purgeSetUp, type PurgeChoice } from './entries.ts';

export const purgeFindings: FindingWords = {
  narrow: [({ inside }) => `${show(Number(inside), 'mm', 1)} is narrow for a well.`, 'Was it inches?'],
  wide: [({ inside }) => `${show(Number(inside), 'm', 2)} is wide for a well.`, 'Was it millimetres?'],
  'other-pipe': [
    ({ inside, pipe, known }) => `${pipe} is ${show(Number(known), 'mm', 1)} inside, not ${show(Number(inside), 'mm', 1)}.`,
    'A nominal size is no inside diameter. Measure it, or choose another pipe.',
  ],
  'other-bore': [
    ({ inside, known }) => `${show(Number(inside), 'mm', 1)} inside; the register says ${show(Number(known), 'mm', 1)}.`,
    'Is it the unit? If the register is wrong, have it put right.',
  ],
  'total-fell': [
    'The pumped total is less than at the reading before.',
    'The total counts from the start of the purge. Correct the one that is wrong.',
  ],
  'sets-close': [
    ({ apart, after }) =>
      `Only ${Math.round(Number(after))} s after the set before: the criterion asks for ${Math.round(Number(apart) / 60)} min between sets.`,
    'Readings so close agree of themselves. Wait, or write it down knowing.',
  ],
  'level-rose': [
    ({ by }) => `${show(Number(by), 'cm', 1)} above the level at rest, while pumping.`,
    'Is it the unit, the tape, or was the level not at rest?',
  ],
  'far-from-last': [
    ({ parameter: id, was, is }) => `${parameter(id as ParameterId).name} was ${shown(id, was)} ${unitOf(id)}, and is ${shown(id, is)}.`,
    'Is it the decimal mark or the unit?',
  ],
  'criterion-unknown': [
    ({ criterion }) => `The stability criterion ${criterion} is not known to this copy of Fonte: nothing is judged by it.`,
    'Update Fonte, or change the set-up to a criterion that it has.',
  ],
  'five-volumes': ['Five volumes are out and the readings still move.', 'Decide whether to sample, and say so when you end the purge.'],
};

export const purgeWords: Words = {
  'no-purge': 'A tap is not purged.',
  'level-first': 'Measure the level first: this method takes its volume from it.',
  'no-column': 'No water column follows from level and bottom. Sound the bottom, and enter how deep it is below the mark.',
  'set-up-first': 'Set up the purge first.',
  'purge-ended': 'The purge has ended.',
  'ended-early': 'Volume or stability is not reached: say why you end here.',
};

const shown = (id: unknown, value: unknown) => {
  const { decimals } = parameter(id as ParameterId);
  return showNumber(Number(value), decimals + (decimals < 2 ? 1 : 0));
};
const unitOf = (id: unknown) => unitLabel(parameter(id as ParameterId).unit);

const stabilityWords: Words = {
  'not-read': 'not read',
  'few-sets': ({ read, asked }) => `${read} of ${asked} sets`,
  'too-coarse': ({ parameter: id, step, allowed }) => `read in steps of ${shown(id, step)}, ± ${shown(id, allowed)} allowed: read finer`,
  'at-floor': ({ parameter: id, floor }) => `all at or below ${floor} ${unitOf(id)}`,
  moved: ({ parameter: id, by, allowed }) => `moved ${shown(id, by)} ${unitOf(id)}, ± ${shown(id, allowed)} allowed`,
};

/** Why a parameter holds or not, in a few words. */
export const sayStability = (because: Coded): string => say(stabilityWords, because);

/** What each method was set up with. */
function sayMethod(chosen: PurgeChoice): string {
  switch (chosen.method) {
    case 'volumes': {
      const sounded = chosen.bottom ? `, bottom sounded at ${showTyped(chosen.bottom)}` : '';
      return `${chosen.volumes} volumes of a casing of ${showTyped(chosen.insideDiameter)} inside${sounded}`;
    }
    case 'running':
      return `A well that runs${chosen.ranBefore ? ', and ran before' : ''}`;
  }
}

export const purgeSays: readonly Says[] = [
  inBook(purgeSetUp, (chosen) => {
    const how = sayMethod(chosen);
    const read = chosen.parameters.map((id) => parameter(id).name).join(', ');
    return `${how}. Read: ${read}; stable by ${criteria.find(chosen.criterion)?.name ?? chosen.criterion}.`;
  }),
  inBook(purgeReading, ({ pumped, values, level, note }) => {
    const read = Object.entries(values).map(([id, typed]) => `${parameter(id as ParameterId).name} ${showTyped(typed)}`);
    const parts = [`${showTyped(pumped)} pumped`, ...read, ...(level ? [`level ${showTyped(level)}`] : [])];
    return `${parts.join(', ')}.${note ? ` ${note}` : ''}`;
  }),
  inBook(purgeEnded, ({ reason }) => `The flow cell is detached.${reason ? ` Ended here because: ${reason}` : ''}`),
];
