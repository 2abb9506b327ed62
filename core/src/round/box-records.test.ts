import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { plainRecording } from '../../test/recording.ts';
import { handing, idOf, Script } from '../../test/script.ts';
import { boxRead, boxRecorded, handedOver, sayRecordOfBox, type ColdCourse } from '../custody/index.ts';
import { bottlesBoxed } from '../prepare/index.ts';
import { hour, minute } from '../time/index.ts';
import { bottlesIn, boxName, recordedBottles, recordFindings, recordOfBottle, timeOfBox } from './index.ts';
import { sayAbout } from './words.ts';

let book: Script;
const { state, purged, fill } = atTheWell(() => book);
const [nitrogen, metals, ammonium] = ['261123A-MW3-N', '261123A-MW3-M', '261123A-MW3-A'];
const blue = { id: idOf(41), name: 'Blue box', holds: 0.03 };
const box = { box: blue.id, name: blue.name };
let filled: number;

beforeEach(() => {
  book = new Script().plan();
  purged();
  for (const id of [nitrogen, metals, ammonium]) fill(id);
  filled = book.now;
  book.write(bottlesBoxed, { box: blue, bottles: [nitrogen, metals] });
});

/** A reading each ten minutes from an hour before the last filling to three hours after it. */
const course = (degrees: (minutes: number) => number): ColdCourse =>
  Array.from({ length: 25 }, (_, place) => place * 10 - 60).map((minutes) => [filled + minutes * minute, degrees(minutes)]);
const idsIn = (id: string) =>
  bottlesIn(state(), id)
    .map((bottle) => bottle.id)
    .sort();
const findings = (of: ColdCourse, now = filled + 3 * hour) => recordFindings(state(), { box, course: of, gaps: [] }, now);
const codes = (of: ColdCourse, now?: number) => findings(of, now).map(({ code }) => code);

describe('the bottles of a box', () => {
  it('are those that stand in it, and afterwards those that were handed over in it', () => {
    expect(idsIn(blue.id)).toEqual([metals, nitrogen]);
    expect(idsIn('')).toEqual([ammonium]);
    book.write(handedOver, { ...handing([nitrogen]), boxes: [{ ...box, box: '' }] });
    expect(idsIn('')).toEqual([ammonium, nitrogen]);
    expect([boxName(state(), blue.id), boxName(state(), ''), boxName(state(), idOf(99))]).toEqual(['Blue box', 'Cooler', null]);
  });

  it('give the time of which a record tells something', () => {
    const now = filled + 5 * hour;
    const first = state().bottles.find(({ id }) => id === nitrogen)!.filledAt!;
    expect(timeOfBox(state(), blue.id, now)).toEqual({ from: first - hour, to: now + hour });
    const { at } = book.write(
      handedOver,
      handing([nitrogen, metals], {
        boxes: [box],
        bottles: [nitrogen, metals].map((bottle) => ({ bottle, box: blue.id, condition: 'good' })),
      }),
    );
    expect(timeOfBox(state(), blue.id, now)?.to).toBe(Date.parse(at.utc) + hour);
    expect(timeOfBox(state(), idOf(99), now)).toBeNull();
  });
});

describe('what is asked about a record', () => {
  it('is nothing where it was cold all the time', () => {
    expect(codes(course(() => 4))).toEqual([]);
  });

  it('is how long the worst bottle was too warm or too cold; of one that wants no cold nothing', () => {
    const warm = course((minutes) => (minutes >= 60 && minutes <= 120 ? 9 : 4));
    const [found] = findings(warm);
    // From 4 to 9 °C in ten minutes, 6 °C are passed after four of them: six more on each side.
    expect(found).toMatchObject({ code: 'record-above', data: { bottle: nitrogen, most: 6, is: 9, for: 72 * minute } });
    expect(sayAbout(found!).says).toBe(`Blue box was above 6 °C for 1 h 12 min, 9.0 °C at the warmest. Longest for ${nitrogen}.`);
    expect(
      recordedBottles(state(), { box, course: warm, gaps: [] }, filled + 3 * hour).map(({ bottle, band }) => [bottle.id, band]),
    ).toEqual([
      [nitrogen, { least: 1, most: 6 }],
      [metals, null],
    ]);
    expect(codes(course((minutes) => (minutes > 90 ? -2 : 4)))).toEqual(['record-below']);
  });

  it('stands with each of its bottles: how long it was too warm, and how long nothing was recorded', () => {
    const recording = { ...plainRecording, unit: 'degC' as const };
    const warm = course((minutes) => (minutes >= 60 && minutes <= 120 ? 9 : 4));
    book.write(boxRecorded, { box, recording, gaps: [], readings: 25, outside: 0, unread: 0, course: warm });
    const of = (bottle: string) => recordOfBottle(state(), bottle, filled + 4 * hour);
    expect(sayRecordOfBox(of(nitrogen)!)).toBe(
      'On its way the box (Blue box) was above 6 °C for 1 h 12 min, 9.0 °C at the warmest; not recorded for 1 h 00 min.',
    );
    expect(sayRecordOfBox(of(metals)!)).toBe('On its way the box (Blue box) was not recorded for 1 h 00 min.');
    expect(of(ammonium)).toBeNull();
  });

  it('is that it ends before the hand-over, or that none of it lies there', () => {
    expect(
      codes(
        course(() => 4),
        filled + 5 * hour,
      ),
    ).toEqual(['record-unseen']);
    expect(findings([])).toMatchObject([{ code: 'record-elsewhere', severity: 'stop' }]);
  });

  it('is not that it ends early where the logger was read out again later', () => {
    const recording = { ...plainRecording, unit: 'degC' as const };
    const rest = { box, recording, gaps: [], readings: 25, outside: 0, unread: 0 };
    const long: ColdCourse = [...course(() => 4), [filled + 5 * hour, 4]];
    for (const one of [course(() => 4), long]) book.write(boxRecorded, { ...rest, course: one });
    const asked = state().custody.records.map((record) => recordFindings(state(), record, filled + 5 * hour).map(({ code }) => code));
    expect(asked).toEqual([[], []]);
    // Alone it would be asked.
    expect(
      codes(
        course(() => 4),
        filled + 5 * hour,
      ),
    ).toEqual(['record-unseen']);
  });

  it('is a clock that is ahead, degrees of another unit, and a reading by hand that does not agree', () => {
    expect(
      codes(
        course(() => 4),
        filled + 2 * hour,
      ),
    ).toEqual(['record-ahead']);
    // The course ends three hours after the filling; clocks may be five minutes apart.
    const ahead = (minutes: number) =>
      codes(
        course(() => 4),
        filled + 3 * hour - minutes * minute,
      );
    expect([ahead(4.9), ahead(5.1)]).toEqual([[], ['record-ahead']]);
    // Nobody keeps samples at 34 °C; 33 °F are half a degree.
    expect([32.9, 33.1].map((median) => codes(course(() => median)).includes('likely-fahrenheit'))).toEqual([false, true]);
    expect(codes(course(() => 39))).toEqual(['likely-fahrenheit', 'record-above']);
    book.write(boxRead, { box, when: 'way', temperature: { text: '11', unit: 'degC' } });
    expect(codes(course(() => 4))).toEqual(['record-differs']);
    const differs = (degrees: number) => codes(course(() => degrees)).includes('record-differs');
    expect([differs(7.5), differs(7.1), differs(6.9)]).toEqual([false, false, true]);
  });
});
