import { fold, isClosed, overview } from '@fonte/core/round';
import { day, wallTime } from '@fonte/core/time';
import { describe, expect, it } from 'vitest';
import { demoClock, demoMorning } from './clock.ts';
import { zone } from './data/registers.ts';
import { levelRounds, registers, schoolRound, todayRound } from './scenario.ts';

const start = demoMorning(Date.UTC(2026, 10, 23, 15, 0));

describe('the demo’s day', () => {
  it.each(Array.from({ length: 14 }, (_, index) => index))('begins at 09:20 on a Monday to Wednesday, %i days on', (later) => {
    const now = Date.UTC(2026, 2, 20, 12, 0) + later * day;
    const { time, weekday } = wallTime(demoMorning(now), zone);
    expect(time).toBe('09:20');
    expect([1, 2, 3]).toContain(weekday);
    expect(now - demoMorning(now)).toBeLessThan(5 * day);
  });

  it('runs on by itself and can be moved forward', () => {
    let system = 1000;
    const clock = demoClock(start, () => system);
    expect(clock.now()).toBe(start);
    system += 5000;
    clock.move(60_000);
    expect(clock.now()).toBe(start + 65_000);
  });
});

describe('the scenario', () => {
  it('has one round under way with a monitoring well and a tap', () => {
    const round = fold(todayRound(start))!;
    expect(overview(round)).toMatchObject({
      next: { room: 'arrive' },
      points: [
        { name: 'Tannery 3, downstream', type: 'well' },
        { name: 'Market hall', type: 'tap' },
      ],
      stages: ['ready', 'ready', 'ready', 'ready', 'ready'],
    });
  });

  it('has two years of levels in rounds that are done', () => {
    const books = new Map<string, ReturnType<typeof levelRounds>>();
    for (const entry of levelRounds(start)) books.set(entry.book, [...(books.get(entry.book) ?? []), entry]);
    expect(books.size).toBe(8);
    for (const entries of books.values()) {
      const round = fold(entries)!;
      expect(isClosed(round)).toBe(true);
      expect(round.visits.every((visit) => visit.level?.agreed)).toBe(true);
    }
  });

  it('has a round at the lab whose protocol was kept', () => {
    const round = fold(schoolRound(start).entries)!;
    expect(round.visits[0]?.runs[0]).toMatchObject({ finished: true, sample: 'routine', departures: [] });
    expect(round.bottles.map((bottle) => bottle.stage)).toEqual(['handed-over', 'handed-over']);
  });

  it('never writes from the future, and never one label twice', () => {
    const all = [...registers(start), ...levelRounds(start), ...schoolRound(start).entries, ...todayRound(start)];
    expect(all.every((entry) => Date.parse(entry.at.utc) <= start)).toBe(true);
    const labels = [schoolRound(start).entries, todayRound(start)].flatMap((entries) => fold(entries)!.bottles.map((bottle) => bottle.id));
    expect(new Set(labels).size).toBe(labels.length);
  });
});
