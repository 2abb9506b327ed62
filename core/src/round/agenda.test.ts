import { expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { fold, inWorkOrder, roundLine, todayOf } from './index.ts';

const round = fold(new Script().plan().entries)!;
const line = (code: string, date: string) => ({ ...roundLine(code, round), code, date });

it('leads with today’s round, then with what was not done before, then with what comes', () => {
  const lines = [
    line('C', '2026-11-24'),
    line('D', '2026-12-24'),
    line('B', '2026-11-23'),
    line('A', '2026-11-23'),
    line('Y', '2026-11-22'),
    line('X', '2026-11-20'),
  ];
  expect(inWorkOrder(lines, '2026-11-23').map(({ code }) => code)).toEqual(['A', 'B', 'Y', 'X', 'C', 'D']);
  expect(todayOf(lines, '2026-11-24').rounds.map(({ code }) => code)).toEqual(['C', 'A', 'B', 'Y', 'X', 'D']);
});

it('knows a round that nobody has begun', () => {
  expect(roundLine('a', round).overview.isBegun).toBe(false);
  const begun = new Script().plan();
  begun.sampleTap();
  expect(roundLine('a', fold(begun.entries)!).overview.isBegun).toBe(true);
});
