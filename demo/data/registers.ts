import { analysisIds } from '@fonte/core/bottles';
import type { Programme } from '@fonte/core/due';
import type { Box, Instrument, Lab, Lot, Person, Point } from '@fonte/core/registers';

/** Marenta is made up: its people, lab, instruments, places and numbers are inventions. */
export const zone = 'Atlantic/Azores';

/** An id of the demo: the same thing has the same one in every demo. */
const id = (number: number): string => `018f0000-0000-7000-8000-${String(number).padStart(12, '0')}`;

export const people: Person[] = [
  { id: id(1), name: 'Inês Faria', initials: 'IF', role: 'technician', trained: ['bacteria', 'lead', 'wells', 'contaminated'] },
  { id: id(2), name: 'Rui Vale', initials: 'RV', role: 'coordinator' },
  { id: id(3), name: 'Teresa Pinho', initials: 'TP', role: 'reader' },
];

/** The phone that the demo's past was written on. */
export const device = id(5);

export const lab: Lab = {
  id: id(10), name: 'Ponta Norte water laboratory', zone, source: 'The laboratory’s intake sheet, 2026', asksForSeal: true,
  intake: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '08:00', closes: '16:30' })),
  cutOffs: [{ bottles: ['bacteria'], weekdays: [3], closes: '14:30' }, { bottles: ['bacteria'], weekdays: [5], closes: null }],
  dropOffs: [{
    name: 'Ferry office, Porto Amaro', position: { latitude: 36.4979, longitude: -31.0808 }, toLab: 5400,
    hours: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '09:00', closes: '12:30' })),
  }],
  paper: 'The form, signed, in the lid of the box.',
  temperature: { bacteria: { least: 1, most: 10 }, chilled: { least: 1, most: 6 }, cool: { least: 6, most: 20 }, plate: { least: 1, most: 8 } },
  holding: { bacteria: 18, legionella: 24 },
  startsAfter: { bacteria: 3, nitrogen: 24 },
  coolingWithin: 3, residualMost: 5,
  stagnation: [{ least: 1800, most: 2700 }, { least: 21_600, most: 64_800 }],
  asksForBlanks: ['volatiles', 'pfas533', 'pfas537'],
  takes: analysisIds.filter((one) => one !== 'radon' && one !== 'grossActivity'),
  accredited: analysisIds.filter((one) => one !== 'silica' && one !== 'sulfide'),
  reportsFrom: { ammonium: 0.03 },
  form: [
    { field: 'quote', always: 'MARENTA-26' }, { field: 'system' }, { field: 'sampler' }, { field: 'notes', always: '–' }, { field: 'point' },
    { field: 'collectedOn' }, { field: 'collectedAt' }, { field: 'sampleType' }, { field: 'analyses' }, { field: 'preservative' },
    { field: 'filtered' }, { field: 'residualFree' }, { field: 'stagnation' },
  ],
  codes: {
    bacteria: 'MB', plate: 'PL', enterococci: 'EN', legionella: 'LG', general: 'FQ', nitrogen: 'NO', ammonium: 'NH', metals: 'MD',
    totalMetals: 'MT', lead: 'PB', volatiles: 'VO', pfas533: 'PF', pfas537: 'PF',
  },
  position: { latitude: 36.5604, longitude: -31.0512 },
  closedDays: [{ date: '2026-12-08', name: 'Holiday' }, { date: '2026-12-25', name: 'Christmas' }, { date: '2027-01-01', name: 'New Year' }],
};

/** On the mainland, over night by courier: it takes paper and mail, and has no desk that could be asked. */
export const coastLab: Lab = {
  id: id(11), name: 'Costa Leste trace laboratory', zone: 'Europe/Lisbon', source: 'Its letter of terms, 2026', asksForSeal: true,
  intake: [1, 2, 3, 4].map((weekday) => ({ weekday, opens: '09:00', closes: '17:00' })),
  cutOffs: [], dropOffs: [], closedDays: [], paper: 'The form on paper, in the box, and by mail before it leaves.',
  temperature: { chilled: { least: 0, most: 10 } }, holding: {}, takes: ['pfas533', 'pfas537', 'volatiles', 'nutrients', 'metals', 'pesticides'],
  asksForBlanks: ['pfas533', 'pfas537', 'volatiles'],
  form: [
    { field: 'facility' }, { field: 'programme' }, { field: 'billTo', always: 'Municipality of Marenta' }, { field: 'source' }, { field: 'collectedAt' },
  ],
};

const at = (latitude: number, longitude: number) => ({ latitude, longitude });

const monitoring = (
  number: number, code: string, name: string, elevation: number, bottom: number, screen: [number, number], access: string, more: Partial<Point>,
): Point => ({
  id: id(number), code, name, place: 'Lomba Velha', use: 'monitoring', access, kind: 'monitoring-well', source: 'groundwater', zone: 'Tannery',
  ...more, type: 'well',
  well: {
    measuringPoints: [{ name: 'North rim of the casing', elevation, stickUp: 0.62 }], bottom, screenTop: screen[0], screenBottom: screen[1],
    pipe: 'dn50', insideDiameter: 0.052, intake: (screen[0] + screen[1]) / 2, bore: 0.152,
    pack: { from: screen[0] - 1, to: bottom, porosity: 0.3 }, seal: { from: 0.5, to: screen[0] - 2.5, of: 'bentonite' },
    layers: [
      { to: 1.4, of: 'made ground' }, { to: 6.5, of: 'silty clay', water: 'holds-back' },
      { to: bottom - 0.5, of: 'sand and gravel', water: 'gives' }, { to: bottom + 1, of: 'stiff clay', water: 'holds-back' },
    ],
  },
});

const tap = (
  number: number, code: string, name: string, place: string, outlet: string, access: string, more: Partial<Point>, residualMinimum: number | null = 0.2,
): Point => ({
  id: id(number), code, name, place, use: 'supply', access, kind: 'house-tap', system: 'Marenta', zone: place, ...more,
  type: 'tap', tap: { outlet, residualMinimum },
});

export const points: Point[] = [
  monitoring(21, 'MW1', 'Tannery 1, upstream', 61.48, 21, [14, 20], 'Gate code at the town hall. Goats: shut the gate.', {
    position: at(36.5238, -31.0449), walk: 180, hazards: ['lone-work'],
  }),
  monitoring(22, 'MW2', 'Tannery 2, yard', 54.07, 19, [12, 18], 'Key at the town hall. Broken concrete, mind the step.', {
    position: at(36.5224, -31.0461), hazards: ['contaminated', 'ground'], surroundings: ['tannery'],
  }),
  monitoring(23, 'MW3', 'Tannery 3, downstream', 52.34, 18, [11, 17], 'Path along the wall, 200 m on foot. Wasps in summer.', {
    position: at(36.5211, -31.0473), walk: 240, hazards: ['contaminated', 'insects'], surroundings: ['tannery', 'farmland'],
  }),
  tap(31, 'MH1', 'Market hall', 'Porto Amaro', 'Steel tap in the cleaning room, left of two', 'Ask at the fish counter before 11:00.', {
    position: at(36.5012, -31.0815), disinfection: 'free-chlorine', water: 'treated', building: 'Market hall', siting: { isRoutine: true, number: 'PA-04' }, alternatives: [id(34)],
    contacts: [{ name: 'Fish counter', windows: [{ weekdays: [1, 2, 3, 4, 5, 6], from: '07:00', to: '11:00' }] }],
  }),
  tap(32, 'SC1', 'School', 'Pedrinha', 'Tap at the kitchen sink', 'Ring at the side door, not during breaks.', {
    position: at(36.5352, -31.1024), disinfection: 'free-chlorine', water: 'treated', building: 'School', room: 'Kitchen', surroundings: ['old-pipes'],
    contacts: [{
      name: 'School office',
      windows: [{ weekdays: [1, 2, 3, 4, 5], from: '08:30', to: '10:15' }, { weekdays: [1, 2, 3, 4, 5], from: '10:45', to: '15:30' }],
    }],
  }),
  tap(34, 'QH1', 'Quay house', 'Porto Amaro', 'Wall tap at the boat ramp, under the lamp', 'Open day and night. Slippery when the tide is in.', {
    position: at(36.4989, -31.0801), kind: 'outside-tap', disinfection: 'free-chlorine', water: 'treated', hazards: ['ground'],
    siting: { isRoutine: true, number: 'PA-06' },
  }),
  {
    id: id(35), code: 'WW1', name: 'Waterworks well', place: 'Pedrinha', use: 'supply', kind: 'supply-well', access: 'Pump house, key at the town hall.',
    system: 'Marenta', zone: 'Waterworks', source: 'groundwater', water: 'raw', disinfection: 'none', position: at(36.5301, -31.0772), walk: 60,
    hazards: ['electricity'], surroundings: ['farmland'], type: 'well',
    well: {
      measuringPoints: [{ name: 'Flange of the pump head', elevation: 78.2, stickUp: 0.35, datum: 'mean sea level at Porto Amaro' }], bottom: 62,
      screenTop: 48, screenBottom: 60, insideDiameter: 0.2, narrower: [{ from: 30, insideDiameter: 0.15 }], intake: 45, bore: 0.32, ownPump: { name: 'Deep pump, 2019', kind: 'submersible' },
      pack: { from: 44, to: 62, porosity: 0.3 }, seal: { from: 1, to: 12, of: 'cement' },
      layers: [
        { to: 3, of: 'loam' }, { to: 14, of: 'clay', water: 'holds-back' }, { to: 41, of: 'marl' },
        { to: 61, of: 'fissured limestone', water: 'gives' }, { to: 64, of: 'marl', water: 'holds-back' },
      ],
    },
  },
  tap(33, 'SP1', 'Public spring', 'Lomba Velha', 'Spout of the fountain', 'Always open.', {
    position: at(36.5279, -31.0402), kind: 'spring', disinfection: 'none', water: 'raw', source: 'groundwater',
  }, null),
];

export const instruments: Instrument[] = [
  {
    id: id(41), name: 'Blue photometer', kind: 'photometer', serial: 'PM-1187',
    ranges: [{ parameter: 'freeChlorine', from: 0.02, to: 4 }, { parameter: 'totalChlorine', from: 0.02, to: 4 }],
  },
  { id: id(42), name: 'Probe with flow cell', kind: 'probe', serial: 'MP-0402' },
  { id: id(43), name: 'Tape of 50 m', kind: 'tape', serial: 'T-50-3' },
  { id: id(44), name: 'Thermometer of the cooler', kind: 'thermometer' },
  { id: id(45), name: 'Submersible pump', kind: 'pump', serial: 'SP-21' },
];

/** Dates are far enough ahead for a demo that begins on any day of these years; one lot is past. */
export const lots: Lot[] = [
  { id: id(51), name: 'Chlorine standard', use: 'standard', lot: 'CL-2207', expires: '2031-06-30', parameter: 'freeChlorine', nominal: 1.02 },
  { id: id(52), name: 'Chlorine standard, old set', use: 'standard', lot: 'CL-1904', expires: '2026-03-31', parameter: 'freeChlorine', nominal: 0.98 },
  { id: id(50), name: 'Total chlorine standard', use: 'standard', lot: 'CT-2208', expires: '2031-06-30', parameter: 'totalChlorine', nominal: 1.05 },
  { id: id(53), name: 'Buffer pH 7', use: 'standard', lot: 'B7-118', expires: '2031-01-31', parameter: 'ph', nominal: 7 },
  { id: id(54), name: 'Buffer pH 4', use: 'standard', lot: 'B4-090', expires: '2031-01-31', parameter: 'ph', nominal: 4.01 },
  { id: id(55), name: 'Conductivity standard', use: 'standard', lot: 'EC-771', expires: '2030-11-30', parameter: 'conductivity', nominal: 1413 },
  { id: id(56), name: 'Free chlorine tablets', use: 'reagent', lot: 'T1-5521', expires: '2030-09-30', parameter: 'freeChlorine', left: 84 },
  { id: id(59), name: 'Total chlorine tablets', use: 'reagent', lot: 'T3-2290', expires: '2030-09-30', parameter: 'totalChlorine', left: 12 },
];

export const boxes: Box[] = [
  { id: id(57), name: 'Big blue cool box', holds: 0.035, vehicle: 'White van' },
  { id: id(58), name: 'Small cool box', holds: 0.012, vehicle: 'White van' },
];

export const programmes: Programme[] = [
  {
    id: id(61), name: 'Bacteria in the network', points: [id(31), id(32), id(34)], analyses: ['coliforms'], times: 4, per: 'month', counts: 'together',
    from: '2025-01-01', source: 'The municipality’s plan of sampling',
  },
  {
    id: id(62), name: 'Tannery wells', points: [id(21), id(22), id(23)], analyses: ['general', 'nutrients', 'metals'], times: 1, per: 'quarter', counts: 'each',
    from: '2025-01-01', source: 'Permit of the closed tannery, made up',
  },
];
