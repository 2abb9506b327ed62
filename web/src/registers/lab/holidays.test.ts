import { describe, expect, it } from 'vitest';
import { countries, publicHolidays, regions, withHolidays } from './holidays.ts';

describe('public holidays', () => {
  // Lei 7/2009, art. 234 (Portugal): Good Friday and Corpus Christi move with Easter, which is 5 April in 2026.
  it('of a country are those that its law names, the movable ones too', async () => {
    const days = (await publicHolidays('PT', null, [2026])).map(({ date }) => date);
    for (const date of ['2026-01-01', '2026-04-03', '2026-04-25', '2026-05-01', '2026-06-04', '2026-06-10', '2026-12-08', '2026-12-25'])
      expect(days).toContain(date);
    // Carnival is an observance, no public holiday.
    expect(days).not.toContain('2026-02-17');
  });

  it('of a region are its own as well', async () => {
    expect((await regions('DE')).map(({ value }) => value)).toContain('BY');
    const [all, bavaria] = await Promise.all([publicHolidays('DE', null, [2026]), publicHolidays('DE', 'BY', [2026])]);
    expect(all.map(({ date }) => date)).not.toContain('2026-01-06');
    expect(bavaria.map(({ date }) => date)).toContain('2026-01-06');
    expect((await countries()).length).toBeGreaterThan(100);
  });

  it('come among the closed days in order, once each, and rename none', () => {
    const closed = [
      { date: '2026-12-25', name: 'Christmas, and the day after by hand' },
      { date: '2026-03-02', name: 'Stocktaking' },
    ];
    const found = withHolidays(closed, [
      { date: '2026-12-25', name: 'Christmas' },
      { date: '2026-01-01', name: 'New Year' },
      { date: '2026-01-01', name: 'New Year again' },
    ]);
    expect(found.map(({ date }) => date)).toEqual(['2026-01-01', '2026-03-02', '2026-12-25']);
    expect(found[2]!.name).toMatch(/by hand/);
  });
});
