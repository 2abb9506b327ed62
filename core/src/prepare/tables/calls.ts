import type { AnalysisId } from '../../bottles/index.ts';
import type { PointKind } from '../../registers/index.ts';

/** Somebody who is called whether or not a point has a contact: what they know decides whether the way is worth it. */
export interface CallRow {
  whom: string;
  ask: string;
  /** One of these is sampled, or it is a point of one of these kinds. */
  analyses?: readonly AnalysisId[];
  kinds?: readonly PointKind[];
  source: string;
}

const practice = 'Common practice';

export const calls = {
  'operator-pfas': {
    whom: 'Operator of the supply',
    ask: 'Which well feeds this place now, and does it pump while we are there?',
    analyses: ['pfas533', 'pfas537'],
    source: practice,
  },
  'operator-well': {
    whom: 'Operator of the well',
    ask: 'Does it run, since when, and may we run it on?',
    kinds: ['supply-well'],
    source: practice,
  },
  biocide: {
    whom: 'Who doses the biocide',
    ask: 'What was dosed last, and when? A sample right after it finds less than there is.',
    analyses: ['legionella'],
    source: practice,
  },
  'risk-assessor': {
    whom: 'Who keeps the risk assessment',
    ask: 'Which outlets does it name, who is vulnerable there, and which mask does it ask for?',
    analyses: ['legionella'],
    source: practice,
  },
} as const satisfies Record<string, CallRow>;
