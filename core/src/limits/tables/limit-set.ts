import type { Edition } from '../../editions/index.ts';
import type { ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';

/**
 * What a value is for. `health`: over it the water is not safe to drink. `action`: from it on the operator must act, judged
 * over a round of samples. `indicator`: over it something is to be looked into. `aesthetic`: over it people object to
 * taste, colour or stains.
 */
export const limitKinds = ['health', 'action', 'indicator', 'aesthetic'] as const;
export type LimitKind = (typeof limitKinds)[number];

/** One value. A parameter may have several in a set: one for health and one for taste. */
export interface LimitRow {
  parameter: ParameterId;
  kind: LimitKind;
  most?: number;
  least?: number;
  unit: UnitId;
  /** Where it stands in the source. */
  place: string;
  note?: string;
  /** What a number over it means for people. */
  says?: string;
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
  /** How numbers are compared with its values. */
  comparison?: string;
  sums: readonly SumRule[];
}

/** Makes rows of one kind that stand at one place of a source. */
export const rowsOf =
  (kind: LimitKind, place: string) =>
  (
    parameter: LimitRow['parameter'],
    unit: LimitRow['unit'],
    values: Pick<LimitRow, 'most' | 'least'>,
    more: Partial<LimitRow> = {},
  ): LimitRow => ({ kind, place, parameter, unit, ...values, ...more });
