import type { Typed } from '../units/index.ts';
import type { LevelTool, WaterState } from './entries.ts';

/** A level that was read, as its book keeps it. */
export interface LevelReading {
  entry: string;
  at: number;
  /** The device it was written on: two that were apart each have readings of their own that agree. */
  device: string;
  measuringPoint: string;
  typed: Typed;
  /** m below the mark. */
  depth: number;
  water: WaterState;
  by?: LevelTool;
  kept?: string;
}
