import { describe, expect, it } from 'vitest';
import { labResult as result } from '../../test/lab-result.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { judgeSums, limitSetAt, limitSets, limitsFor, sayMissing, type LimitSet } from './index.ts';

const day = '2026-11-23';
const [eu, us, who, germany] = ['eu-2020-2184', 'us-40-cfr', 'who-gdwq', 'de-trinkwv'].map((id) => limitSets.on(id, day)!) as [
  LimitSet,
  LimitSet,
  LimitSet,
  LimitSet,
];
const sumOf = (set: LimitSet, id: string, results: readonly LabResult[], on = day) =>
  judgeSums(results, set, on).find(({ rule }) => rule.id === id);

describe('a sum of what was found', () => {
  const thms = (chloroform: LabResult, ...others: LabResult[]) => sumOf(eu, 'trihalomethanes', [chloroform, ...others]);
  const [bromoform, dibromo, bromodi] = [result('bromoform', 2), result('dibromochloromethane', 8), result('bromodichloromethane', 20)];

  it('adds the parts and is held to its value', () => {
    expect(thms(result('chloroform', 70), bromoform, dibromo, bromodi)).toMatchObject({
      state: 'meets',
      high: expect.closeTo(1, 9) as number,
    });
    expect(thms(result('chloroform', 71), bromoform, dibromo, bromodi)?.state).toBe('over-health');
  });

  it('counts what was looked for and not seen as nothing, where the text counts what is quantified only', () => {
    const unseen = thms(result('chloroform', 95), result('bromoform', 5, 'below'), dibromo, result('bromodichloromethane', 5, 'below'));
    expect(unseen).toMatchObject({ state: 'over-health', low: expect.closeTo(1.03, 9) as number });
    const near = thms(
      result('chloroform', 90),
      result('bromoform', 6, 'below'),
      result('dibromochloromethane', 6, 'below'),
      result('bromodichloromethane', 6, 'below'),
    );
    expect(near).toMatchObject({ state: 'meets', high: expect.closeTo(0.9, 9) as number });
  });

  it('cannot be told where a lab sees no less than the value itself', () => {
    expect(thms(result('chloroform', 5), result('bromoform', 200, 'below'), dibromo, bromodi)?.state).toBe('cannot-tell');
  });

  it('is known from below where a part has no result, and says of which', () => {
    const open = thms(result('chloroform', 60), dibromo);
    expect(open).toMatchObject({
      state: 'cannot-tell',
      low: expect.closeTo(0.68, 9) as number,
      high: Infinity,
      missing: ['bromoform', 'bromodichloromethane'],
    });
    expect(sayMissing(open!)).toBe('Limit 100 µg/L. No result of CHBr₃, bromodichloromethane.');
    expect(thms(result('chloroform', 95), dibromo)?.state).toBe('over-health');
    // One part alone is a result of its own.
    expect(thms(result('chloroform', 60))).toBeUndefined();
  });

  it('takes the higher of two results of one part', () => {
    expect(thms(result('chloroform', 30), result('chloroform', 75), bromoform, dibromo, bromodi)?.state).toBe('over-health');
  });

  it('of an open list waits for no part that a lab does not report', () => {
    const some = [result('atrazine', 0.3), result('glyphosate', 0.15), result('mcpa', 0.02, 'below')];
    expect(sumOf(eu, 'pesticides', some)).toMatchObject({ state: 'meets', missing: [], parts: 3 });
    expect(sumOf(eu, 'pesticides', [...some, result('diuron', 0.06)])?.state).toBe('over-health');
    expect(sayMissing(sumOf(eu, 'pesticides', some)!)).toBe('Limit 0.5 µg/L. 3 parts reported.');
  });

  it('says which part weighs most', () => {
    expect(
      sumOf(us, 'pfas-hazard', [result('pfhxs', 0.004), result('pfna', 0.002), result('hfpoDa', 0.001, 'below'), result('pfbs', 0.4)])
        ?.found,
    ).toEqual(['pfhxs', 'pfna', 'pfbs']);
  });
});

describe('shares of different values', () => {
  it('are added: the hazard index of four', () => {
    // 40 CFR 141.61(d): HFPO-DA/10 + PFBS/2000 + PFNA/10 + PFHxS/10, in ng/L; 3/10 + 400/2000 + 2/10 + 4/10 = 1.1.
    const four = [result('hfpoDa', 0.003), result('pfbs', 0.4), result('pfna', 0.002), result('pfhxs', 0.004)];
    expect(sumOf(us, 'pfas-hazard', four)).toMatchObject({ state: 'over-indicator', high: expect.closeTo(1.1, 9) as number, of: null });
  });

  it('count a bound in full where the text does not say otherwise', () => {
    const four = (chloroform: LabResult) =>
      sumOf(who, 'trihalomethanes', [
        chloroform,
        result('bromoform', 20),
        result('dibromochloromethane', 20),
        result('bromodichloromethane', 12),
      ]);
    // 0.2 + 0.2 + 0.2, and chloroform of 300.
    expect(four(result('chloroform', 100))?.state).toBe('meets');
    expect(four(result('chloroform', 130, 'below'))?.state).toBe('cannot-tell');
  });
});

describe('a sum holds', () => {
  it('from its day on', () => {
    const four = ['pfoa', 'pfna', 'pfhxs', 'pfos'].map((id) => result(id as ParameterId, 0.006));
    expect([sumOf(germany, 'pfas-4', four), sumOf(germany, 'pfas-4', four, '2028-01-12')?.state]).toEqual([undefined, 'over-health']);
  });
});

describe('a value that holds only at some places', () => {
  const at = (set: LimitSet, kind: string, isTreated: boolean, id: ParameterId) =>
    limitsFor(limitSetAt(set, { kind, isTreated }), id, day).map(({ most }) => most);

  it('is left out elsewhere: nitrite as it leaves the works, coliforms in water that is treated', () => {
    expect([at(eu, 'house-tap', true, 'nitrite'), at(eu, 'entry-point', true, 'nitrite')]).toEqual([[0.5], [0.5, 0.1]]);
    expect([at(who, 'private-well', false, 'coliforms'), at(who, 'house-tap', true, 'coliforms')]).toEqual([[], [0]]);
    expect(at(who, 'private-well', false, 'ecoli')).toEqual([0]);
  });

  it('is the very same set for every point of a kind', () => {
    expect(limitSetAt(eu, { kind: 'shower', isTreated: true })).toBe(limitSetAt(eu, { kind: 'shower', isTreated: true }));
    const all: LimitSet = { ...eu, rows: eu.rows.filter((row) => row.at === undefined) };
    expect(limitSetAt(all, { kind: 'shower', isTreated: true })).toBe(all);
  });
});
