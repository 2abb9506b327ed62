import { describe, expect, it } from 'vitest';
import { idOf, lab, tapPoint } from '../../test/script.ts';
import { bottleTables } from '../bottles/index.ts';
import type { DaySettings, PlannedVisit } from '../plan/index.ts';
import type { Lab, Point } from '../registers/index.ts';
import { atWall, minute, wallTime } from '../time/index.ts';
import { afterRemedy, buildDay, proposeDay, sayRemedy, tellDay, usualSettings, type DayOf, type Remedy } from './index.ts';

const zone = 'Atlantic/Azores';
const at = (latitude: number, longitude = -31.05) => ({ latitude, longitude });
/** Takes bacteria in until noon; a quay half an hour nearer, where a boat fetches what lies there at 15:00. Monday 23 November 2026. */
const quay = {
  name: 'Quay',
  position: at(36.3),
  hours: [{ weekday: 1, opens: '09:00', closes: '15:00' }],
  toLab: 3600,
};
const there: Lab = { ...lab, position: at(36.56), cutOffs: [], dropOffs: [quay] };
const tap = (number: number, latitude: number, more: Partial<Point> = {}): Point =>
  ({ ...tapPoint, id: idOf(number), code: `T${number}`, name: `Tap ${number}`, position: at(latitude), contacts: [], ...more }) as Point;
const visit = (number: number, point: Point, analyses: PlannedVisit['analyses'] = ['coliforms']): PlannedVisit => ({
  id: idOf(number),
  point,
  analyses,
});
const day = (visits: PlannedVisit[], change: Partial<DayOf> = {}): DayOf => ({
  date: '2026-11-23',
  zone,
  code: '261123A',
  visits,
  lab: there,
  table: bottleTables.newest[0]!,
  extras: [],
  depths: new Map(),
  ...change,
});
const settings: DaySettings = { ...usualSettings };
const time = (moment: number) => wallTime(moment, zone).time;
const codes = (remedies: readonly Remedy[]) => remedies.map(({ code }) => code);
const only = <C extends Remedy['code']>(remedies: readonly Remedy[], code: C) =>
  remedies.filter((one): one is Extract<Remedy, { code: C }> => one.code === code);

describe('a place where bottles are left for the lab', () => {
  const far = day([visit(41, tap(31, 36.29))], { lab: { ...there, intake: [{ weekday: 1, opens: '08:00', closes: '09:30' }] } });

  it('ends the day there, and what lies there ages until the boat is at the lab', () => {
    const { problem } = buildDay(day([visit(41, tap(31, 36.29))]), { ...settings, at: 'Quay' });
    expect(problem.intake.map(({ from, to }) => [time(from), time(to)])).toEqual([['09:00', '15:00']]);
    expect(time(problem.reaches!)).toBe('16:00');
    // The lab shuts at 16:00: a boat that is a minute later waits for the morning.
    const slow = { ...there, dropOffs: [{ ...quay, toLab: 3660 }] };
    const late = buildDay(day([visit(41, tap(31, 36.29))], { lab: slow }), { ...settings, at: 'Quay' }).problem;
    expect(wallTime(late.reaches!, zone)).toMatchObject({ date: '2026-11-24', time: '08:00' });
  });

  it('is offered where the lab’s own door shuts too early, and does help', () => {
    const { faults, remedies } = proposeDay(far, settings, []);
    expect(faults.map(({ code }) => code)).toEqual(['too-late']);
    // At 15:00 the boat takes it to a lab that is shut until the next Monday: bacteria would be too old, so it is not offered.
    expect(codes(remedies)).not.toContain('drop-off');
    const opened = {
      ...far,
      lab: {
        ...far.lab!,
        intake: [
          { weekday: 1, opens: '08:00', closes: '09:30' },
          { weekday: 1, opens: '15:30', closes: '17:00' },
        ],
      },
    };
    // With an afternoon door it can be brought there directly as well.
    expect(proposeDay(opened, settings, []).faults).toEqual([]);
    const shut = { ...opened, lab: { ...opened.lab, position: at(37.6) } };
    const late = { ...settings, start: '13:30', lunch: 0, from: at(36.3) };
    const helped = only(proposeDay(shut, late, []).remedies, 'drop-off');
    expect(helped).toHaveLength(1);
    expect(proposeDay(shut, afterRemedy(late, helped[0]!), []).faults).toEqual([]);
  });

  it('takes nothing on a day on which it is shut, nor what was left out of its hours', () => {
    const tuesday = buildDay(day([visit(41, tap(31, 36.29))], { date: '2026-11-24' }), { ...settings, at: 'Quay' });
    expect(tuesday.problem.intake).toEqual([]);
    const holiday = { ...there, closedDays: [{ date: '2026-11-23', name: 'Feast' }] };
    expect(buildDay(day([visit(41, tap(31, 36.29))], { lab: holiday }), { ...settings, at: 'Quay' }).problem.intake).toEqual([]);
  });
});

describe('a cut-off of some bottles', () => {
  it('shuts the door for the whole load, also where the lab shuts over noon', () => {
    const twice: Lab = {
      ...there,
      intake: [
        { weekday: 1, opens: '08:00', closes: '12:00' },
        { weekday: 1, opens: '13:00', closes: '16:00' },
      ],
      cutOffs: [{ bottles: ['metals'], weekdays: [], closes: '14:00' }],
    };
    const spans = (analyses: PlannedVisit['analyses']) =>
      buildDay(day([visit(41, tap(31, 36.5), analyses)], { lab: twice }), settings).problem.intake.map(
        ({ from, to }) => `${time(from)}–${time(to)}`,
      );
    expect(spans(['coliforms'])).toEqual(['08:00–12:00', '13:00–16:00']);
    expect(spans(['coliforms', 'metals'])).toEqual(['08:00–12:00', '13:00–14:00']);
  });
});

describe('clocks', () => {
  const span = (change: Partial<DayOf>) => buildDay(day([visit(41, tap(31, 36.5))], change), settings).problem.intake[0]!;

  it('of a lab in another zone are its own', () => {
    // Lisbon is an hour ahead of the Azores: its door from 08:00 to 16:00 is open here from 07:00 to 15:00.
    const { from, to } = span({ lab: { ...there, zone: 'Europe/Lisbon' } });
    expect([time(from), time(to)]).toEqual(['07:00', '15:00']);
  });

  it('are moved on within some days: the hours on the wall hold', () => {
    const sundays: Lab = { ...there, intake: [{ weekday: 7, opens: '08:00', closes: '16:00' }] };
    // 29 March 2026 has 23 hours on the Azores, 25 October 25.
    for (const date of ['2026-03-29', '2026-10-25']) {
      const { from, to } = span({ date, lab: sundays });
      expect([wallTime(from, zone).time, wallTime(to, zone).time]).toEqual(['08:00', '16:00']);
      expect(buildDay(day([visit(41, tap(31, 36.5))], { date, lab: sundays }), settings).problem.start).toBe(atWall(date, '08:00', zone));
    }
  });
});

describe('a hand-over on the way', () => {
  /** Bacteria that must be at the lab within 2 h, at two taps on either side of it, with an hour of other work between. */
  const strict: Lab = { ...there, holding: { bacteria: 1.6 }, dropOffs: [] };
  const visits = [visit(41, tap(31, 36.46)), visit(42, tap(32, 36.66)), visit(43, tap(33, 36.47)), visit(44, tap(34, 36.67))];
  const of = day(visits, { lab: strict });

  it('is offered where bottles would be too old at the end, and keeps them young', () => {
    const { faults, remedies } = proposeDay(of, { ...settings, lunch: 0 }, []);
    expect(faults.map(({ code }) => code)).toContain('too-old');
    const [midway] = only(remedies, 'midway');
    expect(midway).toBeDefined();
    const changed = afterRemedy({ ...settings, lunch: 0 }, midway!);
    const told = proposeDay(of, changed, []);
    expect(told.faults).toEqual([]);
    expect(told.day.midway).not.toBeNull();
    // Every bottle, by its own clock, at the door it was handed over at.
    for (const [place, { stop, begins }] of told.day.stops.entries())
      for (const { filledAfter, keeps } of told.problem.stops[stop]!.bottles) {
        const given = place < told.day.midway!.after ? told.day.midway!.handOver : told.day.handOver;
        expect(given).toBeLessThanOrEqual(begins + filledAfter + keeps);
      }
    expect(Math.min(...told.slack.values())).toBeGreaterThanOrEqual(0);
    expect(told.latestHere).toHaveLength(4);
  });

  it('stays after its stop in an order of one’s own, and the rest begins when it is over', () => {
    const midway = { after: idOf(42) };
    const { day: timed } = tellDay(of, { ...settings, midway }, [idOf(41), idOf(42), idOf(43), idOf(44)]);
    expect(timed.midway?.after).toBe(2);
    const drive = buildDay(of, { ...settings, midway }).problem.travel.at(-1)![2]!;
    expect(timed.stops[2]!.arrives).toBe(timed.midway!.handOver + 10 * minute + drive);
  });

  it('lets the door be open for what each leg brings: bacteria before their cut-off, the rest until the evening', () => {
    const early: Lab = { ...there, dropOffs: [], cutOffs: [{ bottles: ['bacteria'], weekdays: [], closes: '10:00' }] };
    const mixed = [visit(41, tap(31, 36.55)), ...[42, 43, 44, 45].map((id) => visit(id, tap(id, 36.4), ['general']))];
    const both = day(mixed, { lab: early });
    const told = proposeDay(both, { ...settings, lunch: 0, start: '09:00' }, []);
    expect(told.faults.map(({ code }) => code)).toContain('too-late');
    const [midway] = only(told.remedies, 'midway');
    const mended = proposeDay(both, afterRemedy({ ...settings, lunch: 0, start: '09:00' }, midway!), []);
    expect(mended.faults).toEqual([]);
    expect(time(mended.day.midway!.handOver) <= '10:00').toBe(true);
    expect(time(mended.day.handOver) > '10:00').toBe(true);
  });

  it('is no way out where even that does not help, and then the day is cut in two', () => {
    // Somebody lets one in at each of four taps for an hour and a half only: two of them can be done.
    const open = { name: 'Porter', windows: [{ from: '08:30', to: '10:00' }] };
    const four = visits.map((one) => ({ ...one, point: { ...one.point, contacts: [open] } }));
    const { remedies } = proposeDay(day(four), settings, []);
    expect(codes(remedies)).toEqual(['split']);
    const [split] = only(remedies, 'split');
    const rest = four.filter(({ id }) => split!.visits.includes(id));
    expect(rest).toHaveLength(2);
    expect(proposeDay(day(rest, { date: split!.date }), settings, []).faults).toEqual([]);
    const today = four.filter(({ id }) => !split!.visits.includes(id));
    expect(proposeDay(day(today), settings, []).faults).toEqual([]);
    expect(sayRemedy(split!, zone)).toMatch(/^Go to Tap \d+ and Tap \d+ on 24 November 2026: today at the lab /);
  });
});

describe('what is known of a day', () => {
  const one = visit(41, tap(31, 36.5));
  const two = visit(42, tap(32, 36.52));

  it('is a drive that somebody said, in either direction, and no other', () => {
    const drives: DaySettings['drives'] = [{ ends: [one.point.id, two.point.id], lasts: 1500 }];
    const { travel } = buildDay(day([one, two]), { ...settings, drives }).problem;
    expect([travel[0]![1], travel[1]![0]]).toEqual([25 * minute, 25 * minute]);
    expect(travel[0]![3]).toBe(buildDay(day([one, two]), settings).problem.travel[0]![3]);
  });

  it('is daylight, out of doors alone', () => {
    const indoors = visit(42, tap(32, 36.52, { building: 'School' }));
    const { stops } = buildDay(day([one, indoors]), { ...settings, byDaylight: true }).problem;
    // About the day length of 36.5° N at the end of November: 10 h 2 min between sunrise and sunset, noon at 12:51 by this clock.
    const [{ from, to }] = stops[0]!.windows as [{ from: number; to: number }];
    expect((to - from) / minute).toBeGreaterThan(590);
    expect((to - from) / minute).toBeLessThan(610);
    expect(Math.abs((from + to) / 2 - atWall('2026-11-23', '12:51', zone))).toBeLessThan(3 * minute);
    expect(stops[1]!.windows).toEqual([]);
  });

  it('is that taps of one room are flushed together: the second takes its clocks less', () => {
    const room = { building: 'School', room: 'Kitchen' };
    const pair = [visit(41, tap(31, 36.5, room)), visit(42, tap(32, 36.5, room))];
    const apart = [visit(41, tap(31, 36.5, room)), visit(42, tap(32, 36.5, { ...room, room: 'Hall' }))];
    const end = (visits: PlannedVisit[]) => proposeDay(day(visits), settings, []).day.arrives;
    const { travel } = buildDay(day(pair), settings).problem;
    expect(travel[0]![1]).toBeLessThan(0);
    expect(end(apart) - end(pair)).toBe(-travel[0]![1]!);
    // Other tests, other clocks.
    expect(buildDay(day([pair[0]!, visit(42, tap(32, 36.5, room), ['general'])]), settings).problem.travel[0]![1]).toBeGreaterThan(-1);
  });

  it('is the first water of a tap: taken before anything runs, and gone after an earlier visit', () => {
    const both = visit(41, tap(31, 36.5), ['coliforms', 'legionella']);
    const { works, findings } = buildDay(day([both]), settings);
    expect(works[0]!.bottles[0]!.rule).toBe('legionella');
    expect(works[0]!.unusedFor).toBe(120 * minute);
    expect(findings).toEqual([]);
    const again = buildDay(day([visit(41, both.point, ['general']), visit(42, both.point, ['legionella'])]), settings);
    expect(again.findings.map(({ code }) => code)).toEqual(['first-water-gone']);
  });
});
