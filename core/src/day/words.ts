import type { FindingWords } from '../findings/index.ts';
import { showDate, showMinutes, wallTime } from '../time/index.ts';
import type { PieceCode } from './minutes.ts';
import type { Fault } from './solve/faults.ts';
import type { DayProblem } from './solve/problem.ts';
import type { Remedy } from './remedies.ts';

export const pieceNames: Record<PieceCode, string> = {
  walk: 'On foot',
  arrive: 'Park, look round, unpack',
  level: 'Level',
  purge: 'Purge',
  protocol: 'Protocol',
  fill: 'Fill',
  leave: 'Put back, pack, write up',
};

export const dayFindings: FindingWords = {
  'no-position': [
    ({ name, minutes }) => `${name} is not on the map: ${minutes} min are taken for every drive to or from it.`,
    'Give it a position in the register.',
  ],
  'lab-shut-too-long': [
    ({ lab, date, kinds }) => `${lab} accepts no ${kinds} on ${showDate(String(date))}, and when it does they are too old.`,
    'Choose another day or another lab.',
  ],
  'lab-shut': [
    ({ lab, date, kinds, opens, zone }) =>
      `${lab} accepts no ${kinds} on ${showDate(String(date))}${opens ? `. It does from ${sayMoment(Number(opens), 0, String(zone))}` : ''}.`,
    'The bottles keep until then: plan where they stay.',
  ],
};

/** Why a day cannot be done, as a sentence. */
export function sayFault(fault: Fault, { stops }: DayProblem, zone: string): string {
  const time = (moment: number) => wallTime(moment, zone).time;
  const name = 'stop' in fault ? stops[fault.stop]!.name : '';
  switch (fault.code) {
    case 'nobody-there':
      return `${name}: nobody lets you in that day.`;
    case 'not-let-in':
      return `${name}: you would be there at ${time(fault.arrives)}, and the work must be done by ${time(fault.until)}.`;
    case 'must-wait':
      return `${name} comes after ${stops[fault.before]!.name}.`;
    case 'lab-shut':
      return 'The lab does not take these bottles in that day.';
    case 'too-late':
      return `You would be at the lab at ${time(fault.arrives)}; it takes these bottles in until ${time(fault.closes)}.`;
    case 'cooler-late':
      return `You would be at the lab at ${time(fault.arrives)}; a bottle in the cooler must be there by ${time(fault.by)}.`;
    case 'too-old':
      return `${fault.bottle} of ${name} would be ${showMinutes(fault.by)} too old at the lab.`;
  }
}

/** A moment by the clock, with its day where that is another than that of a moment before. */
function sayMoment(moment: number, before: number, zone: string): string {
  const { date, time } = wallTime(moment, zone);
  return date === wallTime(before, zone).date ? time : `${time} on ${showDate(date)}`;
}

/** What would help, in the imperative. */
export function sayRemedy(remedy: Remedy, zone: string): string {
  const done = `at the lab ${wallTime(remedy.handOver, zone).time}`;
  switch (remedy.code) {
    case 'start-earlier':
      return `Set out at ${remedy.start}: ${done}`;
    case 'no-lunch':
      return `Go without the pause: ${done}`;
    case 'drop-off':
      return `Leave it at ${remedy.place}: there ${wallTime(remedy.handOver, zone).time}, at the lab ${sayMoment(remedy.reaches, remedy.handOver, zone)}`;
    case 'midway':
      return `Hand over on the way, after ${remedy.name}, ${remedy.place === undefined ? 'at the lab' : `at ${remedy.place}`}: the rest ${done}`;
    case 'split':
      return `Go to ${remedy.names.join(' and ')} on ${showDate(remedy.date)}: today ${done}`;
    case 'other-lab':
      return `Take it to ${remedy.name}: there ${wallTime(remedy.handOver, zone).time}`;
    case 'leave-out':
      return `Leave ${remedy.name} for another day: ${done}`;
    case 'other-day':
      return `Go on ${showDate(remedy.date)}: ${done}`;
  }
}
