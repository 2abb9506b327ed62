import { describe, expect, it } from 'vitest';
import { idOf, lab, tapPoint } from '../../test/script.ts';
import { bottleTables, rulesFor, type AnalysisId } from '../bottles/index.ts';
import { questionIntake } from '../day/index.ts';
import { questionOutOfUse } from '../plan/index.ts';
import type { Lab } from '../registers/index.ts';
import { sayAbout } from '../round/index.ts';
import { dueAt, dueOf, visitsFor, type Programme, type SampleOfRecord } from './index.ts';

/* A month of four programmes, November 2026, with a day on which the lab is shut and a tap that is out of use from the 10th on. */

const taps = Array.from({ length: 6 }, (_, at) => idOf(100 + at));
const [market, school] = [taps[0]!, taps[1]!];
const programme = (number: number, change: Partial<Programme>): Programme => ({
  id: idOf(number),
  name: `Programme ${number}`,
  points: taps,
  analyses: ['coliforms'],
  times: 1,
  per: 'month',
  counts: 'each',
  from: '2026-01-01',
  source: '',
  ...change,
});
const four = [
  programme(1, { points: [market, school] }),
  programme(2, { counts: 'together', times: 4 }),
  programme(3, { points: [market], analyses: ['lead'], per: 'quarter' }),
  programme(4, { points: [school], analyses: ['nutrients'], per: 'week' }),
];
const closed = new Set([market]);
const taken = (point: string, analysis: AnalysisId, date: string): SampleOfRecord => ({
  because: null,
  round: 'r',
  visit: `${point} ${date}`,
  point,
  analysis,
  date,
  state: 'taken',
});
const samples = [
  taken(school, 'coliforms', '2026-11-03'),
  taken(taps[2]!, 'coliforms', '2026-11-03'),
  taken(school, 'nutrients', '2026-11-03'),
];

describe('a tap that is out of use', () => {
  it('is heard by every programme: what it lacks is said, and nobody is sent there', () => {
    const states = (one: Programme, out: ReadonlySet<string>) =>
      dueOf(one, samples, '2026-11-23', out).map(({ point, state }) => [point, state]);
    expect(states(four[0]!, closed)).toEqual([
      [market, 'out-of-use'],
      [school, 'done'],
    ]);
    expect(states(four[2]!, closed)).toEqual([[market, 'out-of-use']]);
    for (const one of four) {
      const visits = visitsFor(one, dueOf(one, samples, '2026-11-23', closed), samples, closed);
      expect(visits.map(({ point }) => point)).not.toContain(market);
    }
    expect([dueAt(four, samples, '2026-11-23').has(market), dueAt(four, samples, '2026-11-23', closed).has(market)]).toEqual([true, false]);
  });

  it('leaves the others that count together to be taken: two more, at those that were sampled longest ago', () => {
    const together = four[1]!;
    const visits = visitsFor(together, dueOf(together, samples, '2026-11-23', closed), samples, closed);
    expect(visits.map(({ point }) => point)).toEqual([taps[3], taps[4]]);
  });

  it('that was sampled before is done all the same', () => {
    const before = [...samples, taken(market, 'coliforms', '2026-11-05')];
    expect(dueOf(four[0]!, before, '2026-11-23', closed)[0]).toMatchObject({ point: market, state: 'done' });
  });

  it('is said while it is planned, with the day on which to look again', () => {
    const out = { ...tapPoint, outOfUse: { reason: 'building work', lookAgain: '2026-12-01' } };
    expect(questionOutOfUse([out, tapPoint]).map((one) => sayAbout(one).says)).toEqual([
      `${tapPoint.name} is out of use: building work. Look again on 1 December 2026.`,
    ]);
  });
});

describe('a lab that is shut', () => {
  const table = bottleTables.newest[0]!;
  const hours = [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '08:00', closes: '16:00' }));
  const shut: Lab = { ...lab, intake: hours, cutOffs: [], closedDays: [{ date: '2026-11-25', name: 'Feast of the town' }], holding: {} };
  const says = (date: string, analyses: AnalysisId[], of = shut) =>
    questionIntake(of, date, rulesFor(table, analyses), table).map((one) => sayAbout(one).says);

  it('says nothing on a day on which it takes the bottles in', () => {
    expect(says('2026-11-24', ['coliforms', 'metals'])).toEqual([]);
  });

  it('is said while a closed day is planned: what keeps waits for the next, bacteria are too old on a Saturday', () => {
    // Filled on Wednesday noon, bacteria may wait 24 h or more; on Saturday noon Monday 08:00 is 44 h away.
    expect(says('2026-11-25', ['metals'])).toEqual([
      `${lab.name} accepts no metals on 25 November 2026. It does from 08:00 on 26 November 2026.`,
    ]);
    expect(says('2026-11-28', ['coliforms'])).toEqual([
      `${lab.name} accepts no bacteria on 28 November 2026, and when it does they are too old.`,
    ]);
  });

  it('is said for bacteria alone where they have a door of their own', () => {
    const noFriday = { ...shut, cutOffs: [{ bottles: ['bacteria' as const], weekdays: [5], closes: null }] };
    expect(says('2026-11-27', ['coliforms', 'metals'], noFriday)).toEqual([
      `${lab.name} accepts no bacteria on 27 November 2026, and when it does they are too old.`,
    ]);
  });
});
