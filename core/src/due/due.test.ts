import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idOf, Script } from '../../test/script.ts';
import { refuseAll } from '../../test/due.ts';
import {
  dueAt,
  dueOf,
  lastDayIn,
  openOf,
  periodBefore,
  periodIds,
  periodOf,
  Programme,
  owedElsewhere,
  visitsFor,
  type SampleOfRecord,
} from './index.ts';
import { fold, samplesOf } from '../round/index.ts';
import { levelLeftOut } from '../level/index.ts';
import { roundGivenUp } from '../plan/index.ts';

const [a, b, c] = [idOf(1), idOf(2), idOf(3)];
const programme = (change: Partial<Programme> = {}): Programme => ({
  id: idOf(9),
  name: 'Network',
  points: [a, b, c],
  analyses: ['coliforms'],
  times: 1,
  per: 'month',
  counts: 'each',
  from: '2026-01-01',
  source: '',
  ...change,
});
const sample = (
  point: string,
  date: string,
  state: SampleOfRecord['state'] = 'taken',
  because: SampleOfRecord['because'] = null,
): SampleOfRecord => ({
  because,
  round: 'r',
  visit: 'v',
  point,
  analysis: 'coliforms',
  date,
  state,
});

describe('a period', () => {
  it.each([
    ['week', '2026-11-23', '2026-11-23', '2026-11-29'], // a Monday
    ['week', '2026-11-22', '2026-11-16', '2026-11-22'],
    ['week', '2027-01-01', '2026-12-28', '2027-01-03'],
    ['month', '2028-02-29', '2028-02-01', '2028-02-29'],
    ['quarter', '2026-11-23', '2026-10-01', '2026-12-31'],
    ['half-year', '2026-06-30', '2026-01-01', '2026-06-30'],
    ['year', '2026-12-31', '2026-01-01', '2026-12-31'],
  ] as const)('%s of %s', (id, date, from, to) => {
    expect(periodOf(id, date)).toEqual({ from, to });
  });

  it('follows on the one before without a gap, whatever the day', () => {
    fc.assert(
      fc.property(fc.constantFrom(...periodIds), fc.integer({ min: 0, max: 30_000 }), (id, days) => {
        const date = new Date(days * 86_400_000).toISOString().slice(0, 10);
        const period = periodOf(id, date);
        expect(period.from <= date && date <= period.to).toBe(true);
        expect(Date.parse(period.from) - Date.parse(periodBefore(id, period).to)).toBe(86_400_000);
      }),
    );
  });

  it('ends for a season with its last month', () => {
    const year = periodOf('year', '2026-05-01');
    expect(lastDayIn(year, [4, 5, 9])).toBe('2026-09-30');
    expect(lastDayIn(periodOf('month', '2026-05-01'), [4, 6])).toBeNull();
    expect(lastDayIn(year, undefined)).toBe('2026-12-31');
  });
});

describe('what is due', () => {
  const states = (of: Programme, samples: SampleOfRecord[], today = '2026-11-23') => dueOf(of, samples, today).map(({ state }) => state);

  it('is what a period lacks at each point', () => {
    const samples = [sample(a, '2026-11-02'), sample(b, '2026-11-25', 'planned'), sample(c, '2026-10-30')];
    expect(states(programme(), samples)).toEqual(['done', 'planned', 'due']);
  });

  it('counts no sample that was special, spoilt or refused: it is owed', () => {
    const [line] = dueOf(programme(), [sample(a, '2026-11-02', 'special'), sample(a, '2026-11-05', 'refused')], '2026-11-23');
    expect(line).toMatchObject({ state: 'due', taken: 0, until: '2026-11-30' });
    expect(line!.owed.map(({ state }) => state)).toEqual(['special', 'refused']);
  });

  it('says what the period before missed, but not of a programme that had not begun', () => {
    expect(dueOf(programme(), [sample(a, '2026-10-02')], '2026-11-23').map(({ missed }) => missed)).toEqual([0, 1, 1]);
    expect(dueOf(programme({ from: '2026-10-15' }), [], '2026-11-23').map(({ missed }) => missed)).toEqual([0, 0, 0]);
  });

  it('is nothing before a programme begins, after it ends, and outside its season', () => {
    expect(states(programme({ from: '2027-01-01' }), [])).toEqual(['done', 'done', 'done']);
    expect(states(programme({ until: '2026-10-31' }), [])).toEqual(['done', 'done', 'done']);
    expect(states(programme({ per: 'year', months: [4, 9] }), [])).toEqual(['not-now', 'not-now', 'not-now']);
  });

  it('over all points together is one count, spread over the period and over the points', () => {
    const together = programme({ counts: 'together', times: 10, points: [a, b, c] });
    const three = [sample(a, '2026-11-02'), sample(b, '2026-11-04'), sample(a, '2026-11-09')];
    const [line] = dueOf(together, three, '2026-11-23');
    expect(line).toMatchObject({ point: null, needed: 10, taken: 3, state: 'behind' });
    expect(dueOf(together, three, '2026-11-09')[0]!.state).toBe('due');
    // Whoever was not sampled comes first, then who was longest ago.
    expect(visitsFor(together, [{ ...line!, needed: 5 }], three).map(({ point }) => point)).toEqual([c, b]);
  });

  it('is never more than what is lacking, and nothing once all is taken', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.constantFrom('taken', 'planned', 'special'), { maxLength: 9 }),
        (times, found) => {
          const samples = found.map((state) => sample(a, '2026-11-10', state));
          const [line] = dueOf(programme({ points: [a], times }), samples, '2026-11-23');
          expect(openOf(line!)).toBe(Math.max(0, times - found.filter((state) => state !== 'special').length));
          expect(line!.state === 'done').toBe(found.filter((state) => state === 'taken').length >= times);
        },
      ),
    );
  });
});

describe('a programme', () => {
  const refused = (change: object) => Programme.safeParse({ ...programme(), ...change }).error?.issues.map(({ path }) => path.join('.'));
  it.each([
    [{ times: 0 }, 'times'],
    [{ times: 1.5 }, 'times'],
    [{ points: [] }, 'points'],
    [{ analyses: [] }, 'analyses'],
    [{ until: '2025-12-31' }, 'until'],
    [{ months: [] }, 'months'],
  ])('that cannot be is refused at its field: %j', (change, path) => {
    expect(refused(change)).toContain(path);
  });
});

describe('what counts of a round', () => {
  const counted = (book: Script) => samplesOf('r', fold(book.entries)!).filter(({ point }) => point === idOf(12));

  it('is planned, then taken as a routine sample on its day', () => {
    const book = new Script().plan();
    expect(counted(book)).toMatchObject([{ analysis: 'coliforms', state: 'planned', date: '2026-11-23' }]);
    book.sampleTap();
    expect(counted(book)).toMatchObject([{ state: 'taken', date: '2026-11-23' }]);
  });

  it('is special, or refused, and owed', () => {
    const special = new Script().plan().sampleTap({ residual: '0.05' });
    expect(counted(special)).toMatchObject([{ state: 'special' }]);
    const refused = new Script().plan().sampleTap();
    refuseAll(refused);
    expect(counted(refused)).toMatchObject([{ state: 'refused' }]);
  });

  it('is owed where the well was found dry, from that day on', () => {
    const book = new Script().plan();
    const ofWell = () => samplesOf('r', fold(book.entries)!).filter(({ point }) => point === idOf(11));
    const asked = ofWell().map(({ analysis, date }) => ({ analysis, date, state: 'dry' }));
    expect(asked.length).toBeGreaterThan(0);
    expect(new Set(ofWell().map(({ state }) => state))).toEqual(new Set(['planned']));
    book.atWell(levelLeftOut, { why: 'dry', reached: { text: '18.9', unit: 'm' }, reason: 'nothing down to the bottom' });
    expect(ofWell()).toMatchObject(asked);
    expect(dueOf(programme({ points: [idOf(11)], analyses: [asked[0]!.analysis] }), ofWell(), '2026-11-23')).toMatchObject([
      { state: 'due', planned: 0, owed: [{ state: 'dry' }] },
    ]);
    expect(owedElsewhere([], ofWell(), '2026-11-30')).toHaveLength(asked.length);
  });

  it('is nothing where the round was given up before', () => {
    const book = new Script().plan();
    book.write(roundGivenUp, { reason: 'storm' });
    expect(counted(book)).toEqual([]);
  });
});

describe('samples that no programme asked for', () => {
  const asked = (as: 'repeat' | 'triggered' | 'resample') => ({ as, round: idOf(1), action: 'a', of: 'Hall', by: 0 });
  const taken = (as: Parameters<typeof asked>[0]) =>
    dueOf(programme({ points: [a] }), [sample(a, '2026-11-10', 'taken', asked(as))], '2026-11-23')[0]!.taken;

  it('count for none, unless they stand for one that was refused', () => {
    expect([taken('repeat'), taken('triggered'), taken('resample')]).toEqual([0, 0, 1]);
  });
});

describe('what a point lacks', () => {
  it('is the worst of all its programmes; where points count together, it is those whose turn it is', () => {
    const monthly = programme({ points: [a, b], times: 1 });
    const together = programme({ id: idOf(9), points: [a, b], times: 1, counts: 'together', analyses: ['general'] });
    const found = dueAt([monthly, together], [sample(a, '2026-11-10')], '2026-11-29');
    expect([found.get(a), found.get(b)]).toEqual(['due', expect.stringMatching(/due|behind/)]);
    const done = [sample(a, '2026-11-10'), sample(b, '2026-11-11')];
    expect([...dueAt([monthly], done, '2026-11-29')]).toEqual([]);
  });
});

describe('what no programme counts', () => {
  const owed = (samples: SampleOfRecord[], programmes: Programme[] = []) =>
    owedElsewhere(programmes, samples, '2026-11-30').map(({ point, date, state }) => `${point === a ? 'a' : 'b'} ${date} ${state}`);

  it('is owed where its last sample was special, spoilt or refused, until one is taken or planned', () => {
    expect(owed([sample(a, '2026-11-02', 'special'), sample(b, '2026-11-05', 'refused')])).toEqual([
      'b 2026-11-05 refused',
      'a 2026-11-02 special',
    ]);
    expect(owed([sample(a, '2026-11-02', 'spoilt'), sample(a, '2026-11-09', 'planned')])).toEqual([]);
    expect(owed([sample(a, '2026-11-02', 'spoilt'), sample(a, '2026-11-02')])).toEqual([]);
    // One that was good before makes up for nothing.
    expect(owed([sample(a, '2026-10-02'), sample(a, '2026-11-02', 'special')])).toEqual(['a 2026-11-02 special']);
  });

  it('is not told twice where a programme tells it, and not for ever', () => {
    expect(owed([sample(a, '2026-11-02', 'special')], [programme()])).toEqual([]);
    expect(owed([sample(a, '2026-11-02', 'special')], [programme({ analyses: ['lead'] })])).toHaveLength(1);
    expect(owed([sample(a, '2025-11-02', 'special')])).toEqual([]);
  });
});
