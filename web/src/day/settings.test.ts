import { usualSettings } from '@fonte/core/day';
import { DaySettings } from '@fonte/core/plan';
import { expect, it } from 'vitest';
import { readSettings, valuesOf, withDrive } from './settings.ts';

const visit = '018f0000-0000-7000-8000-000000000041';

it('gives settings back as they were, each of them', () => {
  const all: DaySettings = {
    ...usualSettings,
    from: { latitude: 36.5, longitude: -31 },
    byDaylight: true,
    at: 'Quay',
    midway: { after: visit, at: 'Quay' },
    drives: [{ ends: ['start', 'lab'], lasts: 600 }],
  };
  const again = (settings: DaySettings) => DaySettings.parse(readSettings(valuesOf(settings), settings.drives ?? [], visit).value);
  expect(again(all)).toEqual(all);
  expect(again(usualSettings)).toEqual(usualSettings);
  expect(again({ ...usualSettings, midway: { after: visit } }).midway).toEqual({ after: visit });
});

it('knows a drive once, in whichever direction it was said', () => {
  const known = withDrive([], ['a', 'b'], 600);
  expect(withDrive(known, ['b', 'a'], 900)).toEqual([{ ends: ['b', 'a'], lasts: 900 }]);
  expect(withDrive(withDrive(known, ['a', 'c'], 60), ['b', 'a'], null)).toEqual([{ ends: ['a', 'c'], lasts: 60 }]);
});
