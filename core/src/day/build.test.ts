import { describe, expect, it } from 'vitest';
import { idOf, lab, tapPoint, wellPoint } from '../../test/script.ts';
import { bottleTables } from '../bottles/index.ts';
import type { DaySettings, PlannedVisit } from '../plan/index.ts';
import type { Lab, Point } from '../registers/index.ts';
import { atWall, minute, wallTime } from '../time/index.ts';
import {
  buildDay,
  dayCalendar,
  driveLasts,
  fromHere,
  proposeDay,
  sayFault,
  sayRemedy,
  tellDay,
  usualSettings,
  type DayOf,
} from './index.ts';

const zone = 'Atlantic/Azores';
const at = (latitude: number, longitude = -31.05) => ({ latitude, longitude });
/** The lab at the north, a clean and a dirty well and two taps south of it, a few kilometres apart. Monday 23 November 2026. */
const there: Lab = { ...lab, position: at(36.56) };
const clean: Point = { ...wellPoint, id: idOf(31), code: 'W1', name: 'Upstream', position: at(36.52) };
const dirty: Point = { ...wellPoint, id: idOf(32), code: 'W2', name: 'Yard', position: at(36.525), hazards: ['contaminated'] };
const hall: Point = {
  ...tapPoint,
  position: at(36.5),
  walk: 120,
  contacts: [{ name: 'Fish counter', windows: [{ weekdays: [1, 2, 3, 4, 5], from: '07:00', to: '11:00' }] }],
};
const visit = (number: number, point: Point, analyses: PlannedVisit['analyses']): PlannedVisit => ({ id: idOf(number), point, analyses });
const day = (visits: PlannedVisit[], change: Partial<DayOf> = {}): DayOf => ({
  date: '2026-11-23',
  zone,
  code: '261123A',
  visits,
  lab: there,
  table: bottleTables.newest[0]!,
  extras: [],
  depths: new Map([[clean.id, 7.4]]),
  ...change,
});
const visits = [visit(41, dirty, ['general']), visit(42, hall, ['coliforms']), visit(43, clean, ['general', 'metals'])];
const settings: DaySettings = { ...usualSettings };
const time = (moment: number) => wallTime(moment, zone).time;
const named = ({ day: { order }, problem }: { day: { order: readonly number[] }; problem: { stops: readonly { name: string }[] } }) =>
  order.map((stop) => problem.stops[stop]!.name);

describe('a drive', () => {
  it('is the straight line made longer, at the usual speed, and parking', () => {
    // 0.04° of latitude is 4.448 km; times 1.4 at 40 km/h that is 9.34 min, and 2 for parking.
    expect(driveLasts(at(36.52), at(36.56), settings)).toBe(12 * minute);
    expect(driveLasts(at(36.52), at(36.5201), settings)).toBe(0);
    expect(driveLasts(undefined, at(36.52), settings)).toBe(15 * minute);
  });
});

describe('the work at a stop', () => {
  const [first, second, third] = buildDay(day(visits), settings).works;

  it('of a well is its level, its purge by volume and pump, its bottles with their filters', () => {
    // Three times π/4 · 0.052² · (18 + 0.6 − 7.4) m is 71.4 L: 11.9 min at 6 L/min, and sets of readings take 20.
    expect(third!.pieces.map(({ code, lasts }) => [code, lasts / minute])).toEqual([
      ['arrive', 5],
      ['level', 5],
      ['purge', 20],
      ['fill', 7],
      ['leave', 5],
    ]);
    // Where no level is known, the usual time.
    expect(first!.pieces.find(({ code }) => code === 'purge')?.lasts).toBe(45 * minute);
  });

  it('of a tap is the walk there and back, and the clocks of its protocol up to the bottle', () => {
    expect(second!.pieces.map(({ code }) => code)).toEqual(['walk', 'arrive', 'protocol', 'fill', 'protocol', 'leave', 'walk']);
    expect(second!.bottles).toMatchObject([{ id: '261123A-MH1-B', rule: 'bacteria', keeps: 18 * 60 * minute }]);
    const before = second!.pieces.slice(0, 3).reduce((sum, { lasts }) => sum + lasts, 0);
    expect(second!.bottles[0]!.filledAfter).toBe(before + 2 * minute);
  });
});

describe('a day of a round', () => {
  it('goes to the clean well before the contaminated one, and is at the tap while somebody is there', () => {
    const told = proposeDay(day(visits), settings, []);
    expect(told.faults).toEqual([]);
    expect(told.isBest).toBe(true);
    expect(named(told).indexOf('Upstream')).toBeLessThan(named(told).indexOf('Yard'));
    const tap = told.day.stops.find(({ stop }) => told.problem.stops[stop]!.name === 'Market hall')!;
    expect(time(tap.ends) <= '11:00').toBe(true);
    expect(told.day.leaves).toBe(atWall('2026-11-23', '08:00', zone));
    // From the latest start on it still can be done, a quarter of an hour later it cannot.
    const start = time(told.latestStart! + 15 * minute);
    expect(
      tellDay(
        day(visits),
        { ...settings, start: time(told.latestStart!) },
        told.day.order.map((stop) => visits[stop]!.id),
      ).faults,
    ).toEqual([]);
    expect(
      tellDay(
        day(visits),
        { ...settings, start },
        told.day.order.map((stop) => visits[stop]!.id),
      ).faults,
    ).not.toEqual([]);
  });

  it('says of an order of one’s own what it breaks', () => {
    const own = tellDay(day(visits), settings, [idOf(41), idOf(43), idOf(42)]);
    expect(own.faults.map(({ code }) => code)).toContain('must-wait');
    expect(sayFault(own.faults[0]!, own.problem, zone)).toBe('Yard comes after Upstream.');
    const late = tellDay(day(visits), { ...settings, start: '10:30' }, [idOf(43), idOf(41), idOf(42)]);
    expect(late.faults.map((fault) => sayFault(fault, late.problem, zone)).join(' ')).toMatch(
      /Market hall: you would be there at .* by 11:00/,
    );
  });

  it('cannot be done on a day on which the lab takes no bacteria, and each remedy that is offered does help', () => {
    const friday = day(visits, { date: '2026-11-27' });
    const other: Lab = { ...there, id: idOf(22), name: 'Lab of the next island', cutOffs: [] };
    const told = proposeDay(friday, settings, [there, other]);
    expect(told.faults.map(({ code }) => code)).toEqual(['lab-shut']);
    expect(told.remedies.map((remedy) => sayRemedy(remedy, zone).replace(/\d\d:\d\d$/, '…'))).toEqual([
      'Take it to Lab of the next island: there …',
      'Leave Market hall for another day: at the lab …',
      'Go on 30 November 2026: at the lab …',
    ]);
    // A lab that does not take what is asked is no way out.
    const choosy: Lab = { ...other, takes: ['radon'] };
    expect(proposeDay(friday, settings, [choosy]).remedies.map(({ code }) => code)).not.toContain('other-lab');
    expect(proposeDay({ ...friday, lab: other }, settings, []).faults).toEqual([]);
    expect(proposeDay({ ...friday, date: '2026-11-30' }, settings, []).faults).toEqual([]);
  });

  it('minds the days on which the lab is shut, and offers an earlier start where that helps', () => {
    const shut = { ...there, closedDays: [{ date: '2026-11-23', name: 'Feast of the harbour' }] };
    expect(proposeDay(day(visits, { lab: shut }), settings, []).faults.map(({ code }) => code)).toEqual(['lab-shut']);
    const early = { ...there, cutOffs: [{ bottles: ['bacteria'], weekdays: [1], closes: '09:45' }] };
    const told = proposeDay(day(visits, { lab: early }), settings, []);
    expect(told.faults.map(({ code }) => code)).toContain('too-late');
    const [first] = told.remedies;
    expect(first).toMatchObject({ code: 'start-earlier' });
    const start = (first as { start: string }).start;
    expect(proposeDay(day(visits, { lab: early }), { ...settings, start }, []).faults).toEqual([]);
  });

  it('says where a point is not on the map or out of use, and where nobody is there all day', () => {
    const odd: Point = {
      ...hall,
      position: undefined,
      outOfUse: { reason: 'building work' },
      contacts: [{ name: 'Office', windows: [{ weekdays: [7], from: '08:00', to: '09:00' }] }],
    };
    const told = proposeDay(day([visit(42, odd, ['coliforms'])]), settings, []);
    expect(told.findings.map(({ code }) => code)).toEqual(['no-position', 'out-of-use']);
    expect(told.faults.map(({ code }) => code)).toEqual(['nobody-there']);
  });

  it('has an order whatever the register said of two wells at their two visits', () => {
    const was = (number: number, point: Point, isDirty: boolean) =>
      visit(number, { ...point, hazards: isDirty ? ['contaminated'] : [] }, []);
    const turned = [was(51, clean, true), was(52, dirty, true), was(53, clean, false), was(54, dirty, false)];
    const told = proposeDay(day(turned), settings, []);
    expect(told.faults).toEqual([]);
    expect(told.day.order).toHaveLength(4);
  });

  it('without a lab ends where it began, by the evening', () => {
    const told = proposeDay(day([visit(43, clean, [])], { lab: null }), { ...settings, from: at(36.51) }, []);
    expect(told.faults).toEqual([]);
    const [back] = told.problem.travel.map((row) => row.at(-1)!);
    expect(told.day.handOver).toBe(told.day.stops[0]!.ends + back!);
  });
});

describe('somebody who stands at a point', () => {
  const of = day(visits);
  const nine = atWall('2026-11-23', '09:00', zone);
  const stand = (more: object = {}) =>
    fromHere(of, settings, { here: idOf(42), after: [idOf(43), idOf(41)], deadlines: [], now: nine, ...more });

  it('is told until when the work may begin: here somebody is there until eleven', () => {
    const { latest, faults } = stand();
    expect(faults).toEqual([]);
    const { works } = buildDay(of, settings);
    expect(latest).toBe(atWall('2026-11-23', '11:00', zone) - works[1]!.lasts);
  });

  it('is told earlier where bottles in the cooler must be at the lab', () => {
    const before = stand().latest!;
    const deadline = atWall('2026-11-23', '13:00', zone);
    const { latest } = stand({ deadlines: [deadline] });
    expect(latest).toBeLessThan(before);
    // From that minute on they are in time, and a minute later they are not.
    expect(stand({ deadlines: [deadline], now: latest! }).faults).toEqual([]);
    expect(stand({ deadlines: [deadline], now: latest! + minute }).latest).toBeNull();
  });

  it('is told what is lost once it is too late', () => {
    const late = stand({ now: atWall('2026-11-23', '10:50', zone) });
    expect(late.latest).toBeNull();
    expect(late.faults.map(({ code }) => code)).toEqual(['not-let-in']);
    const cooler = stand({ deadlines: [nine + 30 * minute] });
    expect(cooler.faults.map((fault) => sayFault(fault, cooler.problem, zone)).join(' ')).toMatch(/cooler must be there by 09:30/);
  });
});

describe('a day for a calendar', () => {
  const made = (change: Partial<Point> = {}) => {
    const of = day([visit(42, { ...hall, ...change } as Point, ['coliforms'])]);
    return dayCalendar(of, tellDay(of, settings, [idOf(42)]), 'Monday, north', Date.UTC(2026, 10, 22));
  };
  const field = (text: string, name: string) =>
    [...text.replaceAll('\r\n ', '').matchAll(new RegExp(`^${name}:(.*)\r$`, 'gm'))].map(([, value]) => value);

  it('has every stop while its work lasts, in UTC, and the hand-over at the lab', () => {
    const text = made();
    expect(field(text, 'SUMMARY')).toEqual(['Market hall', 'Hand over: Island lab']);
    const [from, handOver] = field(text, 'DTSTART');
    const [to] = field(text, 'DTEND');
    expect(from).toMatch(/^20261123T\d{6}Z$/);
    expect(from! < to! && to! <= handOver!).toBe(true);
    expect(new Set(field(text, 'UID')).size).toBe(2);
    expect(field(text, 'DESCRIPTION')[0]).toContain('Fish counter');
  });

  // RFC 5545, 3.1 and 3.3.11
  it('marks commas and ends of lines, and folds what is longer than 75 octets', () => {
    const access = `Ring twice; ask for the key, then\nthe blue door. ${'Ü'.repeat(90)}`;
    const text = made({ access });
    expect(field(text, 'DESCRIPTION')[0]).toContain('Ring twice\\; ask for the key\\, then\\nthe blue door.');
    for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
    expect(text.replaceAll('\r\n ', '')).toContain('Ü'.repeat(90));
  });
});
