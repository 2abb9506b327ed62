import type { Edition } from '../../editions/index.ts';
import { conductivityFrom20, perPart, type ParameterId } from '../../parameters/index.ts';
import { limitKinds, type LimitKind } from '../../registers/index.ts';
import type { UnitId } from '../../units/index.ts';

export { limitKinds, type LimitKind };

/** What a value may depend on besides the number: whose water it is and where it is taken. */
export interface LimitPlace {
  /** The kind of point, by its id in the register: `entry-point`. */
  kind: string;
  /** Whether germs are kept down in it: treated or disinfected. */
  isTreated: boolean;
}

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
  /** The only kinds of points at which it holds; at every one where it is left out. */
  at?: readonly string[];
  /** It holds only for water that is treated, or only for water that is not. */
  isTreated?: boolean;
}

/**
 * A sum of shares of limits that must not pass 1. Where all shares are of one value it is a plain sum. `unseen` says what counts of a part
 * that was looked for and not seen: anything up to its bound, or nothing. Of an open list the parts that a lab does not report do not matter.
 */
export interface SumRule {
  id: string;
  name: string;
  shares: readonly { parameter: ParameterId; of: number; unit: UnitId }[];
  place: string;
  unseen?: 'none';
  isOpen?: true;
  kind?: LimitKind;
  says?: string;
  from?: string;
  until?: string;
}

export interface LimitSet extends Edition {
  name: string;
  rows: readonly LimitRow[];
  /**
   * A number meets a value only where it does so with the uncertainty that the lab states added to it: a guard band of one expanded uncertainty
   * (ILAC-G8:09/2019, from memory). Simple acceptance where it is left out: the number itself decides.
   */
  isGuarded?: true;
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

/** Makes rows of one kind and place from upper values in one unit. */
export const listOf = (
  kind: LimitKind,
  place: string,
  unit: UnitId,
  values: Partial<Record<ParameterId, number>>,
  more: Partial<LimitRow> = {},
): LimitRow[] =>
  (Object.entries(values) as [ParameterId, number][]).map(([parameter, most]) => ({ kind, place, parameter, unit, most, ...more }));

/** A sum of concentrations, all held to one value. */
export const plainSum = (rule: Omit<SumRule, 'shares'>, parameters: readonly ParameterId[], most: number, unit: UnitId): SumRule => ({
  ...rule,
  shares: parameters.map((parameter) => ({ parameter, of: most, unit })),
});

/** What takes a value that a text gives as nitrogen to the ion. */
export const asIon = { nitrate: perPart('NO3', 'N'), nitrite: perPart('NO2', 'N'), ammonium: perPart('NH4', 'N') } as const;

export { conductivityFrom20 };
