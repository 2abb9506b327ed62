import { describe, expect, it } from 'vitest';
import { tapPoint, wellPoint } from '../../test/script.ts';
import { newId } from '../book/index.ts';
import { belowMark, distance, questionPosition, questionSerial, Point, type Instrument } from './index.ts';

const [mark] = wellPoint.well.measuringPoints;
const refused = (well: object) => {
  const read = Point.safeParse({ ...wellPoint, well });
  return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'));
};

describe('a point as it is registered', () => {
  it('may leave open how a well is built, not where depths are measured from', () => {
    expect(refused({ measuringPoints: [mark] })).toEqual([]);
    expect(refused({ measuringPoints: [mark], intake: 14 })).toEqual([]);
    expect(refused({})).toEqual(['well.measuringPoints']);
    expect(Point.safeParse(tapPoint).success).toBe(true);
  });

  it('knows a screen by both its ends, in their order, and nothing below the bottom', () => {
    const built = (change: object) => refused({ ...wellPoint.well, ...change });
    expect(built({})).toEqual([]);
    expect(built({ screenTop: undefined })).toEqual(['well.screenTop']);
    expect(built({ screenBottom: undefined })).toEqual(['well.screenBottom']);
    expect(built({ screenBottom: 11 })).toEqual(['well.screenBottom']);
    expect(built({ screenBottom: 18.5 })).toEqual(['well.screenBottom']);
    expect(built({ bottom: undefined, screenBottom: 90, intake: 95 })).toEqual([]);
    expect(built({ intake: 19 })).toEqual(['well.intake']);
    expect(built({ bottom: 0 })).toContain('well.bottom');
  });

  it('has its bottom below the mark where it is known', () => {
    expect(belowMark(mark!, wellPoint.well.bottom)).toBeCloseTo(18.6, 9);
    expect(belowMark(mark!, undefined)).toBeNull();
    expect(belowMark({ name: 'Cut in the cap' }, 18)).toBeNull();
  });
});

describe('what a point says beside', () => {
  const paths = (change: object) => Point.safeParse({ ...tapPoint, ...change }).error?.issues.map(({ path }) => path.join('.')) ?? [];

  it('is of a kind that fits its type', () => {
    expect(paths({ kind: 'spring' })).toEqual([]);
    expect(paths({ kind: 'open-well' })).toEqual(['kind']);
    expect(paths({ kind: undefined })).toEqual(['kind']);
  });

  it('has both numbers of its position, on the earth, or none', () => {
    expect(paths({ position: { latitude: 36.5, longitude: -31.1 } })).toEqual([]);
    expect(paths({ position: { latitude: 36.5 } })).toEqual(['position.longitude']);
    expect(paths({ position: { latitude: 365, longitude: -311 } })).toEqual(['position.latitude', 'position.longitude']);
  });

  it('lets one in between two times, the later one last', () => {
    const contact = (from: string, to: string) => paths({ contacts: [{ name: 'Fish counter', windows: [{ from, to }] }] });
    expect(contact('07:00', '11:00')).toEqual([]);
    expect(contact('11:00', '07:00')).toEqual(['contacts.0.windows.0.to']);
    expect(contact('7', '11:00')).toEqual(['contacts.0.windows.0.from']);
  });
});

describe('how a well is built', () => {
  const whole = { measuringPoints: [{ name: 'Rim', stickUp: 0.5 }], bottom: 60, insideDiameter: 0.2 };
  it.each([
    [
      {
        narrower: [
          { from: 30, insideDiameter: 0.15 },
          { from: 45, insideDiameter: 0.1 },
        ],
      },
      [],
    ],
    [{ narrower: [{ from: 30, insideDiameter: 0.25 }] }, ['well.narrower.0.insideDiameter']],
    [
      {
        narrower: [
          { from: 45, insideDiameter: 0.15 },
          { from: 30, insideDiameter: 0.1 },
        ],
      },
      ['well.narrower.1.from'],
    ],
    [{ narrower: [{ from: 60, insideDiameter: 0.15 }] }, ['well.narrower.0.from']],
    [{ narrower: [{ from: 30, insideDiameter: 0.15 }], insideDiameter: undefined }, ['well.narrower.0.insideDiameter']],
    [{ narrower: [{ from: 30, insideDiameter: 0.15 }], measuringPoints: [{ name: 'Rim' }] }, ['well.measuringPoints.0.stickUp']],
    [{ bore: 0.2 }, ['well.bore']],
    [
      {
        layers: [
          { to: 12, of: 'clay' },
          { to: 12, of: 'gravel', water: 'gives' },
        ],
      },
      ['well.layers.1.to'],
    ],
    [{ layers: [{ to: 0, of: 'clay' }] }, ['well.layers.0.to']],
    [{ pack: { from: 50, to: 48 } }, ['well.pack.to']],
    [{ pack: { from: 48, to: 50, porosity: 30 } }, ['well.pack.porosity']],
    [{ measuringPoints: [{ name: 'Rim', until: '2024-05-31' }] }, ['well.measuringPoints.0.until']],
  ])('%j', (change, fields) => {
    expect(refused({ ...whole, ...change })).toEqual(fields);
  });
});

describe('the way between two places', () => {
  // A degree of a great circle of the mean earth radius 6371.0088 km is 111.195 km; a quarter of it 10,007.557 km (geometry).
  it.each([
    [{ latitude: 0, longitude: 0 }, { latitude: 1, longitude: 0 }, 111_195],
    [{ latitude: 0, longitude: 0 }, { latitude: 0, longitude: 90 }, 10_007_557],
    [{ latitude: 60, longitude: 10 }, { latitude: 60, longitude: 11 }, 55_597],
    [{ latitude: -10, longitude: 179.5 }, { latitude: -10, longitude: -179.5 }, 109_506],
    [{ latitude: 36.5, longitude: -31 }, { latitude: 36.5, longitude: -31 }, 0],
  ])('%j to %j is %d m', (a, b, metres) => {
    expect(Math.abs(distance(a, b) - metres)).toBeLessThanOrEqual(Math.max(1, metres * 2e-5));
    expect(distance(b, a)).toBeCloseTo(distance(a, b), 6);
  });
});

describe('a position is asked about', () => {
  const others = [36.5, 36.52, 36.54].map((latitude) => ({ latitude, longitude: -31.05 }));
  it.each([
    [{ latitude: 36.53, longitude: -31.1 }, []],
    [{ latitude: 0, longitude: 0 }, ['position-nowhere']],
    [{ latitude: -31.1, longitude: 36.53 }, ['position-swapped']],
    [{ latitude: 36.53, longitude: 31.1 }, ['position-far']],
    // A kilometre from where nobody sampled; a degree of latitude is 111.195 km: 1.79 are 199 km, 1.82 are 202 km.
    [{ latitude: 0.0098, longitude: -0.0098 }, ['position-nowhere']],
    [{ latitude: 0.0105, longitude: 0 }, ['position-far']],
    [{ latitude: 0, longitude: -0.0105 }, ['position-far']],
    [{ latitude: 36.52 + 1.79, longitude: -31.05 }, []],
    [{ latitude: 36.52 + 1.82, longitude: -31.05 }, ['position-far']],
  ])('%j', (position, codes) => {
    expect(questionPosition(position, others).map(({ code }) => code)).toEqual(codes);
  });

  it('where it is the first, only if it is nowhere', () => {
    expect(questionPosition({ latitude: 70, longitude: 20 }, [])).toEqual([]);
    expect(questionPosition({ latitude: 0, longitude: 0 }, [])).toHaveLength(1);
  });
});

it('an instrument whose serial number another has is asked about, however it is written', () => {
  const one: Instrument = { id: newId(1), name: 'Blue photometer', kind: 'photometer', serial: 'PH-0042' };
  const asked = (change: Partial<Instrument>) => questionSerial({ ...one, id: newId(2), ...change }, [one]).map(({ code }) => code);
  expect([asked({}), asked({ serial: 'ph 0042' }), asked({ serial: 'PH-0043' }), asked({ id: one.id })]).toEqual([
    ['serial-known'],
    ['serial-known'],
    [],
    [],
  ]);
});
