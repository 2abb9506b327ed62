import { shelf, type Edition } from '../../editions/index.ts';

/** How levels are compared with one another. Lengths in m. */
export interface Tolerances extends Edition {
  /** How close two readings have to be, by the unit they were read in. */
  agreement: { metric: number; feet: number };
  /** How far a level may move between visits before it is asked about: `least`, or so many times the largest step on record. */
  jump: { least: number; timesLargestStep: number };
  /** A level that changes by less than this, in m/min, is at rest again. */
  recovery?: { perMinute: number };
}

/**
 * 0.01 ft: USGS TM 1-A1 (2011), GWPD 4 (repeat until readings agree; the figure from memory). 5 mm: the metric counterpart
 * on tapes marked in millimetres, common practice. The jump: common practice.
 */
const tolerances2026: Tolerances = {
  id: 'tolerances',
  edition: '2026-1',
  from: '2020-01-01',
  source: 'USGS TM 1-A1 (2011), GWPD 4; common practice',
  agreement: { metric: 0.005, feet: 0.01 * 0.3048 },
  jump: { least: 0.3, timesLargestStep: 1.5 },
};

/** As before; and 1 mm in a minute while a well recovers: common practice, what a tape tells. */
const tolerances2026second: Tolerances = { ...tolerances2026, edition: '2026-2', recovery: { perMinute: 0.001 } };

export const tolerances = shelf([tolerances2026, tolerances2026second]);
