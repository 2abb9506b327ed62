import { describe, expect, it } from 'vitest';
import {
  analysisGroups,
  analysisIds,
  analysisName,
  bottleTables,
  cardOf,
  gearIds,
  mixTimes,
  ruleIds,
  readOf,
  rulesFor,
  whyHere,
  type RuleId,
  losesGas,
} from './index.ts';

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

  it('say for every analysis what is measured, each in one bottle, and leave none to be compared by hand', () => {
    for (const id of analysisIds) {
      const cards = rulesFor(table, [id]).map(bottleRule);
      const measured = cards.flatMap((card) => card.parameters);
      for (const card of cards) {
        expect(card.parameters.length, card.name).toBeGreaterThan(0);
        expect(card.measures, card.name).toBeUndefined();
        expect(new Set(readOf(card)).size, card.name).toBe(readOf(card).length);
      }
      // The first and the fifth litre are two waters, each with its own numbers.
      if (id !== 'leadFifth') expect(new Set(measured).size, analysisName(table, id)).toBe(measured.length);
    }
  });

  it('know every group that the trade asks for', () => {
    expect(Object.keys(table.analyses).length).toBeGreaterThanOrEqual(30);
    for (const id of analysisIds) expect(analysisGroups, id).toContain(table.analyses[id]?.group);
  });

  it('wait no longer for Pseudomonas than the standard allows, and fill oxygen demand without air', () => {
    // ISO 19458:2006, from memory: 12 h at most; ISO 5815-1, from memory: without air.
    expect(bottleRule('pseudomonas').holdingHours).toBe(12);
    expect(bottleRule('bod').mark).toBe(0.98);
    expect(losesGas(bottleRule('bod'))).toBe(false);
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
      expect(rinse, id).toMatch(/^Never rinse/);
      if (/acid to pH|hydroxide|alkaline/i.test(preservative.name)) expect(preservative.hazard, id).toMatch(/gloves and eye protection/);
    }
  });

  // 40 CFR 136.3 Table II, in days
  it.each<[RuleId, number]>([
    ['nitrogen', 2],
    ['ammonium', 28],
    ['metals', 180],
    ['totalMetals', 180],
    ['mercury', 28],
    ['chromium6', 28],
    ['general', 2],
    ['turbidity', 2],
    ['colour', 2],
    ['orthophosphate', 2],
    ['phosphorus', 28],
    ['nitratePreserved', 28],
    ['alkalinity', 14],
    ['cyanide', 14],
    ['sulfide', 7],
    ['solids', 7],
    ['bod', 2],
    ['cod', 28],
    ['carbon', 28],
    ['oil', 28],
    ['phenols', 28],
    ['volatiles', 14],
    ['pesticides', 7],
    ['polycyclic', 7],
    ['grossActivity', 180],
    ['fluoride', 28],
  ])('%s holds for %d days', (rule, days) => {
    expect(bottleRule(rule).holdingHours / 24).toBe(days);
  });

  it('of PFAS hold as their methods say, and name everything that must not be about', () => {
    expect([bottleRule('pfas533').holdingHours, bottleRule('pfas537').holdingHours]).toEqual([28 * 24, 14 * 24]); // EPA 533, 537.1
    expect(bottleRule('pfas533').gear).toContain('pfas-ice');
    for (const id of ruleIds) for (const one of bottleRule(id).gear ?? []) expect(gearIds, id).toContain(one);
  });

  it('of Legionella are not put on ice', () => {
    expect([bottleRule('legionella').temperature, bottleRule('legionella').volume]).toEqual(['cool', 1000]); // HSG274 part 2
  });

  it('leave air over bacteria', () => {
    expect(bottleRule('bacteria').headspace).toMatch(/air/);
    expect(bottleRule('bacteria').holdingHours).toBe(24); // common practice of many labs
  });
});

describe('what a card says beside its rule', () => {
  it('is why it is filled where it is: volatiles before all, nitrate after the metals, the first water of a tap before anything', () => {
    for (const [id, why] of [
      ['lead', 'The very first water'],
      ['volatiles', 'What escapes into the air'],
      ['pfas533', 'a trace of them would be found'],
      ['bacteria', 'after the outlet was disinfected'],
      ['metals', 'Before iron falls out'],
      ['nitrogen', 'After the metals, with fresh gloves'],
      ['general', 'filled last'],
    ] as const)
      expect(whyHere(bottleRule(id)), id).toContain(why);
  });

  it('is how often it is turned over, wherever its rule gives a number', () => {
    for (const one of bottleTables.all.flatMap(({ rules }) => Object.values(rules)))
      expect(mixTimes(one) !== null, one.mix ?? '').toBe(one.mix !== null && /times|twice/.test(one.mix));
    expect([mixTimes(bottleRule('ammonium')), mixTimes(bottleRule('pfas533')), mixTimes(bottleRule('general'))]).toEqual([3, 5, null]);
    expect(mixTimes({ mix: 'Shake fifteen times' })).toBe(15);
  });
});

it('a bottle loses what it is for to bubbles where that is a gas or volatile, not where it is only filled without air', () => {
  const rules = Object.entries(bottleTables.newest[0]!.rules);
  const losing = rules.filter(([, card]) => losesGas(card)).map(([id]) => id);
  expect(losing.sort()).toEqual(['oxygen', 'radon', 'sulfide', 'trihalomethanes', 'volatiles']);
  // Whatever asks for no suction pump is among them; a full bottle for salts is not.
  expect(rules.filter(([, { gear = [] }]) => gear.includes('no-suction')).every(([id]) => losing.includes(id))).toBe(true);
  expect(losing).not.toContain('general');
});
