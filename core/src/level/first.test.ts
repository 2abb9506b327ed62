import { expect, it } from 'vitest';
import { wellPoint } from '../../test/script.ts';
import { sayFinding } from '../findings/index.ts';
import type { Typed } from '../units/index.ts';
import { levelFindings } from './words.ts';
import { questionFirst, type Beside } from './index.ts';

const mark = { ...wellPoint.well.measuringPoints[0]!, elevation: 412 };
const typed = (text: string, unit: 'm' | 'ft' = 'm'): Typed => ({ text, unit });
const neighbour = (elevation: number | null): Beside => ({
  id: 'n',
  name: 'Tannery 2',
  away: 310,
  levels: [{ round: 'r', at: 0, measuringPoint: 'Rim', depth: 5, elevation, water: 'static' }],
});
const ask = (of: Typed, beside: Beside[] = [], others: Typed[] = []) => questionFirst({ typed: of, mark, beside, others });
const codes = (...of: Parameters<typeof ask>) => ask(...of).map(({ code, severity }) => `${severity} ${code}`);

// 8.50 m are 27.89 ft (NIST SP 811: 1 ft is 0.3048 m).
it('a first level in another unit is asked about by the water near by', () => {
  const [asked] = ask(typed('27.89'), [neighbour(403.5)]);
  expect(asked).toMatchObject({ code: 'first-slip', severity: 'question', data: { as: 'feet-as-metres', name: 'Tannery 2' } });
  expect(sayFinding(levelFindings, asked!).says).toBe('Were it feet, it would be 8.50 m, and the water level would match Tannery 2.');
  expect(codes(typed('8.50', 'ft'), [neighbour(403.5)])).toEqual(['question first-slip']);
  // As high as there: nothing is asked, though the others were read in metres.
  expect(codes(typed('27.89', 'ft'), [neighbour(403.4)], [typed('7.1')])).toEqual(['note first']);
  // A water table on a slope is no slip.
  expect(codes(typed('8.50'), [neighbour(398)])).toEqual(['note first']);
});

it('without a neighbour, by the unit of the other levels of the round', () => {
  expect(codes(typed('8.50', 'ft'), [], [typed('7.1'), typed('6.42')])).toEqual(['question first-unit']);
  expect(codes(typed('8.50', 'ft'), [neighbour(null)], [typed('7.1')])).toEqual(['question first-unit']);
  expect(codes(typed('8.50'), [], [typed('7.1')])).toEqual(['note first']);
  expect(codes(typed('8.50', 'ft'), [], [typed('23.1', 'ft'), typed('7.1')])).toEqual(['note first']);
});

it('it is always said in both units', () => {
  const says = (of: Typed) => sayFinding(levelFindings, ask(of)[0]!).says;
  expect(says(typed('8.50', 'ft'))).toBe('No earlier level to compare with. 8.50 ft = 2.59 m.');
  expect(says(typed('8.50'))).toBe('No earlier level to compare with. 8.50 m = 27.89 ft.');
});
