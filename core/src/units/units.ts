import { z } from 'zod';
import { units, type Dimension, type UnitRow } from './tables/units.ts';

export type UnitId = keyof typeof units;
export type { Dimension };

export const unitIds = Object.keys(units) as [UnitId, ...UnitId[]];
export const UnitId = z.enum(unitIds);

/** The row of a unit: its dimension, its printed label and its factor to the base unit. */
export function unit(id: UnitId): UnitRow {
  return units[id];
}

/**
 * The printed form of a unit, such as `µg/L`.
 * @example unitLabel('uS/cm') // 'µS/cm'
 */
export function unitLabel(id: UnitId): string {
  return units[id].label;
}

/** All units of one dimension, in table order. */
export function unitsOf(dimension: Dimension): UnitId[] {
  return unitIds.filter((id) => units[id].dimension === dimension);
}

/** A number in `from` as a number in the base unit of its dimension (m, m³, m³/s, s, °C, mg/L, µS/cm …). */
export function toBase(value: number, from: UnitId): number {
  const row = unit(from);
  return value * row.factor + (row.offset ?? 0);
}

/**
 * A number in the base unit as a number in `to`.
 * @example fromBase(1, 'ft') // 3.28084
 */
export function fromBase(value: number, to: UnitId): number {
  const row = unit(to);
  return (value - (row.offset ?? 0)) / row.factor;
}

/**
 * Converts between two units of one dimension.
 * @throws RangeError when the dimensions differ: a programming error, callers check what a person typed.
 * @example convert(1, 'ft', 'm') // 0.3048
 */
export function convert(value: number, from: UnitId, to: UnitId): number {
  if (unit(from).dimension !== unit(to).dimension) throw new RangeError(`${from} is not convertible to ${to}`);
  return fromBase(toBase(value, from), to);
}
