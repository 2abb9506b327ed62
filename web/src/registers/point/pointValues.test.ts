import { Point } from '@fonte/core/registers';
import { describe, expect, it } from 'vitest';
import { idOf, tapPoint, wellPoint } from '../../../../core/test/script.ts';
import { inBase } from '../../form/values.ts';
import { fieldOfPoint, pointOf, valuesOf } from './pointValues.ts';

/** A point through its form and back, as it is when nothing was typed. */
const through = (point: Point, change: object = {}) => {
  const { value, problems } = inBase({ ...valuesOf(point, () => idOf(1)), ...change });
  expect(problems).toEqual([]);
  return Point.safeParse(pointOf(value as object));
};

/** Numbers to twelve digits: millimetres come back in metres with the error of a binary fraction. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_, one: unknown) => (typeof one === 'number' ? Number(one.toPrecision(12)) : one));

const full: Point = {
  ...tapPoint,
  water: 'treated',
  source: 'groundwater',
  disinfection: 'free-chlorine',
  system: 'Marenta',
  zone: 'Harbour',
  building: 'Market hall',
  room: 'Cleaning room',
  floor: '0',
  position: { latitude: 36.5012, longitude: -31.0815 },
  walk: 90,
  hazards: ['hot-water'],
  surroundings: ['coast', 'road'],
  alternatives: [idOf(13)],
  contacts: [
    {
      name: 'Fish counter',
      call: 'ring twice',
      windows: [
        { weekdays: [1, 2], from: '07:00', to: '11:00' },
        { from: '15:00', to: '16:00' },
      ],
    },
    { name: 'Neighbour' },
  ],
  siting: { isRoutine: false, number: 'PA-04' },
  outOfUse: { reason: 'building work', lookAgain: '2026-12-24' },
};

/** A well of which all is known. */
const built: Point = {
  ...wellPoint,
  well: {
    measuringPoints: [
      { name: 'North rim', elevation: 52.34, stickUp: 0.6, datum: 'local datum' },
      { name: 'Old cap', until: '2024-05-31' },
    ],
    bottom: 60,
    screenTop: 50,
    screenBottom: 58,
    insideDiameter: 0.2,
    narrower: [{ from: 30, insideDiameter: 0.15 }],
    intake: 45,
    bore: 0.3,
    pack: { from: 48, to: 60, porosity: 0.3 },
    seal: { from: 2, to: 10, of: 'bentonite' },
    layers: [
      { to: 12, of: 'clay', water: 'holds-back' },
      { to: 62, of: 'gravel' },
    ],
  },
};

describe('the form of a point', () => {
  it.each([
    ['a tap of which all is said', full],
    ['one of which little is', tapPoint],
    ['a well', wellPoint],
    ['a well of which all is known', built],
    [
      'water that is not chlorinated',
      { ...tapPoint, disinfection: 'none', tap: { outlet: 'Spout', residualMinimum: null } } satisfies Point,
    ],
  ])('gives %s back as it was, hours that it does not show among it', (_, point) => {
    expect(rounded(through(point).data)).toEqual(point);
  });

  it('takes out what is no longer said', () => {
    const { data } = through(full, {
      siting: { says: 'nothing', number: 'PA-04' },
      outOfUse: { is: false, reason: 'building work', lookAgain: '' },
      contacts: [],
      hazards: [],
    });
    expect(Object.keys(data!)).not.toEqual(expect.arrayContaining(['siting']));
    for (const gone of ['siting', 'outOfUse', 'contacts', 'hazards']) expect(data).not.toHaveProperty(gone);
  });

  it('says at the field that it shows what is wrong with hours of a contact', () => {
    const { error } = through(full, { contacts: [{ name: 'Office', call: '', weekdays: [], from: '16:00', to: '09:00' }] });
    expect(error!.issues.map(({ path }) => fieldOfPoint(path.join('.')))).toEqual(['contacts.0.to']);
  });
});
