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
    ask: 'Which well supplies this point, and will it be pumping during the visit?',
    analyses: ['pfas533', 'pfas537'],
    source: practice,
  },
  'operator-well': {
    whom: 'Operator of the well',
    ask: 'Is it running, since when, and may it keep running?',
    kinds: ['supply-well'],
    source: practice,
  },
  biocide: {
    whom: 'Biocide contractor',
    ask: 'What was dosed last, and when? Sampling soon after dosing gives low counts.',
    analyses: ['legionella', 'legionellaFlushed'],
    source: practice,
  },
  'risk-assessor': {
    whom: 'Risk assessor',
    ask: 'Which outlets does the assessment name, who is vulnerable there, and which mask does it require?',
    analyses: ['legionella', 'legionellaFlushed'],
    source: practice,
  },
} as const satisfies Record<string, CallRow>;
