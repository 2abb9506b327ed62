import { EntitySchema } from 'typeorm';
import { derived, float, integer, text, type DerivedRow } from '../store/index.ts';

export interface ReadingRow extends DerivedRow {
  point: string;
  parameter: string;
  at: number;
  value: number;
  pumped: number;
}
export const ReadingTable = new EntitySchema<ReadingRow>({
  name: 'readings',
  columns: { ...derived, point: text, parameter: text, at: integer, value: float, pumped: float },
});
