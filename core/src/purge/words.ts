import { say, type Coded, type FindingWords, type Words } from '../findings/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { show, showTyped } from '../units/index.ts';
import { inBook, type Says } from '../book/index.ts';
import {
  flowTimed,
  pumpingLevelRead,
  pumpSwitched,
  purgeDecided,
  purgeEnded,
  purgeReading,
  purgeSetUp,
  type PurgeChoice,
} from './entries.ts';
import { pump, type DriveTrain, type PurgeWaterTo } from './pumping/gear.ts';
import { ruleOf } from './state.ts';
import { shown, unitOf } from './stability/words.ts';
import { choiceOf, trouble } from './troubles.ts';
import type { z } from 'zod';

const litres = (volume: unknown) => show(Number(volume), 'L', 1);

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
  'oxygen-over': [
    ({ percent, most }) =>
      `${Math.round(Number(percent))} % of saturation: water of that temperature takes ${show(Number(most), 'mg/L', 2)} from the air.`,
    'Look for bubbles in the cell, and check the probe in air.',
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
  'sets-too-close': [
    ({ apart, after }) =>
      `Only ${Math.round(Number(after))} s after the set before: it will not count, the criterion asks for ${Math.round(Number(apart) / 60)} min between sets.`,
    'Wait, or write it down knowing: it may show that something still moves, and proves nothing.',
  ],
  'sets-same-water': [
    ({ pumped, renewed }) =>
      `Only ${litres(pumped)} pumped since the last set that counts: pump, tubing and flow cell hold ${litres(renewed)}. This set will not count.`,
    'Wait until the water in them has been renewed, or save it knowing: it may show that something still moves, and proves nothing.',
  ],
  'set-same-water': [
    ({ pumped, renewed }) =>
      `Only ${litres(pumped)} were pumped between the last two sets: pump, tubing and flow cell hold ${litres(renewed)}.`,
    'The last set does not count towards the sets that must agree.',
  ],
  'set-too-soon': [
    ({ after, apart }) =>
      `The last set came ${Math.round(Number(after))} s after the one before; ${Math.round(Number(apart) / 60)} min are asked for.`,
    'It does not count towards the sets that must agree.',
  ],
  'same-at-once': [
    ({ after }) => `The last set says the same as the one ${Math.round(Number(after))} s before.`,
    'So soon that proves nothing: it does not count.',
  ],
  'drive-train-full': [
    ({ one }) => `Pump, tubing and flow cell hold ${show(Number(one), 'L', 2)}, and less than that is out.`,
    'This is still the water that stood in them. Wait for the first reading.',
  ],
  'totals-differ': [
    ({ total, told }) => `By flow and time ${show(Number(told), 'L', 1)} are out, not ${show(Number(total), 'L', 1)}.`,
    'Time the flow again, or count the buckets again.',
  ],
  'total-volumes': [
    ({ total, volumes }) => `${show(Number(total), 'L', 1)} is ${Math.round(Number(volumes))} casing volumes more than at the last set.`,
    'Check the unit and the decimal mark.',
  ],
  'total-jumped': [
    ({ total, was }) =>
      `The total went from ${show(Number(was), 'L', 1)} to ${show(Number(total), 'L', 1)}, many times faster than before.`,
    'Check the unit and the decimal mark.',
  ],
  'pump-not-on': ['The pump is not recorded as on.', 'Switch it on above, or correct the set-up.'],
  'cell-was-there': [
    ({ cell }) => `The set-up has a flow cell that holds ${show(Number(cell), 'mL', 0)}.`,
    'Was it left out? Never fill bottles behind a flow cell.',
  ],
  'level-at-intake': [
    ({ depth, intake }) => `At ${show(Number(depth), 'm', 2)} the level is at the intake, which hangs at ${show(Number(intake), 'm', 2)}.`,
    'The pump draws air. Slow it down, or stop.',
  ],
  'timings-differ': [({ percent }) => `The timings differ by ${Math.round(Number(percent))} %.`, 'Is the pump steady? Time it once more.'],
  'not-low-flow': [
    ({ flow, most }) => `${show(Number(flow), 'mL/min', 0)} is faster than the ${show(Number(most), 'mL/min', 0)} of low flow.`,
    'Slow down, unless the level holds and your plan bears it.',
  ],
  'hardly-flows': [({ flow }) => `${show(Number(flow), 'mL/min', 0)} is hardly a flow.`, 'Is it the unit?'],
  'fills-fast': [
    ({ rate, most }) => `${show(Number(rate), 'mL/min', 0)} is fast for these bottles; ${show(Number(most), 'mL/min', 0)} at most.`,
    'Slow it down, or split the flow. Volatiles leave a fast stream.',
  ],
  'other-method': [
    ({ sets }) => (Number(sets) === 1 ? '1 set was read by another method.' : `${sets} sets were read by another method.`),
    'They stay, and count by the new one as well.',
  ],
  'other-criterion': [
    ({ sets }) => (Number(sets) === 1 ? '1 set was judged by another criterion.' : `${sets} sets were judged by another criterion.`),
    'They stay, and are judged by the new one.',
  ],
  'wider-than-bore': [
    ({ inside, bore }) => `${show(Number(inside), 'mm', 1)} inside is wider than the bore of ${show(Number(bore), 'mm', 1)}.`,
    'One of them is wrong.',
  ],
  nominal: [
    ({ inches, pipe, known }) => `Exactly ${inches} in: a pipe called so (${pipe}) is ${show(Number(known), 'mm', 1)} inside.`,
    'Choose the pipe, or measure.',
  ],
  'beyond-suction': [
    ({ depth, most }) => `The water stands ${show(Number(depth), 'm', 2)} down; a suction pump lifts ${show(Number(most), 'm', 1)} here.`,
    'Take a pump that hangs in the water.',
  ],
  'strips-gas': [
    ({ pump }) => `${pump}: volatiles and dissolved gases leave the water.`,
    'Take a bladder or submersible pump for these bottles.',
  ],
  'intake-dry': [
    ({ intake, depth }) => `The intake at ${show(Number(intake), 'm', 2)} hangs above the water at ${show(Number(depth), 'm', 2)}.`,
    'Lower it.',
  ],
  'intake-too-deep': [
    ({ intake, bottom }) => `The intake at ${show(Number(intake), 'm', 2)} is below the bottom at ${show(Number(bottom), 'm', 2)}.`,
    'Is it the unit?',
  ],
  'intake-at-bottom': [({ above }) => `The intake hangs ${show(Number(above), 'm', 2)} above the bottom.`, 'It draws silt. Lift it.'],
  'intake-off-screen': [
    ({ intake, from, to }) =>
      `The intake at ${show(Number(intake), 'm', 2)} is not in the screen, ${show(Number(from), 'm', 2)} to ${show(Number(to), 'm', 2)}.`,
    'Low flow wants it in the middle of the screen, lowered slowly.',
  ],
  'level-rose': [
    ({ by }) => `${show(Number(by), 'cm', 1)} above the level at rest, while pumping.`,
    'Is it the unit, the tape, or was the level not at rest?',
  ],
  'above-rest': [
    ({ by }) => `${show(Number(by), 'cm', 1)} above the level at rest that was read before.`,
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
  'five-volumes': [
    'Five volumes are out and the readings are not stable yet.',
    'Decide whether to sample, and say so when you end the purge.',
  ],
};

export const purgeWords: Words = {
  'no-purge': 'A tap is not purged.',
  'level-first': 'Measure the level first: this method takes its volume from it.',
  'no-column': 'No water column follows from level and bottom. Sound the bottom, and enter how deep it is below the mark.',
  'set-up-first': 'Set up the purge first.',
  'purge-ended': 'The purge has ended.',
  'total-unknown': 'Say how much was pumped so far; or put the pump on and time its flow, and it is counted.',
  'ended-early': 'What the method asks for is not reached: say why you end here.',
};

/** What a method asks for, said of where it stands. Lengths in m, volumes in m³. */
const conditionWords: Words = {
  'casing-out': ({ left, volumes }) =>
    Number(left) > 0 ? `${show(Number(left), 'L', 1)} to go to ${volumes} volumes` : `${volumes} volumes are out`,
  'drive-train-out': ({ left }) =>
    Number(left) > 0
      ? `${show(Number(left), 'L', 2)} to go until pump, tubing and cell hold water of the well`
      : 'Pump, tubing and cell hold water of the well',
  'level-read': 'The level is read while pumping',
  'drawdown-small': ({ by, most }) => `Drawdown ${show(Number(by), 'm', 3)}, ${show(Number(most), 'm', 3)} at most`,
  'two-levels': ({ read }) => `The level while pumping, read twice (${read} so far)`,
  'level-still': ({ by, most }) =>
    `The level moved ${show(Number(by), 'm', 3)} between two readings, ${show(Number(most), 'm', 3)} at most`,
  'ran-dry': 'Pumped until it runs dry',
  'recovery-unread': ({ asked }) => `Recovered to ${asked} %: read the level`,
  recovered: ({ percent, asked }) => `Recovered to ${Math.round(Number(percent))} % of ${asked} %`,
  'in-time': ({ hours }) => `Within ${hours} h of running dry`,
};

export const sayCondition = (condition: Coded): string => say(conditionWords, condition);

export const purgeWaterNames: Record<PurgeWaterTo, string> = {
  ground: 'Onto clean ground',
  container: 'Into a container',
  leave: 'Onto the ground, by leave',
};

/** What pump, tubing and cell hold, where it is one number. */
const sayWhole = ({ holdsInAll }: DriveTrain): string => (holdsInAll ? `, ${showTyped(holdsInAll)} from intake to cell` : '');

/** What each method was set up with. */
function sayMethod(chosen: PurgeChoice): string {
  switch (chosen.method) {
    case 'volumes': {
      const sounded = chosen.bottom ? `, bottom sounded at ${showTyped(chosen.bottom)}` : '';
      const pack = chosen.withPack ? ', with the filter pack' : '';
      return `${chosen.volumes} volumes of a casing of ${showTyped(chosen.insideDiameter)} inside${pack}${sounded}`;
    }
    case 'low-flow':
      return `Low flow, drawdown ${showTyped(chosen.mostDrawdown)} at most${sayWhole(chosen)}`;
    case 'dry':
      return `Purge dry, recover to ${chosen.recover} %`;
    case 'running':
      return `A well that runs${chosen.ranBefore ? ', and ran before' : ''}`;
    case 'steady-level':
      return `Any flow that holds the level${sayWhole(chosen)}`;
    case 'none':
      return `No purge: ${chosen.reason}`;
  }
}

/** With what, and where the water goes. */
function sayPumping(chosen: PurgeChoice): string {
  if (!('water' in chosen || 'pump' in chosen || 'intake' in chosen)) return '';
  const { pump: id, pumpNamed, intake, water } = chosen;
  const parts = [
    ...(id ? [pumpNamed ? `${pump(id).name} ${pumpNamed}` : pump(id).name] : []),
    ...(intake ? [`intake at ${showTyped(intake)}`] : []),
    ...(water ? [`purge water ${purgeWaterNames[water].toLowerCase()}`] : []),
  ];
  return parts.length > 0 ? ` ${parts.join(', ')}.` : '';
}

export const pumpNames = { on: 'On.', off: 'Off.', 'ran-dry': 'Off: the well ran dry.' } as const;

function sayFilling(filling: z.infer<typeof purgeEnded.payload>['filling']): string {
  if (!filling) return '';
  if (filling.how === 'slowed') return ` Slowed to ${showTyped(filling.rate)} for the bottles.`;
  return filling.how === 'split' ? ' The flow is split for the bottles.' : ' Bottles are filled as it flows.';
}

/** A set-up in words. */
export function saySetUp(chosen: PurgeChoice): string {
  const how = `${sayMethod(chosen)}.${sayPumping(chosen)}`;
  if (!('parameters' in chosen)) return how;
  const read = chosen.parameters.map((id) => parameter(id).name).join(', ');
  const stable = 'criterion' in chosen ? `; stable by ${ruleOf(chosen)?.name ?? chosen.criterion}` : '';
  return `${how} Read: ${read}${stable}.`;
}

export const purgeSays: readonly Says[] = [
  inBook(purgeSetUp, saySetUp),
  inBook(purgeReading, ({ pumped, values, level, note }) => {
    const read = Object.entries(values).map(([id, typed]) => `${parameter(id as ParameterId).name} ${showTyped(typed)}`);
    const parts = [...(pumped ? [`${showTyped(pumped)} pumped`] : []), ...read, ...(level ? [`level ${showTyped(level)}`] : [])];
    return `${parts.join(', ')}.${note ? ` ${note}` : ''}`;
  }),
  inBook(pumpSwitched, ({ pump: state }) => pumpNames[state]),
  inBook(flowTimed, ({ timings }) => `${timings.map(({ caught, took }) => `${showTyped(caught)} in ${showTyped(took)}`).join(', ')}.`),
  inBook(pumpingLevelRead, ({ level }) => `${showTyped(level)} below the mark.`),
  inBook(purgeDecided, ({ trouble: id, choice, reason }) => `${trouble(id).name}: ${choiceOf(id, choice)?.do ?? choice}. ${reason}`),
  inBook(
    purgeEnded,
    ({ flowCell, filling, reason }) =>
      `${flowCell === 'detached' ? 'The flow cell is detached.' : 'No flow cell.'}${sayFilling(filling)}${reason ? ` Ended here because: ${reason}` : ''}`,
  ),
];
