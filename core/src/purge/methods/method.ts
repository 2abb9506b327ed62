import type { Coded } from '../../findings/index.ts';
import type { AgreedLevel } from '../../level/index.ts';
import type { WellPoint } from '../../registers/index.ts';
import type { Computed } from '../../working/index.ts';
import type { PurgeChoice, PurgeMethodId } from '../entries.ts';

/** What is to be pumped before a sample, where a method says so. */
export interface PurgeAim {
  /** What the water is counted by: what stands in the well, or what pump, tubing and flow cell hold. */
  of: 'casing' | 'drive-train';
  volumes: number;
  oneVolume: Computed;
  target: Computed;
  /** The water column, where the volume is one of it. */
  column: Computed | null;
}

/** What of a purge a method's conditions look at: depths in m below the mark, volumes in m³, moments in ms. */
export interface Progress {
  pumped: number;
  aim: PurgeAim | null;
  /** At rest, before; null where it was left out. */
  atRest: number | null;
  /** While pumping and after, oldest first. */
  levels: readonly { at: number; depth: number }[];
  /** Lowest level read. */
  lowest: number | null;
  /** When the first of the sets that have to agree was read; null before there is one. */
  provenFrom: number | null;
  /** When it ran dry. */
  ranDry: number | null;
}

/** Something a method asks for beside readings that hold. */
export interface Condition extends Coded {
  met: boolean;
}

type Chosen<M extends PurgeMethodId> = Extract<PurgeChoice, { method: M }>;

/** A school of purging: when it is used, what it needs, and what it aims at. */
export interface PurgeMethod<M extends PurgeMethodId = PurgeMethodId> {
  id: M;
  title: string;
  /** For which wells it is meant. */
  meantFor: string;
  source: string;
  /** Whether the level must stand before it can be set up. */
  needsLevel: boolean;
  /** Whether readings have to hold before the sample. */
  judges: boolean;
  /** Whether what is pumped is counted. */
  counts: boolean;
  /** The volume to remove; null where the method has none, or where what it follows from is not there. */
  aim: (chosen: Chosen<M>, point: WellPoint, level: AgreedLevel | null) => PurgeAim | null;
  /** What has to be so beside that. */
  conditions: (chosen: Chosen<M>, progress: Progress) => Condition[];
}

/** So much of the aim has to be out. */
export function volumesOut({ aim, pumped }: Progress): Condition[] {
  if (!aim) return [];
  return [
    {
      code: `${aim.of}-out`,
      met: pumped >= aim.target.value - 1e-9,
      data: { left: Math.max(0, aim.target.value - pumped), volumes: aim.volumes },
    },
  ];
}

/** The level has to be read while the pump runs. */
export const levelRead = ({ levels }: Progress): Condition => ({ code: 'level-read', met: levels.length > 0 });
