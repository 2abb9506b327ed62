import type { Edition } from '../../editions/index.ts';
import type { ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';

/** `health`: over it the water is not safe to drink. `indicator`: over it something is to be looked into. */
export type LimitKind = 'health' | 'indicator';

export interface LimitRow {
  parameter: ParameterId;
  kind: LimitKind;
  most?: number;
  least?: number;
  unit: UnitId;
  /** Where it stands in the source. */
  place: string;
  note?: string;
  /** The first and last day, by sample date, on which this value holds. */
  from?: string;
  until?: string;
}

/** A sum of shares of limits that must not pass 1. */
export interface SumRule {
  id: string;
  name: string;
  shares: readonly { parameter: ParameterId; of: number; unit: UnitId }[];
  place: string;
}

export interface LimitSet extends Edition {
  name: string;
  rows: readonly LimitRow[];
  sums: readonly SumRule[];
}
