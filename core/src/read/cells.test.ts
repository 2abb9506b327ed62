import { expect, it } from 'vitest';
import type { BottlesByLabel } from './at-lab.ts';
import { possibleDays, timeOfDay } from './cells/dates.ts';
import { whoseSamples } from './rows/labels.ts';

it.each([
  ['09:20', '09:20'],
  ['9h20', '09:20'],
  ['05/11/2026 9:20 PM', '21:20'],
  ['23:59', '23:59'],
  ['24:10', null],
  ['25:10', null],
  ['09:60', null],
  ['09:63', null],
])('%s is the time of the day %s', (text, time) => {
  expect(timeOfDay(text)).toBe(time);
});

it.each([
  ['23.11.26', ['2026-11-23']],
  ['04/05/2026', ['2026-05-04', '2026-04-05']],
  ['31.02.2026', []],
])('%s may be %j', (text, days) => {
  expect(possibleDays(text)).toEqual(days);
});

it('a name of two wrong letters may be a label of ours, one of three is somebody else’s', () => {
  const bottles: BottlesByLabel = new Map(
    ['261123A-MW3-N', '261123A-MW3-M'].map((label) => [label, { name: 'Metals', parameters: [], filledOn: '2026-11-23' }]),
  );
  const is = (name: string) => whoseSamples(bottles, {}, ['261123A-MW3-N', name])(name).is;
  expect([is('261123B-MX3-N'), is('261123B-MX4-Q')]).toEqual(['near', 'other']);
});
