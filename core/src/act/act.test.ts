import { describe, expect, it } from 'vitest';
import { atWall, endOfDay, hour } from '../time/index.ts';
import { actionDone, callsToLabs, followUps, followUpTables, resamples, sayTask, type ActBook, type Occasion } from './index.ts';

const zone = 'Atlantic/Azores';
const arrived = atWall('2026-11-23', '15:40', zone);
const occasion = (change: Partial<Occasion> = {}): Occasion => ({
  visit: 'v1',
  pointName: 'Market hall',
  use: 'supply',
  sample: 'routine',
  parameter: 'coliforms',
  state: 'over-indicator',
  set: 'us-40-cfr',
  origin: 'network',
  doubt: null,
  known: arrived,
  ...change,
});
const actions = (...occasions: Occasion[]) => followUps({ occasions, zone, table: followUpTables.newest[0]!, done: new Map() });
const ids = (...occasions: Occasion[]) => actions(...occasions).map((action) => action.id.split(':')[0]);
const done = (action: string, note: string): ActBook => new Map([[action, { at: arrived + hour, note, entry: 'e' }]]);

describe('what follows from a verdict', () => {
  it.each([
    ['coliforms in a routine sample', occasion(), ['coliform-repeats', 'coliform-source']], // 40 CFR 141.858, 141.402
    ['coliforms in a special sample', occasion({ sample: 'special' }), ['coliform-special']],
    ['E. coli', occasion({ parameter: 'ecoli', state: 'over-health' }), ['ecoli-authority']], // 40 CFR 141.861
    ['coliforms under the Directive', occasion({ set: 'eu-2020-2184' }), ['coliform-cause']], // Article 14
    ['E. coli under the Directive', occasion({ parameter: 'ecoli', state: 'over-health', set: 'eu-2020-2184' }), ['ecoli-at-once']],
    ['nothing found in a special sample', occasion({ state: 'proves-nothing', sample: 'special' }), ['proves-nothing']],
    ['nitrate in a supply', occasion({ parameter: 'nitrate', state: 'over-health' }), ['chemical-authority']],
    [
      'nitrate in a monitoring well',
      occasion({ parameter: 'nitrate', state: 'over-health', use: 'monitoring' }),
      ['monitoring-coordinator'],
    ],
    ['coliforms beside a blank that grew', occasion({ doubt: 'blank' }), ['doubtful-again']],
    ['E. coli beside a blank that grew', occasion({ parameter: 'ecoli', state: 'over-health', doubt: 'blank' }), ['doubtful-again']],
    ['coliforms in a well of somebody’s own', occasion({ origin: 'private' }), ['private-germs']],
    [
      'nitrate in a well of somebody’s own',
      occasion({ origin: 'private', parameter: 'nitrate', state: 'over-health' }),
      ['private-chemical'],
    ],
    ['coliforms in raw water', occasion({ origin: 'raw' }), ['raw-coliforms']],
    ['coliforms in a monitoring well', occasion({ use: 'monitoring' }), []],
    ['iron over its indicator value', occasion({ parameter: 'iron' }), []],
    ['a limit below what the lab can see', occasion({ parameter: 'arsenic', state: 'cannot-tell' }), ['ask-lower-limit']],
    ['a result that meets', occasion({ state: 'meets' }), []],
  ])('%s', (_, one, expected) => {
    expect(ids(one)).toEqual(expected);
  });

  it('is due 24 hours after the report came, or by the end of that day on the site’s clock', () => {
    const [authority, repeats] = actions(occasion(), occasion({ parameter: 'ecoli', state: 'over-health' }));
    expect(new Date(authority!.due).toISOString()).toBe('2026-11-24T00:59:59.000Z');
    expect(repeats!.due).toBe(arrived + 24 * hour);
  });

  it('is due from the first moment at which somebody knew', () => {
    const [told] = actions(occasion(), occasion({ known: arrived - 3 * hour }));
    expect(told!.due).toBe(arrived + 21 * hour);
  });

  it('comes before everything else where it is late and people drink the water', () => {
    const isHealth = (one: Partial<Occasion>) => actions(occasion(one)).map((action) => action.isHealth);
    expect(isHealth({ parameter: 'ecoli', state: 'over-health' })).toEqual([true]);
    expect(isHealth({})).toEqual([true, true]);
    expect(isHealth({ parameter: 'lead', state: 'over-health', use: 'monitoring' })).toEqual([false]);
    expect(isHealth({ parameter: 'arsenic', state: 'cannot-tell' })).toEqual([false]);
    expect(isHealth({ parameter: 'ecoli', state: 'over-health', doubt: 'blank' })).toEqual([false]);
  });

  it('stands once a point, naming each cause once', () => {
    const both = actions(
      occasion({ parameter: 'lead', state: 'over-health' }),
      occasion({ parameter: 'nitrate', state: 'over-health' }),
      occasion({ parameter: 'lead', state: 'over-health' }),
    );
    expect(both.map((action) => sayTask(action.task).because)).toEqual(['Lead, Nitrate (as NO₃)']);
    expect(ids(occasion(), occasion({ visit: 'v2' }))).toHaveLength(4);
  });

  it('never advises to boil against chemicals', () => {
    const [action] = actions(occasion({ parameter: 'nitrate', state: 'over-health' }));
    expect(sayTask(action!.task).do).toContain('No advice to boil');
  });

  it('is done once somebody says what was done', () => {
    const told = done('coliform-repeats:v1', 'three repeats taken');
    const found = followUps({ occasions: [occasion()], zone, table: followUpTables.newest[0]!, done: told });
    expect(found.map((action) => action.done?.note ?? null)).toEqual(['three repeats taken', null]);
    expect(actionDone.payload.safeParse({ action: 'x', note: ' ' }).success).toBe(false);
  });
});

it('asks for a refused sample again within three days, with the reason', () => {
  const refused = [
    { bottle: 'A-MW3-A', visit: 'v1', pointName: 'Tannery 3', how: 'refused' as const, reason: 'Leaking on arrival', at: arrived },
  ];
  expect(resamples(refused, new Map())).toMatchObject([
    { id: 'resample:A-MW3-A', task: { code: 'resample', reason: 'Leaking on arrival' }, due: arrived + 72 * hour, done: null },
  ]);
  expect(resamples(refused, done('resample:A-MW3-A', 'sampled again'))[0]?.done?.note).toBe('sampled again');
});

it('asks for a call to the lab on the day on which it refused, once for a form', () => {
  const bottle = (id: string) => ({
    bottle: id,
    visit: 'v1',
    pointName: 'Tannery 3',
    how: 'refused' as const,
    reason: 'Warm',
    at: arrived,
  });
  const form = { handOver: 'h1', lab: 'Island lab', reference: 'L-1', bottles: [bottle('A'), bottle('B')], at: arrived };
  const [call, ...others] = callsToLabs([form], zone, new Map());
  expect([call!.id, others, sayTask(call!.task).because]).toEqual(['call-lab:h1', [], 'Refused: A, B']);
  expect(call!.due).toBe(endOfDay(arrived, zone));
  expect(callsToLabs([{ ...form, bottles: [] }], zone, new Map())).toEqual([]);
  expect(callsToLabs([form], zone, done('call-lab:h1', 'they take both with a note'))[0]?.done?.note).toBe('they take both with a note');
});
