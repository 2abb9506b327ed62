import type { AgreedLevel } from '../../level/index.ts';
import type { WellPoint } from '../../registers/index.ts';
import type { Computed } from '../../working/index.ts';
import type { PurgeChoice, PurgeMethodId } from '../entries.ts';

/** What is to be pumped before a sample, where a method says so. */
export interface PurgeAim {
  insideDiameter: number;
  volumes: number;
  column: Computed;
  oneVolume: Computed;
  target: Computed;
}

/** A school of purging: when it is used, what it needs, and what it aims at. Stable readings are asked for by all of them. */
export interface PurgeMethod<M extends PurgeMethodId = PurgeMethodId> {
  id: M;
  title: string;
  /** For which wells it is meant. */
  meantFor: string;
  source: string;
  /** Whether the level must stand before it can be set up. */
  needsLevel: boolean;
  /** The volume to remove; null where the method has none, or where what it follows from is not there. */
  aim: (chosen: Extract<PurgeChoice, { method: M }>, point: WellPoint, level: AgreedLevel | null) => PurgeAim | null;
}
