import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allowedAt,
  compareCriteria,
  countingSets,
  spacingOf,
  nextCounts,
  tooSoon,
  pumpedAt,
  criteria,
  judgeStability,
  readingSets,
  readingSteps,
  sayStability,
  type Criterion,
  type ReadingSet,
  type Tolerance,
} from '../index.ts';

const criterion = (ref: string) => criteria.find(ref)!;
const minutes = (count: number) => count * 60_000;

describe('stability', () => {
  const rule = criterion('two-sets@2026-1');
  const worked: ReadingSet[] = [
    { temperature: 16.8, ph: 7.44, oxygen: 4.02 },
    { temperature: 15.6, ph: 7.44, oxygen: 3.84 },
    { temperature: 15.6, ph: 7.45, oxygen: 3.78 },
  ];

  it('follows the worked sequence', () => {
    // common practice
    const second = judgeStability(rule, worked.slice(0, 2));
    expect(second.stable).toBe(false);
    expect(second.heldUpBy.map((verdict) => [verdict.parameter, sayStability(verdict.because)])).toEqual([
      ['temperature', 'moved 1.20 °C, ± 0.20 allowed'],
    ]);
    expect(judgeStability(rule, worked).stable).toBe(true);
  });

  it('is not stable by too few sets, nor with a parameter unread', () => {
    expect(judgeStability(rule, worked.slice(2)).heldUpBy.every((verdict) => verdict.state === 'short')).toBe(true);
    const { oxygen: _, ...without } = worked[2]!;
    expect(judgeStability(rule, [without, without]).heldUpBy.map((verdict) => verdict.state)).toEqual(['unread']);
    expect(judgeStability(rule, [without, without], ['temperature', 'ph']).stable).toBe(true);
    expect(judgeStability(rule, []).stable).toBe(false);
  });

  it('needs three successive sets under EPA/540/S-95/504, whatever drifts', () => {
    const drift = [500, 510, 530].map((conductivity) => ({ conductivity }));
    const steady = [500, 510, 520].map((conductivity) => ({ conductivity }));
    const judge = (sets: ReadingSet[]) => judgeStability(criterion('epa-1996@2026-1'), sets, ['conductivity']).stable;
    expect([judge(drift), judge(steady), judge(steady.slice(1))]).toEqual([false, true, false]);
  });

  it('lets clear water off: at or below 5 NTU a percentage means nothing', () => {
    const clear = [4.5, 2.1, 3.3].map((turbidity) => ({ turbidity }));
    expect(judgeStability(criterion('epa-region1-2017@2026-1'), clear, ['turbidity']).stable).toBe(true);
    expect(judgeStability(criterion('epa-1996@2026-1'), clear, ['turbidity']).stable).toBe(false);
  });

  it('is not stable by numbers that are read more coarsely than they may differ', () => {
    const sets: ReadingSet[] = Array.from({ length: 3 }, () => ({ ph: 7, conductivity: 570, redox: 100, oxygen: 4, turbidity: 8 }));
    const epa = criterion('epa-1996@2026-2');
    const fine = { ph: 0.01, conductivity: 1, redox: 1, oxygen: 0.01, turbidity: 0.1 };
    expect(judgeStability(epa, sets, undefined, { steps: fine }).stable).toBe(true);
    const coarse = judgeStability(epa, sets, undefined, { steps: { ...fine, ph: 1 } });
    expect(coarse.heldUpBy.map((one) => [one.parameter, one.state, sayStability(one.because)])).toEqual([
      ['ph', 'coarse', 'read in steps of 1.00, ± 0.10 allowed: read finer'],
    ]);
  });

  it('lets conductivity of dilute water differ by five per cent, and other water by three', () => {
    // USGS National Field Manual, ch. A6.0, table 6.0-1.
    const usgs = criterion('usgs-nfm@2026-2');
    const holds = (values: number[]) =>
      judgeStability(
        usgs,
        values.map((conductivity) => ({ conductivity })),
        ['conductivity'],
      ).stable;
    expect([holds([90, 90, 90, 90, 94]), holds([500, 500, 500, 500, 520])]).toEqual([true, false]);
  });

  it('takes the median of five sets where the source does', () => {
    const sets = [7.0, 7.1, 7.05, 7.12, 7.0].map((ph) => ({ ph }));
    expect(judgeStability(criterion('usgs-nfm@2026-1'), sets, ['ph']).parameters[0]).toMatchObject({
      state: 'holding',
      band: { middle: 7.05, half: 0.1 },
    });
    expect(judgeStability(criterion('usgs-nfm@2026-1'), [...sets.slice(1), { ph: 7.3 }], ['ph']).stable).toBe(false);
  });

  it('holds for readings that do not move, under every criterion', () => {
    for (const rule of criteria.all) {
      const set = { temperature: 15, ph: 7, conductivity: 400, oxygen: 4, turbidity: 8, redox: 120 };
      expect(
        judgeStability(
          rule,
          Array.from({ length: rule.sets }, () => set),
        ).stable,
        rule.id,
      ).toBe(true);
    }
  });
});

describe('the criteria as they are published', () => {
  const allowed = (ref: string, parameter: Tolerance['parameter'], at: number) =>
    allowedAt(
      criterion(ref).tolerances.find((one) => one.parameter === parameter)!,
      at,
    );

  it('of US EPA Region 1 (EQASOP-GW4, rev. 4): three per cent of the temperature and the conductivity', () => {
    expect(allowed('epa-region1-2017@2026-3', 'temperature', 20)).toBeCloseTo(0.6, 12);
    expect(allowed('epa-region1-2017@2026-3', 'conductivity', 500)).toBeCloseTo(15, 12);
  });

  it('of US EPA Region 4: oxygen by the larger of 0.2 mg/L and ten per cent (from memory)', () => {
    expect([allowed('epa-region4@2026-3', 'oxygen', 1), allowed('epa-region4@2026-3', 'oxygen', 6)]).toEqual([
      0.2,
      expect.closeTo(0.6, 12),
    ]);
  });

  it('of the USGS National Field Manual: conductivity and oxygen by cases of their level (table 6.0-1; oxygen from memory)', () => {
    const usgs = 'usgs-nfm@2026-3';
    expect([allowed(usgs, 'conductivity', 100), allowed(usgs, 'conductivity', 101)]).toEqual([5, expect.closeTo(3.03, 12)]);
    expect([allowed(usgs, 'oxygen', 0.8), allowed(usgs, 'oxygen', 4)]).toEqual([0.2, 0.3]);
    expect([allowed(usgs, 'turbidity', 3), allowed(usgs, 'turbidity', 40)]).toEqual([0.5, 4]);
  });

  it('hold one another against their range where the text says so: a drift of three small steps is none', () => {
    const drift = [7.0, 7.06, 7.12].map((ph) => ({ ph }));
    expect(judgeStability(criterion('iso-5667-11@2026-3'), drift, ['ph']).stable).toBe(false);
    expect(judgeStability(criterion('epa-1996@2026-3'), drift, ['ph']).stable).toBe(true);
  });

  it('are told as drifting where each is held against the one before and all go one way, further than they may differ', () => {
    const of = (ref: string, id: 'ph' | 'oxygen', ...values: number[]) =>
      judgeStability(
        criterion(ref),
        values.map((value) => ({ [id]: value })),
        [id],
      ).parameters[0]!;
    const epa = 'epa-1996@2026-4';
    expect(of(epa, 'ph', 7.3, 7.4, 7.5)).toMatchObject({
      state: 'drifting',
      because: { code: 'drifting', data: { by: expect.closeTo(0.2, 9) as number } },
    });
    expect(of(epa, 'oxygen', 4, 4.4, 4.84).state).toBe('drifting');
    expect(of(epa, 'oxygen', 4.84, 4.4, 4).state).toBe('drifting');
    // It turns back, or goes no further than readings may differ.
    expect([of(epa, 'ph', 7.3, 7.4, 7.35).state, of(epa, 'ph', 7.3, 7.34, 7.38).state]).toEqual(['holding', 'holding']);
    expect(of(epa, 'ph', 7.3, 7.45, 7.5).state).toBe('moving');
    // Two sets are no drift, and what was released before judges as it did.
    expect([of('two-sets@2026-4', 'ph', 7.3, 7.4).state, of('epa-1996@2026-3', 'ph', 7.3, 7.4, 7.5).state]).toEqual(['holding', 'holding']);
    expect(sayStability(of(epa, 'ph', 7.3, 7.4, 7.5).because)).toBe('drifting: 0.20 pH one way over 3 sets, ± 0.10 allowed');
  });
});

describe('sets that follow one another too soon', () => {
  const rule = criterion('two-sets@2026-3');
  const at = (...seconds: number[]) => seconds.map((one) => ({ at: one * 1000, pumped: one * 1e-5 }));

  it('do not count, from the last that did', () => {
    expect(countingSets(spacingOf(rule, null), at(0, 30, 59, 60, 100, 120))).toEqual([true, false, false, true, false, true]);
    expect(countingSets(spacingOf(criterion('two-sets@2026-2'), null), at(0, 1))).toEqual([true, true]);
  });

  it('count all the same where the criterion is content with a volume', () => {
    const region4 = criterion('epa-region4@2026-3');
    expect(countingSets(spacingOf(region4, { of: 'casing', volume: 60e-5 }), at(0, 60, 120))).toEqual([true, true, true]);
    expect(countingSets(spacingOf(region4, null), at(0, 60, 120, 300))).toEqual([true, false, false, true]);
  });

  it('do not count before pump, tubing and cell are renewed, however long that takes: common practice', () => {
    // EPA/540/S-95/504 asks for three to five minutes; a drive train of 3.89 L at 0.30 L/min takes 12:58.
    const train = { of: 'drive-train', volume: 3.89e-3 } as const;
    const moments = [0, 180, 360, 540, 779].map((seconds) => ({ at: seconds * 1000, pumped: (seconds * 0.3e-3) / 60 }));
    expect(countingSets(spacingOf(criterion('epa-1996@2026-3'), train), moments)).toEqual([true, false, false, false, true]);
    expect(countingSets(spacingOf(criterion('two-sets@2026-2'), train), moments)).toEqual([true, false, false, false, true]);
  });

  it('count when the clock says so, and not a second before', () => {
    const flows = fc.double({ min: 1e-6, max: 1e-4, noNaN: true });
    const trains = fc.option(fc.double({ min: 1e-4, max: 2e-2, noNaN: true }), { nil: null });
    fc.assert(
      fc.property(fc.constantFrom(...criteria.newest), trains, flows, fc.integer({ min: 0, max: 3600 }), (rule, train, flow, waited) => {
        const spacing = spacingOf(rule, train === null ? null : { of: 'drive-train', volume: train });
        const last = { at: 1_000_000, pumped: 0.01 };
        const pumping = { since: 0, isOff: false, flow, total: last.pumped, asOf: last.at };
        const until = nextCounts(spacing, last, pumping)!;
        const next = (at: number) => ({ at, pumped: pumpedAt(pumping, at)! });
        expect(tooSoon(spacing, last, next(until + waited * 1000 + 1))).toBeNull();
        if (until - last.at > 2000) expect(tooSoon(spacing, last, next(until - 1000))).not.toBeNull();
      }),
    );
  });

  it('prove nothing and may disprove', () => {
    const set = (ph: number) => ({ temperature: 15, ph, oxygen: 4 });
    const judge = (...sets: [number, boolean][]) =>
      judgeStability(
        rule,
        sets.map(([ph]) => set(ph)),
        undefined,
        { counts: sets.map(([, counts]) => counts) },
      );
    expect(judge([7, true], [7, false]).heldUpBy.map(({ state, because }) => [state, sayStability(because)])[0]).toEqual([
      'short',
      '1 of 2 sets',
    ]);
    expect(judge([7, true], [7, true]).stable).toBe(true);
    expect(judge([7, true], [7, true], [7.3, false]).stable).toBe(false);
  });
});

describe('what the meter cannot tell', () => {
  const judge = (step: number, ...oxygen: number[]) =>
    judgeStability(
      criterion('epa-1996@2026-3'),
      oxygen.map((one) => ({ oxygen: one })),
      ['oxygen'],
      { steps: { oxygen: step } },
    );

  it('holds at its first step, whatever the per cent', () => {
    expect(judge(0.1, 0.1, 0, 0.1).parameters.map(({ state, because }) => [state, sayStability(because)])).toEqual([
      ['holding', 'at or below 0.10 mg/L: below what the meter can tell'],
    ]);
    expect(judge(0.1, 0.3, 0.1, 0.2).stable).toBe(false);
  });

  it('is not told by a meter that is read in whole numbers', () => {
    expect(judge(1, 1, 0, 1).stable).toBe(false);
  });

  it.each([
    ['oxygen', 0.1, 0.105, 'epa-1996@2026-3'],
    ['turbidity', 0.1, 0.105, 'usgs-nfm@2026-3'],
    ['conductivity', 1, 2, 'usgs-nfm@2026-3'],
  ] as const)('%s is told so up to steps of %d, and not of %d', (parameter, step, coarser, ref) => {
    const isStable = (by: number) =>
      judgeStability(
        criterion(ref),
        [1, 0, 1, 0, 1].map((value) => ({ [parameter]: value * by })),
        [parameter],
        { steps: { [parameter]: by } },
      ).parameters[0]!.because.code;
    expect(isStable(step)).not.toBe(isStable(coarser));
  });

  it('of the field manual lets conductivity differ by 5 % up to 100 µS/cm and by 3 % above (USGS, table 6.0-1, from memory)', () => {
    const isStable = (middle: number, part: number) =>
      judgeStability(
        criterion('usgs-nfm@2026-3'),
        [1, 1 + part, 1, 1 + part, 1].map((one) => ({ conductivity: one * middle })),
        ['conductivity'],
      ).stable;
    expect([isStable(99, 0.04), isStable(99, 0.06), isStable(105, 0.04), isStable(105, 0.02)]).toEqual([true, false, false, true]);
  });
});

const set = fc.record({
  temperature: fc.double({ min: 5, max: 25, noNaN: true }),
  ph: fc.double({ min: 5, max: 9, noNaN: true }),
  conductivity: fc.double({ min: 50, max: 1500, noNaN: true }),
  oxygen: fc.double({ min: 0, max: 10, noNaN: true }),
  turbidity: fc.double({ min: 0, max: 50, noNaN: true }),
  redox: fc.double({ min: -200, max: 300, noNaN: true }),
});
/** Sets near one another, so that some agree and some do not. */
const sets = fc
  .tuple(
    set,
    fc.array(fc.record({ by: fc.double({ min: -0.06, max: 0.06, noNaN: true }), after: fc.integer({ min: 20, max: 400 }) }), {
      minLength: 1,
      maxLength: 9,
    }),
  )
  .map(([first, changes]) => {
    let now = 0;
    return changes.map(({ by, after }) => {
      now += after;
      return {
        moment: { at: now * 1000, pumped: now * 1e-5 },
        set: Object.fromEntries(Object.entries(first).map(([id, value]) => [id, value * (1 + by)])),
      };
    });
  });
const rules = criteria.newest;
const judged = (rule: Criterion, read: readonly { moment: { at: number; pumped: number }; set: ReadingSet }[]) =>
  judgeStability(
    rule,
    read.map((one) => one.set),
    undefined,
    {
      counts: countingSets(
        spacingOf(rule, null),
        read.map((one) => one.moment),
      ),
    },
  );

describe('whatever is read', () => {
  it('a set that says the same as the last never makes unstable what was stable, however soon it comes', () => {
    // The median of five may move with a sixth: see the next.
    const steady = rules.filter(({ against }) => against !== 'median');
    fc.assert(
      fc.property(sets, fc.constantFrom(...steady), fc.integer({ min: 1, max: 600 }), (read, rule, after) => {
        fc.pre(judged(rule, read).stable);
        const last = read.at(-1)!;
        const again = { ...last, moment: { at: last.moment.at + after * 1000, pumped: last.moment.pumped + after * 1e-5 } };
        expect(judged(rule, [...read, again]).stable).toBe(true);
      }),
      { numRuns: 600 },
    );
  });

  it('the median of five tells with a sixth set what five hid: the one case in which it does', () => {
    const ph = [6.95, 6.95, 7.05, 7.15, 7.15].map((one) => ({ ph: one }));
    const usgs = criterion('usgs-nfm@2026-3');
    expect(judgeStability(usgs, ph, ['ph']).stable).toBe(true);
    expect(judgeStability(usgs, [...ph.slice(1), { ph: 7.15 }], ['ph']).stable).toBe(false);
  });

  it('a tighter tolerance never makes stable', () => {
    fc.assert(
      fc.property(sets, fc.constantFrom(...rules), fc.double({ min: 0.05, max: 1, noNaN: true }), (read, rule, part) => {
        const less = (one?: number) => (one === undefined ? {} : one * part);
        const tighter: Criterion = {
          ...rule,
          tolerances: rule.tolerances.map(({ absolute, percent, cases, ...rest }) => ({
            ...rest,
            ...(absolute === undefined ? {} : { absolute: less(absolute) as number }),
            ...(percent === undefined ? {} : { percent: less(percent) as number }),
            ...(cases
              ? {
                  cases: cases.map(({ most, ...one }) => ({
                    most,
                    ...Object.fromEntries(Object.entries(one).map(([key, value]) => [key, value * part])),
                  })),
                }
              : {}),
          })),
        };
        fc.pre(judged(tighter, read).stable);
        expect(judged(rule, read).stable).toBe(true);
      }),
      { numRuns: 600 },
    );
  });

  it('the order of the parameters does not matter', () => {
    fc.assert(
      fc.property(sets, fc.constantFrom(...rules), (read, rule) => {
        const turned: Criterion = { ...rule, tolerances: [...rule.tolerances].reverse() };
        const backwards = read.map(({ moment, set: one }) => ({
          moment,
          set: Object.fromEntries(Object.entries(one).reverse()),
        }));
        expect(judged(turned, backwards).stable).toBe(judged(rule, read).stable);
      }),
    );
  });
});

describe('the unit in which a set is typed', () => {
  it('does not matter: nor for the verdict, nor for what the meter can tell', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 900, max: 1100 }), { minLength: 3, maxLength: 8 }),
        fc.constantFrom(...rules),
        (read, rule) => {
          const typed = (text: (value: number) => string, unit: 'uS/cm' | 'mS/m' | 'mS/cm') =>
            read.map((value) => ({ values: { conductivity: { text: text(value), unit } } }));
          const verdicts = [
            typed((value) => (value / 10).toFixed(1), 'uS/cm'),
            typed((value) => (value / 100).toFixed(2), 'mS/m'),
            typed((value) => (value / 10_000).toFixed(4), 'mS/cm'),
          ].map((all) =>
            judgeStability(rule, readingSets(all), ['conductivity'], { steps: readingSteps(all) }).parameters.map(({ state }) => state),
          );
          expect(verdicts[1]).toEqual(verdicts[0]);
          expect(verdicts[2]).toEqual(verdicts[0]);
        },
      ),
    );
  });
});

describe('all criteria on the same readings', () => {
  // A purge of invented numbers, judged by hand: times in min, then temperature, pH, conductivity, oxygen, turbidity, redox.
  const record: [number, number, number, number, number, number, number][] = [
    [0, 17.2, 7.31, 612, 5.2, 38, 165],
    [5, 16.4, 7.12, 588, 4.4, 22, 148],
    [10, 16.1, 7.05, 579, 3.9, 14, 139],
    [15, 16.0, 7.02, 575, 3.62, 9.5, 133],
    [20, 15.9, 7.01, 574, 3.55, 8.9, 129],
    [25, 15.9, 7.0, 573, 3.5, 8.6, 126],
    [30, 15.9, 7.0, 573, 3.48, 8.4, 124],
  ];
  const read: ReadingSet[] = record.map(([, temperature, ph, conductivity, oxygen, turbidity, redox]) => ({
    temperature,
    ph,
    conductivity,
    oxygen,
    turbidity,
    redox,
  }));
  const moments = record.map(([time]) => ({ at: minutes(time), pumped: time * 1e-3 }));
  const first = (only?: (set: ReadingSet) => ReadingSet) =>
    Object.fromEntries(compareCriteria(rules, only ? read.map(only) : read, moments, null).map((one) => [one.rule.id, one.first]));

  it('say when each would have let you sample', () => {
    expect(first()).toEqual({
      // Turbidity 9.5 → 8.9 → 8.6 is within 10 % a step, and drifts: 0.9 one way, where 0.86 is allowed. 8.9 → 8.6 → 8.4 are 0.5.
      'epa-1996': 6,
      // Temperature within 3 %, turbidity as above.
      'epa-region1-2017': 6,
      // Range of three sets: turbidity free at or below 10 only from 9.5 on; oxygen 3.62 to 3.50.
      'epa-region4': 5,
      // Five sets from the third to the seventh: temperature 16.1 to 15.9 about 15.9, turbidity 14 is far from 8.9: never.
      'usgs-nfm': null,
      // Range of three: temperature 16.1 to 15.9, pH 7.05 to 7.01, conductivity 579 to 574, oxygen 3.9 to 3.55 is too far; a set later it holds.
      'nems-groundwater': 5,
      // Range of three: temperature 16.1 to 15.9 is 0.2, pH 0.04, conductivity under 5 %.
      'iso-5667-11': 4,
      // Two sets: oxygen 3.62 → 3.55 is 1.9 %, 3.9 → 3.62 is 7.2 %.
      'two-sets': 4,
      // Oxygen 3.9 → 3.62 → 3.55 is within 10 % a step, and 0.35 one way of 0.355; redox 139 to 129 within 20 a step.
      'astm-d6771': 4,
    });
  });

  it('give one verdict of the one in use: that of the purge, by the parameters that were chosen for it', () => {
    const rule = rules.find(({ id }) => id === 'epa-1996')!;
    const without = read.map(({ redox: _, ...rest }) => rest);
    const parameters = rule.tolerances.map(({ parameter }) => parameter).filter((id) => id !== 'redox');
    const of = (inUse: Parameters<typeof compareCriteria>[4]) => compareCriteria([rule], without, moments, null, inUse)[0]!;
    const judged = judgeStability(rule, without, parameters);
    // Beside the same rows the page said “Stable” and “cannot tell: redox not read”.
    expect(of({ inUse: { rule, parameters } })).toMatchObject({ now: { stable: judged.stable } });
    expect(judged.stable).toBe(true);
    expect(of({})).toMatchObject({ unread: ['redox'], now: null });
    // What was chosen and not read is told of it as well.
    expect(of({ inUse: { rule, parameters: [...parameters, 'redox'] } })).toMatchObject({ unread: ['redox'], now: null });
  });

  it('say nothing of what was not read', () => {
    const without = compareCriteria(
      rules,
      read.map(({ redox: _, ...rest }) => rest),
      moments,
      null,
    );
    expect(
      without.filter(({ unread }) => unread.length > 0).map(({ rule, unread, first: when, now }) => [rule.id, unread, when, now]),
    ).toEqual([
      ['epa-1996', ['redox'], null, null],
      ['epa-region1-2017', ['redox'], null, null],
      ['astm-d6771', ['redox'], null, null],
    ]);
  });
});
