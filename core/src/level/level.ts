import type { Entry } from '../book/index.ts';
import type { WellPoint } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { base, type Typed } from '../units/index.ts';
import type { Computed } from '../working/index.ts';
import { agree } from './agreement.ts';
import { depthBelowGround, waterLevelElevation } from './depth.ts';
import { levelRead, type WaterState } from './entries.ts';

export interface LevelReading {
  entry: string;
  at: number;
  measuringPoint: string;
  typed: Typed;
  /** m below the mark. */
  depth: number;
  water: WaterState;
  kept?: string;
}

/** The level two readings agree on. */
export interface AgreedLevel {
  at: number;
  measuringPoint: string;
  depth: number;
  typed: Typed;
  water: WaterState;
  belowGround: Computed;
  elevation: Computed;
}

export interface LevelState {
  readings: LevelReading[];
  agreed: AgreedLevel | null;
}

/**
 * The level of one visit. The level is the later of the last two readings at one mark that agree; later readings that
 * agree with nothing do not unmake it. `entries` are corrected ones of the visit.
 */
export function foldLevel(entries: readonly Entry[], point: WellPoint): LevelState {
  const readings = entries.filter(levelRead.is).map((entry): LevelReading => ({
    entry: entry.id,
    at: millis(entry.at),
    measuringPoint: entry.payload.measuringPoint,
    typed: entry.payload.depth,
    depth: base(entry.payload.depth),
    water: entry.payload.water,
    ...(entry.payload.kept ? { kept: entry.payload.kept } : {}),
  }));
  const found = readings.findLast((reading, index) => {
    const before = readings[index - 1];
    return before && before.measuringPoint === reading.measuringPoint && agree(before.typed, reading.typed);
  });
  const mark = point.well.measuringPoints.find((candidate) => candidate.name === found?.measuringPoint);
  if (!found || !mark) return { readings, agreed: null };
  const { at, measuringPoint, depth, typed, water } = found;
  return {
    readings,
    agreed: {
      at,
      measuringPoint,
      depth,
      typed,
      water,
      belowGround: depthBelowGround({ depth, stickUp: mark.stickUp }),
      elevation: waterLevelElevation({ depth, elevation: mark.elevation }),
    },
  };
}
