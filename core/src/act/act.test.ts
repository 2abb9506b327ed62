import { describe, expect, it } from 'vitest';
import { limitSets } from '../limits/index.ts';
import { parameter, parameterIds, type ParameterId } from '../parameters/index.ts';
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
  blanks: [],
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
    // 40 CFR 141.861; E. coli is a coliform, so its repeats are owed without a coliform row (40 CFR 141.858(a))
    ['E. coli', occasion({ parameter: 'ecoli', state: 'over-health' }), ['ecoli-authority', 'coliform-repeats', 'coliform-source']],
    ['E. coli in a special sample', occasion({ parameter: 'ecoli', state: 'over-health', sample: 'special' }), ['ecoli-authority']],
    ['E. coli in raw water', occasion({ parameter: 'ecoli', state: 'over-health', origin: 'raw' }), ['ecoli-authority']],
    ['coliforms under the Directive', occasion({ set: 'eu-2020-2184' }), ['coliform-cause']], // Article 14
    [
      'E. coli under the Directive',
      occasion({ parameter: 'ecoli', state: 'over-health', set: 'eu-2020-2184' }),
      ['ecoli-at-once', 'coliform-cause'],
    ],
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
    [
      'enterococci under the Directive',
      occasion({ parameter: 'enterococci', state: 'over-health', set: 'eu-2020-2184' }),
      ['ecoli-at-once'],
    ],
    ['Clostridium under the Directive', occasion({ parameter: 'clostridium', set: 'eu-2020-2184' }), ['other-germ']],
    ['Legionella over an action level', occasion({ parameter: 'legionella', state: 'over-action', set: 'eu-2020-2184' }), ['legionella']],
    ['Pseudomonas in a private well', occasion({ parameter: 'pseudomonas', state: 'over-health', origin: 'private' }), ['plumbing-germ']],
    [
      'enterococci in a well of somebody’s own',
      occasion({ parameter: 'enterococci', state: 'over-health', origin: 'private' }),
      ['private-germs'],
    ],
    ['a colony count over its indicator value', occasion({ parameter: 'plateCount22', set: 'de-trinkwv' }), []],
    ['lead over an action level', occasion({ parameter: 'lead', state: 'over-action' }), ['action-level-people', 'action-level-operator']],
    ['PFAS over a health value', occasion({ parameter: 'pfasSum20', state: 'over-health', set: 'eu-2020-2184' }), ['chemical-authority']],
    [
      'salt over what crops bear',
      occasion({ parameter: 'conductivity', state: 'over-operational', set: 'irrigation-fao-29' }),
      ['use-suffers'],
    ],
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
    expect(isHealth({ parameter: 'ecoli', state: 'over-health' })).toEqual([true, true, true]);
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

  it('never says of what lives that boiling concentrates it, nor of Legionella that water is run', () => {
    const says = (parameter: ParameterId, state: Occasion['state'], set: string) =>
      actions(occasion({ parameter, state, set }), occasion({ parameter, state, set, origin: 'private' })).map(
        (one) => sayTask(one.task).do,
      );
    for (const id of parameterIds.filter((one) => ['germ', 'count'].includes(parameter(one).kind)))
      for (const state of ['over-health', 'over-action', 'over-indicator'] as const)
        for (const set of limitSets.newest.map((one) => one.id)) {
          const all = says(id, state, set).join(' ');
          expect(all, `${id} ${state} ${set}`).not.toMatch(/concentrates/);
          if (id.startsWith('legionella')) expect(all, `${id} ${state} ${set}`).not.toMatch(/[Rr]un the water|drink/);
        }
  });

  it('gives one piece of advice where germs and a chemical are over at one point', () => {
    const both = [
      occasion({ parameter: 'ecoli', state: 'over-health', set: 'eu-2020-2184' }),
      occasion({ parameter: 'lead', state: 'over-health', set: 'eu-2020-2184' }),
    ];
    const said = (...of: Occasion[]) => actions(...of).map((action) => sayTask(action.task).do);
    const ofWater = said(...both).filter((text) => /boil|advice/i.test(text));
    expect(ofWater.map((text) => /No advice to boil alone[^.]*\.[^.]*authority decides/.test(text))).toEqual([true, true]);
    expect(said(both[0]!).join()).toContain('Agree on advice');
    expect(said(both[0]!, { ...both[1]!, visit: 'v2' }).join()).toContain('No advice to boil: boiling concentrates it');
  });

  it('says that a result is in doubt where a blank of the round held the same', () => {
    const [action] = actions(occasion({ parameter: 'lead', state: 'over-health', blanks: ['A-FB'] }));
    expect(sayTask(action!.task).because).toBe('Lead. In doubt: also found in the blank A-FB');
  });

  it('is not owed twice where other limits ask for the same under another name', () => {
    const judged = (set: string, told: ActBook) =>
      followUps({
        occasions: [occasion({ parameter: 'ecoli', state: 'over-health', set })],
        zone,
        table: followUpTables.newest[0]!,
        done: told,
      })
        .filter(({ isHealth }) => isHealth)
        .map(({ id, done: one }) => [id.split(':')[0], one?.note ?? null]);
    const called = done('ecoli-authority:v1', 'called, boil notice out');
    expect(judged('us-40-cfr', called)[0]).toEqual(['ecoli-authority', 'called, boil notice out']);
    expect(judged('eu-2020-2184', called)[0]).toEqual(['ecoli-at-once', 'called, boil notice out']);
    expect(judged('eu-2020-2184', done('ecoli-authority:v2', 'another point'))[0]).toEqual(['ecoli-at-once', null]);
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
