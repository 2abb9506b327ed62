import { expect, it } from 'vitest';
import { tapPoint, wellPoint } from '../../test/script.ts';
import type { Point, WellPoint } from '../registers/index.ts';
import { day } from '../time/index.ts';
import { besideOf, questionLevel, tolerances, type Beside, type LevelOfRecord } from './index.ts';

const mark = wellPoint.well.measuringPoints[0]!;
const now = Date.UTC(2026, 10, 23);
const edition = tolerances.newest[0]!;

/** Levels every 30 days, the last of them 30 days ago. */
const monthly = (depths: readonly number[], name = mark.name): LevelOfRecord[] =>
  depths.map((depth, place) => ({
    round: 'r',
    at: now - (depths.length - place) * 30 * day,
    measuringPoint: name,
    depth,
    elevation: null,
    water: 'static',
  }));
const today = (depth: number, name = 'Rim'): LevelOfRecord => ({ ...monthly([depth], name)[0]!, at: now - 2 * 3_600_000 });

const wave = [7.2, 7.35, 7.3, 7.1, 7.0, 7.15, 7.3, 7.4];
const neighbour = (last: number | null): Beside => ({
  id: 'n',
  name: 'Tannery 2',
  away: 310,
  levels: [
    ...monthly(
      wave.map((depth) => depth - 2),
      'Rim',
    ),
    ...(last === null ? [] : [today(last)]),
  ],
});
const ask = (depth: number, beside: Beside[]) =>
  questionLevel({ depth, mark, well: wellPoint.well, record: monthly(wave), tolerances: edition, at: now, beside });

it('a jump is told with what the wells near by did in the same time', () => {
  expect(ask(8.1, [neighbour(6.05)]).map(({ code }) => code)).toEqual(['jump', 'beside-too']);
  expect(ask(8.1, [neighbour(5.38)])[1]).toMatchObject({ code: 'beside-not', data: { name: 'Tannery 2', away: 310 } });
  expect(ask(8.1, [neighbour(5.38)])[1]!.data!['by']).toBeCloseTo(-0.02, 9);
  // One that was not read now says nothing; a slip of the unit is none of theirs.
  expect(ask(8.1, [neighbour(null)]).map(({ code }) => code)).toEqual(['jump']);
  expect(ask(7.42 * 0.3048, [neighbour(5.4)]).map(({ code }) => code)).not.toContain('beside-not');
});

it('a level that its own record lets pass is asked about where it has left the wells near by', () => {
  expect(ask(7.55, [neighbour(5.55)])).toEqual([]);
  const left = ask(7.6, [neighbour(5.1)]);
  expect(left.map(({ code, severity }) => [code, severity])).toEqual([['unlike-beside', 'question']]);
  expect(left[0]!.data!['off']).toBeCloseTo(0.5, 9);
  // Another neighbour that went along holds it up.
  expect(ask(7.6, [neighbour(5.1), { ...neighbour(5.6), name: 'Tannery 1' }])).toEqual([]);
});

it.each([
  [6.5, ['jump', 'beside-too']],
  [7.5, ['jump']],
])('a neighbour read %d days ago was read in the same round: %j', (ago, codes) => {
  const late = { ...today(6.05), at: now - ago * day };
  const other = { ...neighbour(null), levels: [...neighbour(null).levels, late] };
  expect(ask(8.1, [other]).map(({ code }) => code)).toEqual(codes);
});

it('five steps that both wells made tell how they move together, and four do not', () => {
  const after = (steps: number) =>
    questionLevel({
      depth: 7.6,
      mark,
      well: wellPoint.well,
      record: monthly(wave.slice(-steps - 1)),
      tolerances: edition,
      at: now,
      beside: [neighbour(5.1)],
    }).map(({ code }) => code);
  expect(after(5)).toContain('unlike-beside');
  expect(after(4)).not.toContain('unlike-beside');
});

it('four robust standard deviations from how both have moved are let be', () => {
  // Seven steps apart by 0, 0.1 or -0.1 m: their median is 0, that of their amounts 0.1 m; four times 1.4826 of it are 0.593 m.
  const sway = [0, 0.1, 0, 0, 0.1, 0, 0, 0].map((more, place) => wave[place]! - 2 + more);
  const other = (last: number): Beside => ({ ...neighbour(null), levels: [...monthly(sway, 'Rim'), today(last)] });
  const off = (by: number) => ask(7.55, [other(sway.at(-1)! + 0.15 - by)]).map(({ code }) => code);
  expect([off(0.57), off(0.62)]).toEqual([[], ['unlike-beside']]);
});

it('wells that never moved together ask nothing', () => {
  const wild = [1.2, 3.9, 2.2, 0.4, 3.1, 1.9, 2.8, 0.7];
  const other: Beside = { ...neighbour(null), levels: [...monthly(wild, 'Rim'), today(2.9)] };
  expect(ask(7.5, [other])).toEqual([]);
});

it('neighbours are the nearest wells with a place and levels at rest, and no taps', async () => {
  const at = (latitude: number, id: string): WellPoint => ({ ...wellPoint, id, name: id, position: { latitude, longitude: 8 } });
  const points: Point[] = [
    at(50, 'own'),
    at(50.001, 'near'),
    at(50.002, 'pumped'),
    at(50.003, 'second'),
    at(50.2, 'far'),
    { ...wellPoint, id: 'nowhere', position: undefined },
    { ...tapPoint, id: 'tap', position: { latitude: 50, longitude: 8 } },
  ];
  const record = async (id: string): Promise<LevelOfRecord[]> =>
    Promise.resolve(id === 'pumped' ? [{ ...today(7), water: 'pumping' }] : [today(7)]);
  const found = await besideOf(points[0]!, points, record);
  expect(found.map(({ id }) => id)).toEqual(['near', 'second']);
  // 0.001° of latitude are 111.2 m on the sphere of IUGG’s mean radius.
  expect(found[0]!.away).toBeCloseTo(111.19, 1);
});

it('they are three at most, and no further away than five kilometres', async () => {
  const at = (latitude: number, id: string): WellPoint => ({ ...wellPoint, id, name: id, position: { latitude, longitude: 8 } });
  const idsOf = async (latitudes: readonly number[]) => {
    const points = [at(50, 'own'), ...latitudes.map((latitude) => at(latitude, String(latitude)))];
    return (await besideOf(points[0]!, points, () => Promise.resolve([today(7)]))).map(({ id }) => id);
  };
  expect(await idsOf([50.004, 50.001, 50.003, 50.002])).toEqual(['50.001', '50.002', '50.003']);
  // 4.99 and 5.06 km.
  expect(await idsOf([50.0449, 50.0455])).toEqual(['50.0449']);
});
