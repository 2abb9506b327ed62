import type { Fraction } from './tables/fractions.ts';
import type { ParameterId } from '../parameters/index.ts';

/** A bottle that results may belong to: its kind, what can be told from it, and when it was filled, by the site's wall clock. */
export interface BottleAtLab {
  name: string;
  /** All that may be read of it. */
  parameters: readonly ParameterId[];
  /** What is waited for; all of them where it is left out. */
  asked?: readonly ParameterId[];
  /** What of a metal is in it, where it is for metals: filtered or not. */
  fraction?: Fraction;
  /** One of what was asked for is enough. */
  isAnyOf?: true;
  /** The label of the sample that several vials make together: a report may name either. */
  set?: string;
  /** `YYYY-MM-DD`; empty where nobody said it yet. */
  filledOn: string;
  /** `HH:MM`. */
  filledTime?: string;
  /** What the lab calls it: the code of a stub or sticker of its own. */
  code?: string;
  visit?: string;
  /** A bottle of the round of which the lab can have no result: it was refused, thrown away, or never handed over. */
  isElsewhere?: boolean;
}
export type BottlesByLabel = ReadonlyMap<string, BottleAtLab>;
