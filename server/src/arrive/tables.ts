import { EntitySchema } from 'typeorm';
import { derived, integer, text, type DerivedRow } from '../store/index.ts';

export interface ArrivalRow extends DerivedRow {
  point: string;
  at: number;
  /** JSON: the hazards that were seen. */
  hazards: string;
  /** JSON: the faults that were found, and what was done about each. */
  found: string;
  odd: string;
}
export const ArrivalTable = new EntitySchema<ArrivalRow>({
  name: 'arrivals',
  columns: { ...derived, point: text, at: integer, hazards: text, found: text, odd: text },
});
