import { isCounted, parameter, type ParameterId } from '../../parameters/index.ts';
import { convert } from '../../units/index.ts';
import { fitting, into } from '../cells/into.ts';
import type { CalledUnit } from '../cells/names.ts';
import { bareFlag, saysNotFound, type CellStyle } from '../cells/value.ts';
import type { LabResult } from '../entries.ts';
import type { Unread } from '../shape/table.ts';
import type { ConfirmCode } from '../tables/to-confirm.ts';
import { splitUnit, type Reader, type RowContext } from './context.ts';
import { isUnusual } from './unusual.ts';

/** The lab's limits beside a result, in the parameter's own unit, with the units that they are printed in. */
export interface OwnLimits {
  reported: number | null;
  seen: number | null;
  units: readonly (CalledUnit | null)[];
}

/**
 * Reads the limits of a row. What the lab could see decides what a number says: a limit that cannot be read is no limit of nothing.
 * @param inOwn what takes a number in the unit of the result to the parameter's own
 */
export function limitsOf(
  id: ParameterId,
  found: CalledUnit | null,
  inOwn: (number: number) => number,
  { cell, fail }: Reader,
  { words, headed }: RowContext,
): OwnLimits | Unread {
  const inColumn = cell('limitUnit') === '' ? null : words.unit(cell('limitUnit'));
  const own: (number | null)[] = [];
  const units: (CalledUnit | null)[] = [];
  for (const role of ['reportingLimit', 'detectionLimit'] as const) {
    const limit = words.limit(cell(role));
    if (limit.code) return fail(role, limit.code);
    const headedBy = headed[role];
    const unit = limit.value === null ? null : (limit.unit ?? inColumn ?? (headedBy === '%' ? null : headedBy) ?? null);
    // A limit may stand in a unit of its own; what it is expressed as is that of the result, where it does not say.
    const taken = unit && found && unit.unit !== found.unit ? into(id, fitting(id, unit), unit.as ?? found.as) : { inOwn };
    if (!('inOwn' in taken)) return fail('reportingLimit', 'limit-unit');
    own.push(limit.value === null ? null : taken.inOwn(limit.value));
    units.push(unit);
  }
  const [reported, seen] = own as [number | null, number | null];
  if (reported !== null && seen !== null && seen > reported * (1 + 1e-9)) return fail('detectionLimit', 'limits-swapped');
  return { reported, seen, units };
}

/**
 * What a word says beside which no number and no limit stands. A germ that was looked for and not found in the 100 mL that are asked for, or
 * in more, is none; of a chemical it is a bound that nobody stated.
 */
export function formWithout(
  form: LabResult['form'],
  { reported }: OwnLimits,
  id: ParameterId,
  found: CalledUnit | null,
  { cell }: Reader,
): LabResult['form'] {
  const own = parameter(id).unit;
  const isNone =
    reported === null &&
    found !== null &&
    isCounted(id) &&
    saysNotFound(cell('result'), cell('qualifier')) &&
    convert(1, found.unit, own) <= 1;
  return isNone ? 'absent' : form;
}

/** Limits that a cell names instead of a number: `< LD` is below the detection limit, `<LOQ` below that of quantification. */
const limitWords = {
  seen: /<\s*(?:LD|LOD|MDL|DL|LDM|NG)\b|\bBDL\b/i,
  reported: /<\s*(?:LQ|LOQ|RL|PQL|BG|LC|MRL)\b|\b(?:BRL|BQL|NQ)\b/i,
};

/** The bound that a cell names by a word, from the column of that limit and from no other; null where it names none or the column has none. */
export function namedBound(cells: readonly string[], { reported, seen }: OwnLimits, { bounds = {} }: CellStyle): number | null {
  for (const cell of cells) {
    const flag = bareFlag(cell);
    if (Object.hasOwn(bounds, flag)) return bounds[flag] === 'reported' ? reported : seen;
  }
  const said = cells.join(' ');
  if (limitWords.seen.test(said)) return seen;
  return limitWords.reported.test(said) ? reported : null;
}

/** What of a result contradicts the limits that stand beside it, all in the parameter's own unit. */
export function againstLimits(
  { parameter: id, form, value, estimated }: LabResult,
  isPrinted: boolean,
  { reported, seen }: OwnLimits,
): ConfirmCode | null {
  const limits = [reported, seen].filter((one) => one !== null);
  if (value === null || isCounted(id)) return null;
  // None of a substance at all: nobody can see that.
  if (form === 'value' && value === 0 && !estimated && parameter(id).kind !== 'physical') return 'under-own-limit';
  if (limits.length === 0) return null;
  const isUnder = (limit: number) => value < limit * (1 - 1e-9);
  if (form === 'value' && !estimated && isUnder(Math.min(...limits))) return 'under-own-limit';
  return form === 'below' && isPrinted && isUnder(Math.max(...limits)) ? 'bound-under-limit' : null;
}

/** A number in another unit than the lab's limits that nobody would expect, or far over the value that the lab holds it against. */
export function mayBeSlip(
  result: LabResult,
  from: Reader,
  limitUnits: readonly (CalledUnit | null | undefined)[],
  { words, inSeveralUnits }: RowContext,
  unit: CalledUnit | null,
): boolean {
  if (!unit || result.form !== 'value' || result.value === null) return false;
  const { reportingLimit } = result;
  const mayBeOther = isUnusual(result) || inSeveralUnits.has(result.parameter);
  if (mayBeOther && reportingLimit !== null && result.value > reportingLimit * farOverLimit) return true;
  if (!limitUnits.some((one) => one && one.unit !== unit.unit)) return false;
  const guide = splitUnit(from.cell('limit')) ? words.limit(from.cell('limit')) : null;
  const taken = guide?.value != null && guide.unit ? into(result.parameter, guide.unit, guide.unit.as) : null;
  const most = taken && 'inOwn' in taken ? taken.inOwn(guide!.value!) : Infinity;
  return isUnusual(result) || result.value > most * farOver;
}

/** So many times a lab's own value a number is rather in another unit. Common practice: units are a thousand apart. */
const farOver = 50;
/** So many times the lab's own limit what is unusual anyway, or in several units in this file, is rather in another unit. */
const farOverLimit = 1000;
