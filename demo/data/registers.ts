import type { Lab, Person, Point } from '@fonte/core/registers';

/** Marenta is made up: its people, lab, instruments, places and numbers are inventions. */
export const zone = 'Atlantic/Azores';

/** An id of the demo: the same thing has the same one in every demo. */
const id = (number: number): string => `018f0000-0000-7000-8000-${String(number).padStart(12, '0')}`;

export const people: Person[] = [
  { id: id(1), name: 'Inês Faria', initials: 'IF', role: 'technician' },
  { id: id(2), name: 'Rui Vale', initials: 'RV', role: 'coordinator' },
  { id: id(3), name: 'Teresa Pinho', initials: 'TP', role: 'reader' },
];

/** The phone that the demo's past was written on. */
export const device = id(5);

export const lab: Lab = {
  id: id(10), name: 'Ponta Norte water laboratory', zone, source: 'The laboratory’s intake sheet, 2026', asksForSeal: true,
  intake: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '08:00', closes: '16:30' })),
  bacteriaCloses: { 3: '14:30', 5: null },
  temperature: { bacteria: { least: 1, most: 10 }, chilled: { least: 1, most: 6 } },
  holding: { bacteria: 18 },
};

const monitoring = (
  number: number, code: string, name: string, elevation: number, bottom: number, screen: [number, number], access: string,
): Point => ({
  id: id(number), code, name, place: 'Lomba Velha', use: 'monitoring', access, type: 'well',
  well: {
    measuringPoints: [{ name: 'North rim of the casing', elevation, stickUp: 0.62 }], bottom, screenTop: screen[0], screenBottom: screen[1],
    pipe: 'dn50', insideDiameter: 0.052, intake: (screen[0] + screen[1]) / 2,
  },
});

const tap = (number: number, code: string, name: string, place: string, outlet: string, access: string, residualMinimum: number | null = 0.2): Point =>
  ({ id: id(number), code, name, place, use: 'supply', access, type: 'tap', tap: { outlet, residualMinimum } });

export const points: Point[] = [
  monitoring(21, 'MW1', 'Tannery 1, upstream', 61.48, 21, [14, 20], 'Gate code at the town hall. Goats: shut the gate.'),
  monitoring(22, 'MW2', 'Tannery 2, yard', 54.07, 19, [12, 18], 'Key at the town hall. Broken concrete, mind the step.'),
  monitoring(23, 'MW3', 'Tannery 3, downstream', 52.34, 18, [11, 17], 'Path along the wall, 200 m on foot. Wasps in summer.'),
  tap(31, 'MH1', 'Market hall', 'Porto Amaro', 'Steel tap in the cleaning room, left of two', 'Ask at the fish counter before 11:00.'),
  tap(32, 'SC1', 'School', 'Pedrinha', 'Tap at the kitchen sink', 'Ring at the side door, not during breaks.'),
  tap(33, 'SP1', 'Public spring', 'Lomba Velha', 'Spout of the fountain', 'Always open.', null),
];
