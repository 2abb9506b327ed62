import { describe, expect, it } from 'vitest';
import { analysisIds, analysisName, bottleTables, cardOf, ruleIds, rulesFor, type RuleId } from './index.ts';

const table = bottleTables.newest[0]!;
const bottleRule = (id: RuleId) => cardOf(table, id);

describe('bottle rules', () => {
  it('are needed once each, in filling order: bacteria first, then metals, nutrients, general', () => {
    expect(rulesFor(table, ['general', 'nutrients', 'metals', 'coliforms'])).toEqual([
      'bacteria',
      'metals',
      'nitrogen',
      'ammonium',
      'general',
    ]);
    expect(rulesFor(table, ['nutrients', 'nutrients'])).toEqual(['nitrogen', 'ammonium']);
    expect(rulesFor(table, [])).toEqual([]);
  });

  it('say for every analysis what is measured, each parameter in one bottle', () => {
    for (const id of analysisIds) {
      const measured = rulesFor(table, [id]).flatMap((rule) => bottleRule(rule).parameters);
      expect(measured, analysisName(table, id)).not.toEqual([]);
      expect(new Set(measured).size, analysisName(table, id)).toBe(measured.length);
    }
  });

  it('of an earlier edition know nothing of an analysis that came later', () => {
    const first = bottleTables.find('bottles@2026-1')!;
    expect([rulesFor(first, ['lead', 'coliforms']), rulesFor(table, ['lead', 'coliforms'])]).toEqual([['bacteria'], ['lead', 'bacteria']]);
  });

  it('have letters of their own, a source, and a mark inside the bottle', () => {
    const letters = ruleIds.map((id) => bottleRule(id).letter);
    expect(new Set(letters).size).toBe(letters.length);
    for (const id of ruleIds) {
      const rule = bottleRule(id);
      expect(rule.source.length, id).toBeGreaterThan(10);
      expect(rule.mark, id).toBeGreaterThan(0.5);
      expect(rule.mark, id).toBeLessThan(1);
    }
  });

  it('never rinse a bottle that holds a preservative, and warn of every acid', () => {
    for (const id of ruleIds) {
      const { preservative, rinse } = bottleRule(id);
      if (!preservative) continue;
      expect(rinse, id).toBe('Never rinse');
      if (/acid/i.test(preservative.name)) expect(preservative.hazard, id).toMatch(/gloves and eye protection/);
    }
  });

  it('hold as 40 CFR 136.3 Table II says', () => {
    const hours = Object.fromEntries(ruleIds.map((id) => [id, bottleRule(id).holdingHours]));
    expect(hours).toMatchObject({ nitrogen: 48, ammonium: 28 * 24, metals: 180 * 24, general: 48 });
  });

  it('leave air over bacteria', () => {
    expect(bottleRule('bacteria').headspace).toMatch(/air/);
    expect(bottleRule('bacteria').holdingHours).toBe(24); // common practice of many labs
  });
});
