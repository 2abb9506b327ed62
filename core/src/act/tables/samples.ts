import type { CauseId } from '../../due/index.ts';

/** What a follow-up asks to be sampled. */
export interface AskedSample {
  as: CauseId;
  /** At the same point, or at the raw water of the same supply. */
  at: 'point' | 'raw';
}

/** By the rule that asks; the same in every edition of the rules. What no row names asks for no sample. */
export const askedSamples: Readonly<Record<string, AskedSample>> = {
  'coliform-repeats': { as: 'repeat', at: 'point' },
  'doubtful-again': { as: 'repeat', at: 'point' },
  'duplicate-again': { as: 'repeat', at: 'point' },
  'coliform-source': { as: 'triggered', at: 'raw' },
};
