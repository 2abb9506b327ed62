import { describe, expect, it } from 'vitest';
import { coldRecord } from '../../logger/index.ts';
import { hour, minute } from '../../time/index.ts';
import { mostReadings, outOfBand, recordedAt, type ColdCourse } from './index.ts';

const begin = Date.parse('2026-11-23T08:00:00Z');
const at = (minutes: number) => begin + minutes * minute;
const course = (...readings: [minutes: number, degrees: number][]): ColdCourse =>
  readings.map(([minutes, degrees]) => [at(minutes), degrees]);
const band = { least: 1, most: 10 };
const minutesOf = (ms: number) => Math.round((ms / minute) * 1000) / 1000;

describe('how long a box was out of its band', () => {
  // Straight lines: from 5 to 15 °C in an hour the second half lies above 10; down again likewise.
  const hill = course([0, 5], [60, 15], [120, 5]);

  it('is told by straight lines between readings', () => {
    const out = outOfBand(hill, [], band, at(0), at(120));
    expect([minutesOf(out.above), out.below, out.unseen, out.warmest, out.coldest]).toEqual([60, 0, 0, 15, 5]);
  });

  it('counts only the time of the bottle, cut where it begins and ends', () => {
    const late = outOfBand(hill, [], band, at(75), at(120));
    expect([minutesOf(late.above), late.warmest]).toEqual([15, 12.5]);
    expect(outOfBand(hill, [], band, at(90), at(120)).above).toBe(0);
  });

  it('sees below as above, and neither without a band', () => {
    const frost = course([0, 3], [60, -1], [120, -1]);
    expect(minutesOf(outOfBand(frost, [], band, at(0), at(120)).below)).toBe(90);
    expect(outOfBand(frost, [], null, at(0), at(120))).toMatchObject({ above: 0, below: 0, coldest: -1 });
  });

  it('tells nothing over a gap, before the first and after the last reading', () => {
    const torn = course([30, 20], [60, 20], [180, 20], [210, 20]);
    const out = outOfBand(torn, [[at(60), at(180)]], band, at(0), at(240));
    expect([minutesOf(out.above), minutesOf(out.unseen)]).toEqual([60, 30 + 120 + 30]);
    expect(outOfBand(torn, [], band, at(300), at(360))).toEqual({ above: 0, below: 0, unseen: hour, warmest: null, coldest: null });
  });

  it('is never more than the time itself', () => {
    const odd = course([0, 30], [1, -20], [2, 30], [3, 10], [4, 10], [5, 1]);
    const { above, below, unseen } = outOfBand(odd, [], band, at(0), at(5));
    expect(above + below).toBeLessThan(5 * minute);
    expect([above > 0, below > 0, unseen]).toEqual([true, true, 0]);
  });
});

it('says what was recorded at a moment, and nothing within a gap', () => {
  const torn = course([0, 4], [10, 6], [100, 8]);
  const gaps: [number, number][] = [[at(10), at(100)]];
  expect([0, 5, 10, 50, 100, 101, -1].map((minutes) => recordedAt(torn, gaps, at(minutes)))).toEqual([4, 5, 6, null, 8, null, null]);
});

describe('a record ready for the book', () => {
  const recorded = (step: number, count: number, value: (place: number) => number) => ({
    times: Float64Array.from({ length: count }, (_, place) => at(place * step)),
    values: Float64Array.from({ length: count }, (_, place) => value(place)),
  });

  it('has the readings of its time alone, and counts the others', () => {
    const found = coldRecord(
      recorded(5, 100, () => 4),
      at(50),
      at(100),
    );
    expect([found.readings, found.outside, found.course.length, found.course[0]![0], found.gaps]).toEqual([11, 89, 11, at(50), []]);
  });

  it('finds gaps of more than three of its steps and ten minutes', () => {
    const torn = recorded(1, 60, () => 4);
    torn.times.set(
      Float64Array.from(torn.times.subarray(30), (time) => time + 9 * minute),
      30,
    );
    expect(coldRecord(torn, at(0), at(100)).gaps).toEqual([]);
    torn.times.set(
      Float64Array.from(torn.times.subarray(30), (time) => time + 2 * minute),
      30,
    );
    expect(coldRecord(torn, at(0), at(100)).gaps).toEqual([[at(29), at(41)]]);
    // A logger that reads every half an hour leaves none out at an hour.
    expect(
      coldRecord(
        recorded(30, 8, () => 4),
        at(0),
        at(300),
      ).gaps,
    ).toEqual([]);
  });

  it('keeps the warmest and the coldest of a long one, and no more than a book wants', () => {
    const long = recorded(0.1, 30_000, (place) => (place === 12_345 ? 21.5 : place === 20_001 ? -3.25 : 4));
    const { course: kept, gaps, readings } = coldRecord(long, at(0), at(5000));
    expect([kept.length <= mostReadings, readings, gaps]).toEqual([true, 30_000, []]);
    expect([Math.max(...kept.map(([, value]) => value)), Math.min(...kept.map(([, value]) => value))]).toEqual([21.5, -3.25]);
  });

  it('is empty where nothing lies in its time', () => {
    expect(
      coldRecord(
        recorded(5, 10, () => 4),
        at(5000),
        at(6000),
      ),
    ).toEqual({ course: [], gaps: [], readings: 0, outside: 10 });
  });
});
