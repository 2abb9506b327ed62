import { describe, expect, it } from 'vitest';
import { Script, tapPoint, wellPoint } from '../../test/script.ts';
import { bottleFilled } from '../fill/index.ts';
import { levelLeftOut } from '../level/index.ts';
import { purgeEnded, purgeReading, purgeSetUp } from '../purge/index.ts';
import { reportRead, reportReceived, type LabResult } from '../read/index.ts';
import { OwnLimitSet, refOfOwnSet } from '../registers/index.ts';
import { idOf } from '../../test/things.ts';
import { fold } from './index.ts';

const general = '261123A-MW3-G';
const fluoride: LabResult = {
  line: 2,
  bottle: general,
  parameter: 'fluoride',
  form: 'value',
  value: 1.9,
  estimated: false,
  reportingLimit: 0.1,
  written: { result: '1.9', unit: 'mg/L', reportingLimit: '0.1' },
};

/** A round by the EU's limits, with 1.9 mg/L of fluoride at a well that may have limits of its own. */
function judged(limits?: string[], more: object = {}) {
  const book = new Script();
  book.plan([], {
    visits: [
      { id: book.well, point: wellPoint, analyses: ['general'], ...(limits ? { limits } : {}) },
      { id: book.tap, point: tapPoint, analyses: [] },
    ],
    ...more,
  });
  book.atWell(levelLeftOut, { why: 'no-access', reason: 'sealed head' });
  book.atWell(purgeSetUp, { method: 'running', ranBefore: true, criterion: 'two-sets@2026-1', parameters: ['ph'] });
  for (const text of ['7.40', '7.41'])
    book.atWell(purgeReading, { pumped: { text: '0', unit: 'L' }, values: { ph: { text, unit: 'pH' } } });
  book.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
  book.atWell(bottleFilled, { bottle: general });
  book.handOver([general]);
  const sha256 = 'a'.repeat(64);
  book.write(reportReceived, { sha256, name: 'r.csv', size: 1, from: 'upload', fault: null });
  book.write(reportRead, { sha256, mapping: { columns: {} }, header: [], unread: 0, results: [fluoride] });
  return fold(book.entries)!;
}
const states = (limits?: string[], more: object = {}) =>
  judged(limits, more).verdict?.visits.flatMap((visit) =>
    visit.judged.map(({ verdict, others }) => [verdict.state, ...others.map((one) => one.verdict.state)]),
  );

describe('a point with limits of its own', () => {
  // Fluoride: 1.5 mg/L in Directive (EU) 2020/2184, Annex I, Part B; 4.0 mg/L in 40 CFR 141.62, and 2.0 mg/L for looks in 143.3.
  it('is judged by them, and what must be done follows from them', () => {
    expect(states()).toEqual([['over-health']]);
    expect(states(['us-40-cfr@2026-1'])).toEqual([['meets']]);
    expect(states(['us-40-cfr@2026-1', 'eu-2020-2184@2026-1'])).toEqual([['meets', 'over-health']]);
    expect(judged().followUps.length).toBeGreaterThanOrEqual(judged(['us-40-cfr@2026-1']).followUps.length);
  });

  it('is judged by a set of the house that goes along with the plan', () => {
    const permit = OwnLimitSet.parse({
      id: idOf(91),
      name: 'Permit',
      base: 'us-40-cfr@2026-1',
      rows: [{ parameter: 'fluoride', kind: 'action', most: 1, unit: 'mg/L' }],
      source: 'Permit 12',
    });
    const ref = refOfOwnSet(permit);
    expect(states([ref], { ownLimits: [permit] })).toEqual([['over-action']]);
    expect(judged([ref], { ownLimits: [permit] }).unknown).toEqual([]);
    // What must be done follows from the rules of the set that it adds to.
    expect(judged([ref], { ownLimits: [permit] }).verdict?.occasions[0]?.set).toBe('us-40-cfr');
    expect(judged([ref]).unknown).toEqual([ref]);
    expect(states([ref])).toEqual([]);
  });

  it('is judged by no other set where its own is not known here', () => {
    const round = judged(['of-the-island@2031-1', 'eu-2020-2184@2026-1']);
    expect(round.verdict?.visits).toEqual([]);
    expect(round.unknown).toEqual(['of-the-island@2031-1']);
  });
});
