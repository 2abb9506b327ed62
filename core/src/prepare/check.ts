import { inOwnUnit, parameter, type ParameterId } from '../parameters/index.ts';
import { instrumentKind, type InstrumentKind } from '../registers/index.ts';
import type { Typed } from '../units/index.ts';
import { checks, readWith, type CheckRow, type Tolerance } from './tables/checks.ts';

export type CheckId = keyof typeof checks;
export const checkIds = Object.keys(checks) as [CheckId, ...CheckId[]];
export const checkRow = (id: CheckId): CheckRow => checks[id];

/** The checks of a kind of instrument, in their order. */
export const checksOf = (kind: InstrumentKind): CheckId[] => checkIds.filter((id) => checks[id].kind === kind);

/**
 * The checks that a reading of these parameters rests on, on a day (`YYYY-MM-DD`): those of every reading of the instrument and those of
 * its range. Before ranges were told apart, all checks of the day stood for all readings.
 * @example checksFor('photometer', ['totalChlorine'], '2026-11-23') // ['photometer-total-zero', 'photometer-total-standard']
 */
export const checksFor = (kind: InstrumentKind, of: readonly ParameterId[], date: string): CheckId[] => {
  const asked = checksOf(kind).filter((id) => (checkRow(id).since ?? date) <= date);
  const areRangesApart = asked.some((id) => checkRow(id).since !== undefined);
  const bearing = asked.filter((id) => checkRow(id).of?.some((one) => of.includes(one)) ?? true);
  // What no check bears on is proven by none: all of them are asked for.
  return areRangesApart && bearing.length > 0 ? bearing : asked;
};

/**
 * What came of a check: it passes; it fails by the reading or the answer; or it proves nothing, as the standard was out of date, or is
 * one for another check.
 */
export type CheckOutcome = 'pass' | 'fail' | 'expired' | 'wrong-standard';

/** A check as it was made. */
export interface CheckMade {
  check: CheckId;
  /** What it should read, as typed or as the standard says. */
  nominal?: Typed | undefined;
  reading?: Typed | undefined;
  /** Of a check without a reading. */
  isGood?: boolean | undefined;
  standard?: { lot: string; expires: string } | undefined;
}

/** How far a reading may lie from a nominal value, in the parameter's own unit: the larger of the two bounds. */
export function allowed({ absolute = 0, relative = 0 }: Tolerance, nominal: number): number {
  return Math.max(absolute, Math.abs(relative * nominal));
}

/** Reading and nominal value are decimal numbers: a difference that is exactly the tolerance passes, whatever binary makes of it. */
const rounding = 1e-9;

/**
 * What comes of a check on a day (`YYYY-MM-DD`). A lot is good to the end of the day on which it expires.
 */
export function judgeCheck({ check, nominal, reading, isGood, standard }: CheckMade, on: string): CheckOutcome {
  const row = checkRow(check);
  if (standard && standard.expires < on) return 'expired';
  if (!row.parameter) return isGood === true ? 'pass' : 'fail';
  if (!reading) return 'fail';
  // The standard that was chosen is what it is held against, and not the one that the check is called by.
  const should = nominal ? inOwnUnit(row.parameter, nominal) : row.nominal;
  if (should === undefined) return 'fail';
  if (row.standards && !row.standards.some(([from, to]) => should >= from && should <= to)) return 'wrong-standard';
  const off = Math.abs(inOwnUnit(row.parameter, reading) - should);
  return off <= allowed(row.tolerance ?? {}, should) + rounding ? 'pass' : 'fail';
}

/** The unit in which a check is read. */
export const unitOf = (id: CheckId) => {
  const { parameter: read } = checkRow(id);
  return read ? parameter(read).unit : null;
};

/** A check with the kind it is of: `Photometer: zero`. */
export const checkName = (id: CheckId): string =>
  `${instrumentKind(checkRow(id).kind).name}: ${checkRow(id).name.toLowerCase().replace(/^ph/, 'pH')}`;

/** What a parameter is read with at a tap; null where nothing of the register is meant. */
export const instrumentFor = (id: ParameterId): InstrumentKind | null => readWith[id] ?? null;
