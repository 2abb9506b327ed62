import type { BottleRule } from '../rule.ts';
import { rules as before } from './bottles-2026-4/rules.ts';

/**
 * As the edition before; Legionella of a surface is a swab: no litre, nothing to turn over; and what is taken twice at one outlet, before and
 * after flushing or as the first and the fifth litre, is asked for as such.
 */
export const rules = {
  ...before,
  legionella: {
    ...before.legionella,
    at: {
      surface: {
        name: 'Legionella, swab',
        container: 'Sterile swab in its tube',
        volume: 10,
        preservative: null,
        rinse: 'Never',
        fill: 'The swab broken off into its tube, with a little of the water or the lab’s liquid: it must not dry',
        mark: 0.2,
        headspace: 'Closed at once',
        mix: null,
        isSwab: true,
        source: 'ISO 11731:2017, ISO 18593:2018 (swabs; from memory); times as for water',
      },
    },
  },
  legionellaFlushed: { ...before.legionella, name: 'Legionella, after flushing', letter: 'LF', order: 0.6 },
  leadFifth: {
    ...before.lead,
    name: 'Lead, fifth litre',
    letter: 'LV',
    order: 0.1,
    fill: 'All of the fifth litre, to the line',
    source: '40 CFR 141.86(b)(3): the fifth litre at a lead service line (from memory); bottle: common practice',
  },
} as const satisfies Record<string, BottleRule>;
