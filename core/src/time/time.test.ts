import { describe, expect, it } from 'vitest';
import { atWall, dateAfter, endOfDay, hour, instantAt, Instant, isZone, showDuration, wallInstants, wallTime } from './index.ts';

describe('wall clocks', () => {
  it('follows the site through both daylight-saving changes', () => {
    // Atlantic/Azores 2026: UTC−1 to UTC+0 on 29 March at 00:00, back on 25 October at 01:00 (tz database).
    expect(wallTime(Date.UTC(2026, 2, 29, 0, 30), 'Atlantic/Azores').time).toBe('23:30');
    expect(wallTime(Date.UTC(2026, 2, 29, 1, 30), 'Atlantic/Azores').time).toBe('01:30');
    expect(wallTime(Date.UTC(2026, 9, 25, 1, 30), 'Atlantic/Azores').time).toBe('00:30');
  });

  it('is undone by its inverse', () => {
    const moment = atWall('2026-11-23', '16:30', 'Atlantic/Azores');
    expect(new Date(moment).toISOString()).toBe('2026-11-23T17:30:00.000Z');
    expect(wallTime(moment, 'Atlantic/Azores')).toEqual({ date: '2026-11-23', time: '16:30', weekday: 1 });
  });

  it('ends the day by the site, not by UTC', () => {
    expect(new Date(endOfDay(Date.UTC(2026, 10, 24, 0, 30), 'Atlantic/Azores')).toISOString()).toBe('2026-11-24T00:59:59.000Z');
  });

  it('gives the days of a spring and an autumn change 23 and 25 hours', () => {
    const span = (from: string, to: string) => (atWall(to, '12:00', 'Europe/Lisbon') - atWall(from, '12:00', 'Europe/Lisbon')) / hour;
    expect([span('2026-03-28', '2026-03-29'), span('2026-10-24', '2026-10-25')]).toEqual([23, 25]);
  });

  it('takes the first of a repeated hour, moves a skipped time on, and hangs on no other zone than the site’s', () => {
    const at = (date: string, time: string, zone = 'Atlantic/Azores') => new Date(atWall(date, time, zone)).toISOString().slice(0, 16);
    expect([at('2026-10-25', '00:30'), at('2026-10-25', '01:00')]).toEqual(['2026-10-25T00:30', '2026-10-25T02:00']);
    expect(at('2026-03-29', '00:30')).toBe('2026-03-29T01:30');
    // Where the old way of asking went through this machine's own clock, these differed by its zone.
    expect([at('2026-10-25', '01:30', 'Europe/Lisbon'), at('2026-11-01', '01:30', 'America/New_York')]).toEqual([
      '2026-10-25T00:30',
      '2026-11-01T05:30',
    ]);
    expect([dateAfter('2026-02-28', 1), dateAfter('2026-03-01', -1), dateAfter('2026-12-31', 1)]).toEqual([
      '2026-03-01',
      '2026-02-28',
      '2027-01-01',
    ]);
  });

  it('knows a zone from a made-up one', () => {
    expect([isZone('Atlantic/Azores'), isZone('Atlantic/Marenta'), isZone('')]).toEqual([true, false, false]);
  });
});

it('shows a duration as short as it can be read', () => {
  expect([125_000, 0, -5, 3 * hour + 300_000, 28 * hour, 20 * 24 * hour].map(showDuration)).toEqual([
    '2 min 05 s',
    '0 s',
    '0 s',
    '3 h 05 min',
    '1 d 4 h',
    '20 d',
  ]);
});

it('takes instants with an offset and nothing looser', () => {
  const noon = Date.UTC(2026, 10, 23, 12, 0);
  expect(Instant.parse(instantAt(noon, -60))).toEqual({ utc: '2026-11-23T12:00:00.000Z', offset: -60 });
  expect(Instant.safeParse(instantAt(0, 0)).error?.issues[0]?.message).toContain('set the clock of this device');
  expect(Instant.safeParse({ utc: '2026-11-23', offset: 0 }).success).toBe(false);
  expect(Instant.safeParse({ utc: '2026-11-23T10:00:00.000Z', offset: 9000 }).success).toBe(false);
});

it('says how often the wall clock shows a time: twice in the hour that autumn repeats, never in the one that spring skips', () => {
  const zone = 'Atlantic/Azores';
  // EU summer time ends on 25 October 2026 at 01:00 UTC and begins on 29 March 2026 at 01:00 UTC (Directive 2000/84/EC).
  const iso = (all: number[]) => all.map((moment) => new Date(moment).toISOString().slice(0, 16));
  expect(iso(wallInstants('2026-10-25', '00:30', zone))).toEqual(['2026-10-25T00:30', '2026-10-25T01:30']);
  expect(iso(wallInstants('2026-03-29', '00:30', zone))).toEqual([]);
  expect(iso(wallInstants('2026-11-23', '10:20', zone))).toEqual(['2026-11-23T11:20']);
});
