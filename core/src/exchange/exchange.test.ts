import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idOf, tapPoint, wellPoint } from '../../test/script.ts';
import { questionBuilt } from '../purge/index.ts';
import type { Point } from '../registers/index.ts';
import { sayAbout } from '../round/index.ts';
import {
  isWritable,
  pointColumns,
  pointsToCsv,
  pointsToGeoJson,
  previewPoints,
  readPoints,
  sayCell,
  type PreviewRow,
  type SaidColumns,
} from './index.ts';

const ids = Array.from({ length: 50 }, (_, index) => idOf(900 + index));
const well: Point = {
  ...wellPoint,
  position: { latitude: 36.5211, longitude: -31.0473 },
  walk: 240,
  hazards: ['contaminated', 'insects'],
  contacts: [{ name: 'Town hall' }],
};
const tap: Point = {
  ...tapPoint,
  position: { latitude: 36.5012, longitude: -31.0815 },
  access: '=ask; "first", then\nring',
  disinfection: 'free-chlorine',
};
const spring: Point = {
  ...tapPoint,
  id: idOf(55),
  code: 'SP1',
  name: 'Spring',
  kind: 'spring',
  tap: { outlet: 'Spout', residualMinimum: null },
};
const register = [well, tap, spring];
const preview = (text: string, known: readonly Point[] = register, said: SaidColumns = {}) =>
  previewPoints(readPoints(text, said), known, ids, (point) => (point.type === 'well' ? questionBuilt(point.well) : []));
const states = (rows: readonly PreviewRow[]) => rows.map(({ state }) => state);
const head = 'code,name,place,kind,use,outlet,least_free_chlorine_mg_L';

describe('points on their way out and in again', () => {
  it.each([
    ['a table', pointsToCsv],
    ['features', pointsToGeoJson],
  ])('come back as they were from %s', (_, write) => {
    expect(states(preview(write(register)))).toEqual(['same', 'same', 'same']);
  });

  it.each([
    ['a table', pointsToCsv],
    ['features', pointsToGeoJson],
  ])('are the same points in an empty register, but for what no column holds, from %s', (_, write) => {
    const rows = preview(write(register), []);
    expect(states(rows)).toEqual(['new', 'new', 'new']);
    const { contacts: _contacts, ...bare } = well;
    expect(rows[0]!.point).toEqual({ ...bare, id: ids[0] });
    expect(rows[2]!.point).toMatchObject({ kind: 'spring', tap: { residualMinimum: null } });
  });

  it('keep every digit, whatever the number', () => {
    const number = (least: number, most: number) =>
      fc.double({ min: least, max: most, noNaN: true }).map((value) => Number(value.toFixed(6)));
    fc.assert(
      fc.property(
        number(0.01, 60),
        number(0.01, 1.9),
        number(-80, 80),
        number(-170, 170),
        (bottom, insideDiameter, latitude, longitude) => {
          const own: Point = {
            ...wellPoint,
            position: { latitude, longitude },
            well: { measuringPoints: wellPoint.well.measuringPoints, bottom, insideDiameter },
          };
          expect(states(preview(pointsToCsv([own]), [own]))).toEqual(['same']);
        },
      ),
    );
  });

  it('are no formula to a table program, and themselves again', () => {
    expect(pointsToCsv([tap])).toContain("'=ask");
    expect(preview(pointsToCsv([tap]), [])[0]!.point?.access).toBe(tap.access);
  });

  it('put longitude before latitude in features, as RFC 7946 has it', () => {
    const { features } = JSON.parse(pointsToGeoJson([well])) as { features: { geometry: { coordinates: number[] } }[] };
    expect(features[0]!.geometry.coordinates).toEqual([-31.0473, 36.5211]);
  });
});

describe('a file that comes in', () => {
  it('changes only what it says, and keeps what no column holds', () => {
    const [row] = preview('code;name;bottom_m\nMW3;Tannery 3, lower;17,85');
    expect(row).toMatchObject({
      state: 'changed',
      changes: [
        { column: 'name', before: 'Tannery 3', after: 'Tannery 3, lower' },
        { column: 'bottom_m', before: '18', after: '17.85' },
      ],
    });
    expect(row!.point).toMatchObject({ id: well.id, contacts: well.contacts, hazards: well.hazards });
  });

  it('is read with any marks between its cells, heads in any case, and says which columns nobody knows', () => {
    expect(states(preview('CODE\tName\nMH1\tMarket hall'))).toEqual(['same']);
    expect(readPoints('code,colour\nMH1,blue')).toMatchObject({ unknown: ['colour'], fault: null });
  });

  it.each<[string, string, string]>([
    ['nothing new without a kind', `${head}\nNEW1,A,B,,supply,Tap,none`, 'kind'],
    ['no kind that is none', `${head}\nNEW1,A,B,tap,supply,Tap,none`, 'kind'],
    ['no tap of which nobody says the chlorine', `${head}\nNEW1,A,B,house-tap,supply,Tap,`, 'least_free_chlorine_mg_L'],
    ['no tap without its outlet', `${head}\nNEW1,A,B,house-tap,supply,,none`, 'outlet'],
    ['no code that fits no label', `${head}\nmarket hall,A,B,house-tap,supply,Tap,none`, 'code'],
    ['no row without a code', `${head}\n,A,B,house-tap,supply,Tap,none`, 'code'],
    ['no well of a tap', 'code,kind\nMH1,monitoring-well', 'kind'],
    ['no depth of a tap', 'code,bottom_m\nMH1,12.5', 'bottom_m'],
    ['no text for a number', 'code,bottom_m\nMW3,deep', 'bottom_m'],
    ['no screen below the bottom', 'code,screen_to_m\nMW3,19.5', 'screen_to_m'],
    ['no hazard that nobody knows', 'code,hazards\nMW3,insects;dragons', 'hazards'],
    ['no latitude without a longitude', 'code,latitude\nSP1,36.5', 'longitude'],
    ['no latitude past the pole', 'code,latitude,longitude\nSP1,96.5,-31.05', 'latitude'],
  ])('takes %s', (_, text, column) => {
    const [row] = preview(text);
    expect(row!.state).toBe('fault');
    expect(row!.faults.map((fault) => fault.column)).toContain(column);
    expect(sayCell(row!.faults[0]!).length).toBeGreaterThan(12);
    expect(isWritable(row!, true)).toBe(false);
  });

  it('takes no code twice, and leaves the other rows alone', () => {
    expect(states(preview('code,name\nMH1,One\nMW3,Two\nMH1,Three'))).toEqual(['fault', 'changed', 'fault']);
  });

  it('does not guess whether a mark is one of thousands', () => {
    const state = (text: string) => preview(text).map((row) => row.faults[0]?.code ?? row.state);
    expect(state('code;mark_elevation_m\nMW3;1,234')).toEqual(['which-mark']);
    // Another number of the file proves its mark.
    expect(state('code;mark_elevation_m;bottom_m\nMW3;1,234;17,85')).toEqual(['changed']);
    expect(state('code;mark_elevation_m;bottom_m\nMW3;1,234;17.85')).toEqual(['which-mark']);
    expect(state('code;mark_elevation_m\nMW3;0,234')).toEqual(['changed']);
  });

  it('asks about a place that is nowhere, swapped or far away, and writes it only once that is confirmed', () => {
    const codes = (latitude: string, longitude: string) => preview(`code,latitude,longitude\nSP1,${latitude},${longitude}`)[0]!;
    for (const [row, code] of [
      [codes('0', '0'), 'position-nowhere'],
      [codes('-31.05', '36.52'), 'position-swapped'],
      [codes('48.1', '11.5'), 'position-far'],
    ] as const) {
      expect(row.asked.map((finding) => finding.code)).toEqual([code]);
      expect([isWritable(row, false), isWritable(row, true)]).toEqual([false, true]);
    }
    expect(codes('36.53', '-31.04').asked).toEqual([]);
  });

  it('asks what the form of a point asks: inches for millimetres, feet for metres', () => {
    const says = (text: string) => preview(text)[0]!.asked.map((finding) => sayAbout(finding).says);
    const [row] = preview('code,inside_diameter_mm\nMW3,2');
    expect([row!.asked.map(({ code }) => code), isWritable(row!, false), isWritable(row!, true)]).toEqual([
      expect.arrayContaining(['narrow']) as unknown,
      false,
      true,
    ]);
    // 18 m are 59.06 ft.
    expect(says('code,bottom_m\nMW3,59.06')).toEqual(['bottom_m: 59.06 m? The register has 18 m, which is 59.06 ft.']);
    expect(says('code,bottom_m\nMW3,19')).toEqual([]);
    // 60.2 ft are 18.35 m, which is 1.9 % more than 18 m; 60.3 ft are 2.1 % more.
    expect(says('code,bottom_m\nMW3,60.2')).toHaveLength(1);
    expect(says('code,bottom_m\nMW3,60.3')).toEqual([]);
  });

  it('says where a feature has a line or an area for its place: nothing is lost in silence', () => {
    const feature = (geometry: object | null) =>
      preview(
        JSON.stringify({
          type: 'FeatureCollection',
          features: [{ type: 'Feature', geometry, properties: { code: 'MW3', name: 'Lower' } }],
        }),
      )[0]!;
    const line = feature({
      type: 'LineString',
      coordinates: [
        [-31, 36],
        [-31.1, 36.1],
      ],
    });
    expect([line.state, sayCell(line.faults[0]!)]).toEqual([
      'fault',
      'geometry: Its place is a LineString. A point needs one position: draw it as a point.',
    ]);
    expect(feature(null).state).toBe('changed');
  });

  it('names the words that are allowed beside one that is not', () => {
    const [kind, hazard] = [preview(`${head}\nNEW1,A,B,tap,supply,Tap,none`), preview('code,hazards\nMW3,insects;dragons')].map(([row]) =>
      sayCell(row!.faults[0]!),
    );
    expect(kind).toMatch(/^kind: “tap” is not one of: .*house-tap/);
    expect(hazard).toMatch(/^hazards: “dragons” is not one of: .*insects/);
  });

  it('takes a column of any name for one of ours once somebody says so, in another unit too', () => {
    const text = 'Kode;Tiefe (Fuß)\nMW3;66';
    expect(readPoints(text)).toMatchObject({ fault: 'no-code', unknown: ['Kode', 'Tiefe (Fuß)'] });
    const [row] = preview(text, register, { kode: { name: 'code' }, tiefefuß: { name: 'bottom_m', unit: 'ft' } });
    expect(row).toMatchObject({ state: 'changed', changes: [{ column: 'bottom_m', before: '18', after: '20.1168' }], asked: [] });
  });

  it.each([
    ['', 'empty'],
    ['code,name', 'empty'],
    ['name,place\nA,B', 'no-code'],
    ['code,Code\nA1,A2', 'column-twice'],
    ['{ "type": ', 'not-json'],
    ['{ "type": "Point" }', 'no-features'],
    ['{ "features": [] }', 'empty'],
  ])('that is none is said to be so: %j', (text, fault) => {
    expect(readPoints(text).fault).toBe(fault);
  });

  it('never throws, whatever is in it', () => {
    fc.assert(fc.property(fc.string(), (text) => void preview(`code,${pointColumns.map(({ name }) => name).join(',')}\n${text}`)));
    fc.assert(fc.property(fc.json(), (text) => void preview(text)));
  });
});
