import type { Criterion } from '../stability/criterion.ts';
import { criteria2026third } from './criteria-2026-3.ts';

const fourth = { edition: '2026-4' };

/** What is different from the edition before, by criterion. */
const changes: Readonly<Record<string, Partial<Criterion>>> = {
  // The procedure reads every five minutes.
  'epa-region1-2017': { between: { seconds: 300 } },
  'iso-5667-11': {
    name: 'Constant readings, three sets',
    source:
      'Common practice: three readings within their range of one another. ISO 5667-11:2009 asks for constant readings and gives no figures',
  },
};

/**
 * As before; and where each set is held against the one before, readings that go one way all along, further than they may differ, are
 * drifting: no step of a drift is too large, and it is not stable.
 */
export const criteria2026fourth: readonly Criterion[] = [
  ...criteria2026third.map((one): Criterion => ({
    ...one,
    ...fourth,
    ...(one.against === 'previous' && one.sets > 2 ? { isDriftTold: true as const } : {}),
    ...changes[one.id],
  })),
  {
    id: 'astm-d6771',
    ...fourth,
    from: '2020-01-01',
    name: 'ASTM D6771, three sets',
    sets: 3,
    against: 'previous',
    isDriftTold: true,
    between: { seconds: 180 },
    tolerances: [
      { parameter: 'ph', absolute: 0.2 },
      { parameter: 'conductivity', percent: 3, blind: 1 },
      { parameter: 'redox', absolute: 20 },
      { parameter: 'oxygen', absolute: 0.2, percent: 10 },
    ],
    source:
      'ASTM D6771 (low-flow purging; figures from memory): three readings, three to five minutes apart; oxygen by the larger of two figures',
  },
];
