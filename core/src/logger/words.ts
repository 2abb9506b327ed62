import type { FindingWords, Words } from '../findings/index.ts';
import type { DateOrder, RecordedAs } from '../registers/index.ts';
import { show } from '../units/index.ts';

const millimetres = (value: unknown) => show(Math.abs(Number(value)), 'mm', 0);
const fileOf = (of: unknown) => (of === 'air' ? 'the air' : 'the water');

export const loggerFindings: FindingWords = {
  'less-than-air': [
    'Most readings are less than the pressure of the air.',
    'Is the logger vented after all, or is one of the units another?',
  ],
  'no-levels': ['Not one level comes out of it.', 'Look at the columns, units and times again.'],
  'clocks-apart': [
    ({ hours, late }) =>
      `The weather comes ${hours} h later by the clock of ${fileOf(late)} than by that of ${fileOf(late === 'air' ? 'water' : 'air')}.`,
    'Does one of the clocks go by summer time, or by another zone?',
  ],
  'time-goes-back': [
    ({ count, line, of }) =>
      `In the record of ${fileOf(of)} the time goes back ${count} ${count === 1 ? 'time' : 'times'}, first at line ${line}.`,
    'Was its clock set, or are there two records in one file? What was recorded before it may be off.',
  ],
  'held-by-nothing': [
    'No level by hand at this mark lies within its time.',
    'Say how deep the sensor hangs below the mark, or read a level by hand before it is taken out.',
  ],
  'no-line': [
    ({ ties }) => `A line takes two levels by hand within its time; there ${ties === 1 ? 'is one' : 'are none'}.`,
    'Hold it to one depth all the time.',
  ],
  'tie-off': [
    ({ off }) => `A level by hand is ${millimetres(off)} ${Number(off) > 0 ? 'lower' : 'higher'} than the logger has it.`,
    'Was the sensor moved, the hand’s level misread, or a clock wrong? Leave that level out with its reason, or cut the record in two.',
  ],
  drifts: [
    ({ moved }) =>
      `Between the first and the last level by hand the sensor moves ${millimetres(moved)} ${Number(moved) > 0 ? 'down' : 'up'}.`,
    'Did its cable slip? A sensor alone seldom drifts so far.',
  ],
  'hangs-elsewhere': [
    ({ by }) => `The levels by hand say that it hangs ${millimetres(by)} ${Number(by) > 0 ? 'deeper' : 'higher'} than was said.`,
    'They are what holds.',
  ],
};

/** Why a row was not read. */
export const loggerUnreadWords: Words = {
  'no-date': 'no date in that order',
  'no-such-hour': 'an hour that this wall clock skips in spring: its clock did not go with summer time',
  'hour-twice': 'the hour that autumn repeats, and its rows do not tell which of both',
  'no-offset': 'no distance from UTC written',
  'offset-written': 'its distance from UTC is written there, and another was said',
  'no-value': 'empty',
  'no-number': 'no number written so',
  impossible: 'beyond what can be in this unit',
  'differs-at-one-moment': 'two readings at one moment that differ',
};

/** Why a file cannot be read. */
export const loggerRefusalWords: Words = {
  empty: 'The file is empty.',
  'not-text': 'This is no text: export the readings as CSV or text first.',
  'no-readings': 'No rows with a date and a number were found in its first 200 lines.',
  'columns-differ':
    'There are more cells in a row than names above them: are decimals marked by the comma that parts the cells? Export it with semicolons.',
  'too-many-rows': 'There are more rows than a logger keeps: is it the right file?',
};

export const recordedNames: Readonly<Record<RecordedAs, string>> = {
  absolute: 'Pressure with that of the air in it (not vented)',
  gauge: 'Pressure without that of the air (vented)',
  head: 'Height of water over the sensor',
  depth: 'Depth to water below the mark',
};

export const orderNames: Readonly<Record<DateOrder, string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
};
