import type { ParameterId } from '../parameters/index.ts';

/** A bottle that results may belong to: its kind, what can be told from it, and when it was filled, by the site's wall clock. */
export interface BottleAtLab {
  name: string;
  parameters: readonly ParameterId[];
  /** `YYYY-MM-DD`. */
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
