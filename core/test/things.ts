import type { Lab, Person, TapPoint, WellPoint } from '../src/registers/index.ts';

/** An id for tests and examples: the same number gives the same one. */
export const idOf = (number: number): string => `01890000-0000-7000-8000-${String(number).padStart(12, '0')}`;

export const technician: Person = { id: idOf(1), name: 'Inês Faria', initials: 'IF', role: 'technician' };
export const coordinator: Person = { id: idOf(2), name: 'Rui Vale', initials: 'RV', role: 'coordinator' };
export const phone = idOf(9);

export const wellPoint: WellPoint = {
  id: idOf(11),
  code: 'MW3',
  name: 'Tannery 3',
  place: 'Lomba Velha',
  use: 'monitoring',
  access: '',
  type: 'well',
  kind: 'monitoring-well',
  well: {
    measuringPoints: [{ name: 'North rim', elevation: 52.34, stickUp: 0.6 }],
    bottom: 18,
    screenTop: 12,
    screenBottom: 17,
    insideDiameter: 0.052,
  },
};
export const tapPoint: TapPoint = {
  id: idOf(12),
  code: 'MH1',
  name: 'Market hall',
  place: 'Porto Amaro',
  use: 'supply',
  access: '',
  type: 'tap',
  kind: 'house-tap',
  tap: { outlet: 'Tap in the cleaning room', residualMinimum: 0.2 },
};
export const lab: Lab = {
  id: idOf(21),
  name: 'Island lab',
  zone: 'Atlantic/Azores',
  source: '',
  asksForSeal: false,
  intake: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '08:00', closes: '16:00' })),
  cutOffs: [
    { bottles: ['bacteria'], weekdays: [4], closes: '12:00' },
    { bottles: ['bacteria'], weekdays: [5], closes: null },
  ],
  dropOffs: [],
  paper: '',
  temperature: { bacteria: { least: 1, most: 10 }, chilled: { least: 1, most: 6 } },
  holding: { bacteria: 18 },
  closedDays: [],
};
