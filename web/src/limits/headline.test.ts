import { judgeResult, judgeSums, limitSetAt, limitSets, verdictStates, type LimitKind, type LimitSet } from '@fonte/core/limits';
import type { HandOutcome, LabResult } from '@fonte/core/read';
import type { RoundVerdict } from '@fonte/core/round';
import { expect, it } from 'vitest';
import { headline } from './headline.ts';

const set = (id: string) => limitSetAt(limitSets.on(id, '2026-11-23')!, { kind: 'house-tap', isTreated: true });
const result = (parameter: LabResult['parameter'], value: number | null, form: LabResult['form'] = 'value'): LabResult => ({
  line: 2,
  bottle: 'A',
  parameter,
  form,
  value,
  estimated: false,
  reportingLimit: null,
  written: { result: '', unit: '', reportingLimit: '' },
});
const noGaps: RoundVerdict['gaps'] = { pending: [], rows: 0, without: 0, reported: 1, asked: 1, byHand: 0, lost: [] };
const say = (
  results: LabResult[],
  lead = set('eu-2020-2184'),
  blanks: RoundVerdict['blanks'] = [],
  {
    gaps = noGaps,
    sample = 'routine',
    byHand = [],
  }: Partial<Pick<RoundVerdict, 'gaps' | 'byHand'>> & { sample?: 'routine' | 'special' } = {},
) =>
  headline({
    gaps,
    byHand,
    sets: [lead],
    visits: [
      {
        visit: 'v',
        pointName: 'P',
        use: 'supply',
        day: '2026-11-23',
        sets: [lead],
        sums: judgeSums(results, lead, '2026-11-23'),
        onSite: [],
        judged: results.map((one) => ({
          result: one,
          verdict: judgeResult(one, lead, '2026-11-23', sample === 'routine' ? null : sample),
          others: [],
          sample,
          report: 'a',
          known: 0,
          isPreliminary: false,
          isDissolved: false,
          purpose: 'sample',
          doubt: [],
          twin: null,
        })),
      },
    ],
    blanks,
    occasions: [],
  });

it('says that all is well only where every result has a value and meets it', () => {
  expect(say([result('iron', 100), result('ecoli', 0)])).toBe('Every result meets its value.');
  expect(say([result('iron', 100), result('calcium', 80)])).toBe('Every result that has a value meets it; 1 has none.');
});

it.each(verdictStates.filter((state) => state !== 'meets' && state !== 'no-value'))(
  'never says that all is well where a result is %s',
  (state) => {
    const lead: LimitSet = {
      ...set('eu-2020-2184'),
      rows: [{ parameter: 'iron', kind: 'health', most: 10, unit: 'ug/L', place: 'Annex' }],
    };
    const kind = state.replace('over-', '') as LimitKind;
    const rows = lead.rows.map((row) => (state.startsWith('over-') ? { ...row, kind } : row));
    const one = state === 'cannot-tell' ? result('iron', 20, 'below') : result('iron', state === 'proves-nothing' ? 5 : 20);
    const said = say([one], { ...lead, rows }, [], state === 'proves-nothing' ? { sample: 'special' } : {});
    expect(said).not.toMatch(/Every result|meets/);
    expect(said).toMatch(/Iron|inconclusive/);
  },
);

it('names a sum that is over its value, where no part of it is by itself', () => {
  const pfas = [result('pfoa', 0.06), result('pfos', 0.07)];
  expect(say(pfas)).toBe('PFAS, sum of 20 over a health value at P.');
  expect(say([result('nitrate', 45), result('nitrite', 0.45)])).toBe('Nitrate and nitrite together over a health value at P.');
  expect(say([result('nitrate', 60), result('nitrite', 0.45)])).toBe('Nitrate exceeds a health value at P.');
});

it('finds bacteria whatever the set says of them', () => {
  const silent: LimitSet = { ...set('who-gdwq'), rows: [] };
  expect(say([result('coliforms', 3)], silent)).toContain('Coliform bacteria found at P');
  expect(say([result('coliforms', null, 'present')], silent)).toContain('Coliform bacteria found at P');
  expect(say([result('ecoli', 10, 'below')], silent)).toContain('E. coli cannot be decided at P');
  expect(say([result('ecoli', 0)], silent)).not.toContain('found');
});

it('puts bacteria first, then health, what cannot be told, and the rest', () => {
  expect(
    say([result('iron', 340), result('arsenic', 20, 'below'), result('nitrate', 60), result('lead', 12), result('coliforms', 2)]),
  ).toBe(
    'Coliform bacteria found at P; nitrate exceeds a health value at P; lead exceeds a health value at P; arsenic cannot be decided at P; iron exceeds an indicator value at P.',
  );
  expect(say([result('arsenic', 20, 'below')])).toBe('Arsenic cannot be decided at P.');
  expect(say([result('lead', 16), result('iron', 400)], set('us-40-cfr'))).toBe(
    'Lead exceeds the action level at P; iron exceeds a value for taste or looks at P.',
  );
});

it('names a few substances and counts the rest, and names a bottle without a result', () => {
  const over = [result('lead', 12), result('nitrate', 60), result('arsenic', 20), result('nickel', 90), result('cadmium', 9)];
  expect(say(over)).toMatch(/^(?:[^;]+ exceeds a health value at P; ){3}2 more results exceed a health value\.$/);
  const lost: RoundVerdict['gaps']['lost'] = [
    { bottle: 'A-M', how: 'refused' },
    { bottle: 'A-N', how: 'missing' },
  ];
  expect(say([result('iron', 100)], undefined, [], { gaps: { ...noGaps, lost } })).toBe(
    'No result of A-M (rejected by the lab); no result of A-N (missing); the rest meets.',
  );
});

it('says that a blank was not clean, also where everything meets', () => {
  const hit = { visit: 'v', pointName: 'P', result: result('iron', 3), isHit: true };
  expect(say([result('iron', 100)], undefined, [hit])).toBe('A blank was not clean.');
  expect(say([result('iron', 100)], undefined, [{ ...hit, isHit: false }])).toBe('Every result meets its value.');
});

it('says first what was asked for and is not there', () => {
  const pending = (parameters: LabResult['parameter'][]) => [{ bottle: 'B', visit: 'v', pointName: 'P', parameters }];
  const gaps = { ...noGaps, pending: pending(['coliforms', 'ecoli']), rows: 3 };
  expect(say([result('iron', 100)], undefined, [], { gaps })).toBe('Bacteria pending; 3 rows not understood; the rest meets.');
  expect(say([result('iron', 100), result('calcium', 80)], undefined, [], { gaps: { ...noGaps, pending: pending(['lead']) } })).toBe(
    '1 result pending; the rest meets where it has a value.',
  );
  expect(say([result('ecoli', 2), result('iron', 340)], undefined, [], { gaps })).toBe(
    'E. coli found at P; coliform bacteria pending; 3 rows not understood; iron exceeds an indicator value at P.',
  );
  expect(say([result('iron', 100)], undefined, [], { gaps: { ...noGaps, without: 2 } })).toBe('2 results will not come; the rest meets.');
});

it('never says of a special sample that it meets', () => {
  expect(say([result('ecoli', 0), result('iron', 100)], undefined, [], { sample: 'special' })).toBe('2 results are inconclusive.');
  expect(say([result('ecoli', 1)], undefined, [], { sample: 'special' })).toBe('E. coli found at P.');
});

it('says what a person compared, and never that all is well while something waits for one', () => {
  const sample = (outcome: HandOutcome): RoundVerdict['byHand'][number] => ({
    set: 'A-HG',
    visit: 'v',
    pointName: 'P',
    measures: 'Mercury',
    given: { entry: 'e', set: 'A-HG', outcome, words: 'as printed', at: 0 },
  });
  const good = [result('iron', 100)];
  const eu = set('eu-2020-2184');
  expect(say(good, eu, [], { gaps: { ...noGaps, byHand: 2 } })).toBe('2 samples are to be compared by hand; the rest meets.');
  expect(say(good, eu, [], { byHand: [sample('over')] })).toBe('1 sample over a limit by hand.');
  expect(say(good, eu, [], { byHand: [sample('cannot-tell')] })).toBe('1 sample cannot be decided by hand.');
  expect(say(good, eu, [], { byHand: [sample('meets')] })).toBe('Every result meets its value.');
  expect(say([], eu, [], { byHand: [sample('meets')] })).toBe('What was compared by hand meets its limits.');
});
