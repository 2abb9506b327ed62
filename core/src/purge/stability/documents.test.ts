import { describe, expect, it } from 'vitest';
import type { ParameterId } from '../../parameters/index.ts';
import { allowedAt, apartOf, criteria } from '../index.ts';

/*
 * How far readings may differ, as the texts say it, typed by hand and not taken from the tables: EPA/540/S-95/504 (1996); EQASOP-GW4, rev. 4
 * (2017); LSASDPROC-301; the USGS National Field Manual, ch. A6, table 6.0-1; NEMS Groundwater (2019); ISO 5667-11. Figures from memory, where
 * nobody could look a text up here; “two sets” is common practice.
 */
interface Printed {
  /** How many sets, and how many minutes apart. */
  sets: number;
  minutes?: number;
  /** At a reading of so much, so much is allowed. */
  allows: Partial<Record<ParameterId, readonly (readonly [at: number, allowed: number])[]>>;
  /** Readings up to so much hold, whatever the rest. */
  clear?: Partial<Record<ParameterId, number>>;
}

const epa1996: Printed['allows'] = {
  ph: [[7, 0.1]],
  conductivity: [[1000, 30]],
  redox: [[200, 10]],
  oxygen: [[5, 0.5]],
  turbidity: [[50, 5]],
};
const region1: Printed['allows'] = { ...epa1996, temperature: [[20, 0.6]] };
const cold = { temperature: [[15, 0.2]], ph: [[7, 0.1]] } as const;
const dilute = [
  [100, 5],
  [1000, 30],
] as const;

const printed: Record<string, Printed> = {
  'epa-1996@2026-1': { sets: 3, allows: epa1996 },
  'epa-1996@2026-2': { sets: 3, minutes: 3, allows: epa1996 },
  'epa-1996@2026-3': { sets: 3, minutes: 3, allows: epa1996 },
  'epa-region1-2017@2026-1': { sets: 3, allows: region1, clear: { oxygen: 0.5, turbidity: 5 } },
  'epa-region1-2017@2026-2': { sets: 3, minutes: 3, allows: region1, clear: { oxygen: 0.5, turbidity: 5 } },
  'epa-region1-2017@2026-3': { sets: 3, minutes: 3, allows: region1, clear: { oxygen: 0.5, turbidity: 5 } },
  'epa-region4@2026-3': {
    sets: 3,
    minutes: 5,
    allows: {
      ph: [[7, 0.1]],
      conductivity: [[1000, 50]],
      // The larger of 0.2 mg/L and ten per cent.
      oxygen: [
        [1, 0.2],
        [8, 0.8],
      ],
      turbidity: [[50, 5]],
    },
    clear: { turbidity: 10 },
  },
  'usgs-nfm@2026-1': {
    sets: 5,
    allows: { ...cold, conductivity: [[1000, 50]], oxygen: [[5, 0.3]], turbidity: [[50, 5]] },
    clear: { turbidity: 5 },
  },
  'usgs-nfm@2026-2': { sets: 5, minutes: 3, allows: { ...cold, conductivity: [...dilute], oxygen: [[5, 0.3]], turbidity: [[50, 5]] } },
  'usgs-nfm@2026-3': {
    sets: 5,
    minutes: 3,
    allows: {
      ...cold,
      conductivity: [...dilute],
      oxygen: [
        [1, 0.2],
        [1.05, 0.3],
        [5, 0.3],
      ],
      turbidity: [
        [5, 0.5],
        [5.2, 0.52],
        [50, 5],
      ],
    },
  },
  'nems-groundwater@2026-3': { sets: 3, minutes: 3, allows: { ...cold, conductivity: [[1000, 30]], oxygen: [[5, 0.3]] } },
  'iso-5667-11@2026-3': { sets: 3, minutes: 3, allows: { ...cold, conductivity: [[1000, 50]] } },
  'two-sets@2026-1': { sets: 2, allows: { ...cold, oxygen: [[4, 0.2]] } },
  'two-sets@2026-2': { sets: 2, minutes: 1, allows: { ...cold, oxygen: [[4, 0.2]] } },
  'two-sets@2026-3': { sets: 2, minutes: 1, allows: { ...cold, oxygen: [[4, 0.2]] } },
};

const before = (id: string) => printed[`${id}@2026-3`]!;
Object.assign(printed, {
  'epa-1996@2026-4': before('epa-1996'),
  // The procedure reads every five minutes.
  'epa-region1-2017@2026-4': { ...before('epa-region1-2017'), minutes: 5 },
  'epa-region4@2026-4': before('epa-region4'),
  'usgs-nfm@2026-4': before('usgs-nfm'),
  'nems-groundwater@2026-4': before('nems-groundwater'),
  'iso-5667-11@2026-4': before('iso-5667-11'),
  'two-sets@2026-4': before('two-sets'),
  'astm-d6771@2026-4': {
    sets: 3,
    minutes: 3,
    allows: {
      ph: [[7, 0.2]],
      conductivity: [[1000, 30]],
      redox: [[200, 20]],
      oxygen: [
        [1, 0.2],
        [8, 0.8],
      ],
    },
  } satisfies Printed,
});

describe('a criterion asks for what its text says', () => {
  it.each(Object.entries(printed))('%s', (ref, { sets, minutes, allows, clear = {} }) => {
    const criterion = criteria.find(ref)!;
    expect([criterion.sets, apartOf(criterion)]).toEqual([sets, minutes === undefined ? null : minutes * 60]);
    const told = criterion.tolerances.map((one) => [
      one.parameter,
      (allows[one.parameter] ?? []).map(([at]) => [at, Number(allowedAt(one, at).toFixed(6))]),
      one.floor,
    ]);
    expect(new Set(told.map(([parameter]) => parameter))).toEqual(new Set(Object.keys(allows)));
    for (const [parameter, points, floor] of told) {
      expect([parameter, points, floor]).toEqual([parameter, allows[parameter as ParameterId], clear[parameter as ParameterId]]);
    }
  });

  it('in every edition that was ever released', () => {
    expect(criteria.all.map(({ id, edition }) => `${id}@${edition}`).sort()).toEqual(Object.keys(printed).sort());
  });
});
