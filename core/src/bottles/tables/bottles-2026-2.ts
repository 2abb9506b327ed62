import type { BottleRule } from '../rule.ts';
import { rules2026 } from './rules.ts';

export const rules = {
  ...rules2026,
  lead: {
    name: 'Lead at the tap',
    letter: 'L',
    order: 0,
    container: 'Wide-mouth polyethylene',
    volume: 1000,
    preservative: null,
    rinse: 'Never rinse',
    fill: 'All of the first water, to the line',
    mark: 0.9,
    headspace: 'A little air',
    filter: null,
    mix: null,
    temperature: 'any',
    temperatureText: 'Needs no cooling',
    holdingHours: 14 * 24,
    holdingFor: 'Acidifying at the lab',
    parameters: ['lead', 'copper'],
    source: '40 CFR 141.86(b)(2): acidified within 14 days of collection (from memory); bottle: common practice',
  },
} as const satisfies Record<string, BottleRule>;
