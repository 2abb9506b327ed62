import { describe, expect, it } from 'vitest';
import { checks } from './tables/checks.ts';

/*
 * How far a reading may lie from what it should be, typed in the words of the field: the USGS National Field Manual, chapter A6 (from
 * memory), and common practice where it gives no figure. A photometer's zero may show one step of its range.
 */
const printed: Record<keyof typeof checks, string> = {
  'photometer-zero': '0 ± 0.02',
  'photometer-standard': '± 0.1 or 10 %',
  'photometer-total-zero': '0 ± 0.02',
  'photometer-total-standard': '± 0.1 or 10 %',
  'photometer-monochloramine-zero': '0 ± 0.04',
  'photometer-monochloramine-standard': '± 0.1 or 10 %',
  'photometer-fluoride-zero': '0 ± 0.1',
  'photometer-fluoride-standard': '± 0.1 or 10 %',
  'photometer-ph-zero': 'yes or no',
  'photometer-ph-standard': '± 0.1, of 6.5 to 8.4',
  'probe-ph7': '7 ± 0.1, of 6.8 to 7.2',
  'probe-ph-slope': '± 0.1, of 1 to 5 and 9 to 13',
  'probe-conductivity': '± 5 %',
  'probe-oxygen': '± 0.3',
  'probe-redox': '± 10',
  'turbidimeter-zero': '± 0.1 or 10 %',
  'thermometer-compare': '± 0.5',
  'tape-signal': 'yes or no',
  'tape-marks': 'yes or no',
  'pump-runs': 'yes or no',
};

function inWords({
  nominal,
  tolerance,
  standards = [],
}: {
  nominal?: number;
  tolerance?: object;
  standards?: readonly (readonly number[])[];
}) {
  if (!tolerance) return 'yes or no';
  const { absolute, relative } = tolerance as { absolute?: number; relative?: number };
  const most = [absolute, relative === undefined ? undefined : `${relative * 100} %`].filter((one) => one !== undefined).join(' or ');
  const of = standards.filter(([from, to]) => from !== to).map(([from, to]) => `${from} to ${to}`);
  return `${nominal === undefined ? '' : `${nominal} `}± ${most}${of.length > 0 ? `, of ${of.join(' and ')}` : ''}`;
}

describe('a check of an instrument', () => {
  it.each(Object.keys(printed) as (keyof typeof checks)[])('%s passes as far from its nominal value as is printed', (id) => {
    expect(inWords(checks[id] as Parameters<typeof inWords>[0])).toBe(printed[id]);
  });

  it('stands here with all others', () => {
    expect(Object.keys(printed).sort()).toEqual(Object.keys(checks).sort());
  });
});
