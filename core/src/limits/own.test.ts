import { describe, expect, it } from 'vitest';
import { labResult } from '../../test/lab-result.ts';
import { OwnLimitSet, refOfOwnSet, type OwnLimit } from '../registers/index.ts';
import { judgeResult, limitSetNamed, limitSets, questionOwnLimits, setOfOwn } from './index.ts';

const day = '2026-11-23';
const id = '018f0000-0000-7000-8000-0000000000f1';
const row = (more: Partial<OwnLimit>): OwnLimit => ({ parameter: 'iron', kind: 'aesthetic', most: 0.1, unit: 'mg/L', ...more });
const own = (more: Partial<OwnLimitSet>): OwnLimitSet => ({ id, name: 'Permit', rows: [row({})], source: 'Permit 12, § 4', ...more });
const stateOf = (set: OwnLimitSet, parameter: OwnLimit['parameter'], value: number) =>
  judgeResult(labResult(parameter, value), setOfOwn(set)!, day).state;
const problems = (set: unknown) =>
  OwnLimitSet.safeParse(set).error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`) ?? [];

describe('a limit set of the house', () => {
  it('judges alone by its own values only', () => {
    const set = own({ rows: [row({}), row({ parameter: 'ph', kind: 'indicator', most: 9, least: 7, unit: 'pH' })] });
    expect(stateOf(set, 'iron', 100)).toBe('meets');
    expect(stateOf(set, 'iron', 101)).toBe('over-aesthetic');
    expect(stateOf(set, 'ph', 6.9)).toBe('over-indicator');
    expect(stateOf(set, 'nitrate', 500)).toBe('no-value');
  });

  it('stands beside a published set, the stricter value deciding', () => {
    // Fluoride: 1.5 mg/L in Directive (EU) 2020/2184, Annex I, Part B.
    const stricter = own({ base: 'eu-2020-2184@2026-3', rows: [row({ parameter: 'fluoride', kind: 'health', most: 0.8 })] });
    expect(stateOf(stricter, 'fluoride', 0.9)).toBe('over-health');
    expect(stateOf(stricter, 'nitrate', 51)).toBe('over-health');
    const laxer = own({ base: 'eu-2020-2184@2026-3', rows: [row({ parameter: 'fluoride', kind: 'health', most: 3 })] });
    expect(stateOf(laxer, 'fluoride', 1.6)).toBe('over-health');
    expect(stateOf({ ...laxer, without: ['fluoride'] }, 'fluoride', 1.6)).toBe('meets');
  });

  it('leaves out the sums of what it does not take over, and keeps the others', () => {
    const sums = (set: OwnLimitSet) => setOfOwn(set)!.sums.map((sum) => sum.id);
    const base = 'eu-2020-2184@2026-3';
    expect(sums(own({ base }))).toContain('nitrogen');
    expect(sums(own({ base, without: ['nitrite'] }))).not.toContain('nitrogen');
    expect(sums(own({ base, without: ['nitrite'] }))).toContain('trihalomethanes');
  });

  it('takes a value in the way in which it is expressed: 10 mg/L as N are 44.27 mg/L of nitrate', () => {
    const set = own({ rows: [row({ parameter: 'nitrate', kind: 'health', most: 10, as: 'N' })] });
    expect(stateOf(set, 'nitrate', 44.2)).toBe('meets');
    expect(stateOf(set, 'nitrate', 44.4)).toBe('over-health');
  });

  it('is another edition of the set that it adds to as soon as it says something else', () => {
    const base = 'us-40-cfr@2026-3';
    const ref = refOfOwnSet(own({ base }));
    expect(ref).toMatch(/^us-40-cfr@own-[0-9a-f]{12}-[0-9a-f]{8}$/);
    expect(refOfOwnSet(own({ base, rows: [row({ most: 0.2 })] }))).not.toBe(ref);
    expect(refOfOwnSet(own({ base, outOfUse: 'superseded' }))).toBe(ref);
    expect(limitSetNamed(ref, [own({ base })])?.name).toBe('Permit');
    expect(limitSetNamed(ref, [])).toBeNull();
    expect(limitSetNamed(ref, [own({ base, name: 'Other' })])).toBeNull();
  });

  it('wants a number to meet with its uncertainty where it has a guard band, and never makes an excess of it', () => {
    const guarded = setOfOwn(own({ isGuarded: true, rows: [row({ most: 0.1 })] }))!;
    const plain = setOfOwn(own({ rows: [row({ most: 0.1 })] }))!;
    const at = (value: number, set: typeof plain) => judgeResult({ ...labResult('iron', value), uncertainty: 5 }, set, day).state;
    expect([94, 95, 100, 101].map((value) => at(value, guarded))).toEqual(['meets', 'cannot-tell', 'cannot-tell', 'over-aesthetic']);
    expect([94, 95, 100, 101].map((value) => at(value, plain))).toEqual(['meets', 'meets', 'meets', 'over-aesthetic']);
    // A lab that states none: the number decides.
    expect(judgeResult(labResult('iron', 99), guarded, day).state).toBe('meets');
  });

  it('judges nothing where its published set is not here', () => {
    expect(setOfOwn(own({ base: 'of-the-island@2031-1' }))).toBeNull();
  });

  it('says what a number over a value means, its own words first', () => {
    const says = (more: Partial<OwnLimit>) => setOfOwn(own({ rows: [row(more)] }))!.rows[0]!.says;
    expect(says({ parameter: 'lead', kind: 'health' })).toContain('small children');
    expect(says({ says: 'The brewery complains.' })).toBe('The brewery complains.');
  });
});

describe('what is typed of a limit set', () => {
  it('is refused at the field it concerns', () => {
    expect(problems(own({ rows: [row({ most: undefined })] }))).toEqual(['rows.0.most: Give the highest value, the lowest, or both.']);
    expect(problems(own({ rows: [row({ least: 0.1 })] }))).toEqual(['rows.0.least: Must be less than the highest value.']);
    expect(problems(own({ rows: [row({ unit: 'per100mL' })] }))).toEqual(['rows.0.unit: Not a unit of Iron.']);
    expect(problems(own({ rows: [row({ as: 'N' })] }))).toEqual(['rows.0.as: Iron is not expressed so.']);
    expect(problems(own({ rows: [row({}), row({})] }))).toEqual(['rows.1.parameter: This value is already in the list.']);
    expect(problems(own({ rows: [row({ from: '2026-02-01', until: '2026-01-01' })] }))).toEqual(['rows.0.until: Ends before it begins.']);
    expect(problems(own({ rows: [] }))).toEqual(['rows: Give at least one value.']);
    expect(problems(own({ without: ['lead'] }))).toEqual(['without: Choose the published set first.']);
    expect(problems(own({ rows: [row({ most: -1 })] }))).toEqual(['rows.0.most: Cannot be negative.']);
    expect(problems(own({ rows: [row({}), row({ until: '2026-01-01' })] }))).toEqual([]);
  });

  it('is asked about where no published value comes near: mg/L for µg/L', () => {
    const asked = (more: Partial<OwnLimit>) => questionOwnLimits({ rows: [row(more)] }).map(({ code, field }) => `${code} ${field}`);
    expect(asked({ parameter: 'arsenic', kind: 'health', most: 10 })).toEqual(['far-from-published rows.0.unit']);
    expect(asked({ parameter: 'arsenic', kind: 'health', most: 10, unit: 'ug/L' })).toEqual([]);
    expect(asked({ parameter: 'arsenic', kind: 'health', most: 0.00001, unit: 'ug/L' })).toEqual(['far-from-published rows.0.unit']);
    expect(asked({ parameter: 'ecoli', kind: 'health', most: 0, unit: 'per100mL' })).toEqual([]);
  });
});

it('knows an edition of its own from every published one', () => {
  expect(limitSets.all.filter(({ edition }) => edition.startsWith('own'))).toEqual([]);
});
