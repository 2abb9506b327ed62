import type { WaterState } from '@fonte/core/level';
import { EntitySchema } from 'typeorm';
import { derived, float, integer, text, type DerivedRow } from '../store/index.ts';

export interface LevelRow extends DerivedRow {
  point: string;
  mark: string;
  at: number;
  depth: number;
  elevation: number | null;
  water: WaterState;
}
export const LevelTable = new EntitySchema<LevelRow>({
  name: 'levels',
  columns: { ...derived, point: text, mark: text, at: integer, depth: float, elevation: float, water: text },
});
