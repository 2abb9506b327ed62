import { parameter } from '../../parameters/index.ts';
import type { LabResult } from '../entries.ts';
import type { Role } from '../mapping.ts';
import type { CalledUnit } from '../cells/names.ts';
import { readValue, type CellValue } from '../cells/value.ts';
import { notAnalysed, type TableRow, type Unread } from '../shape/table.ts';
import { swapped } from './collected.ts';
import { toConfirm } from './confirm.ts';
import { reader, splitUnit, type Reader, type RowContext } from './context.ts';
import { againstLimits, formWithout, limitsOf, mayBeSlip, namedBound, type OwnLimits } from './limits.ts';
import { measuredIn, type Measured } from './measured.ts';
import { uncertaintyOf, withShare } from './uncertainty.ts';
import { intoOwn, unitOf } from './unit.ts';
import { stepOfDigits } from './unusual.ts';
import { anotherOnes, bottlesOf } from './whose.ts';

/** A row set apart: it was understood, and is no result of this round. */
export const apartCodes = ['quality', 'other-sample', 'note', 'same-again', 'not-chosen', 'not-analysed', 'left-out'] as const;

/** Reads one row. What it returns is a result; what was not understood, with its place; or a row set apart, by its code. */
export function readRow(row: TableRow, context: RowContext): LabResult | Unread {
  const from = reader(row, context.mapping);
  const { cell, fail } = from;
  if (row.cells.length < 2) return fail('sample', context.bottles.has(cell('sample')) ? 'few-cells' : 'note');
  const several = bottlesOf(from, context);
  if ('code' in several) return several;
  const measured = measuredIn(several, from, context);
  if ('code' in measured && measured.code === 'quality') return measured;
  const another = anotherOnes(row, from, context, several);
  if (another) return another;
  if ('code' in measured) return measured;
  if (notAnalysed.test(cell('result')) && cell('qualifier') === '') return fail('result', 'not-analysed');
  const result = numberOf(row, measured, from, context);
  return 'code' in result ? result : (swapped(from, measured.held, context) ?? result);
}

/** The number of a row, with its unit and the limits beside it. */
function numberOf(row: TableRow, measured: Measured, from: Reader, context: RowContext): LabResult | Unread {
  const { cell, fail } = from;
  const { style, mapping } = context;
  const { name } = measured;
  const split = splitUnit(cell('result'));
  const value = readValue(split?.number ?? cell('result'), cell('qualifier'), style);
  if (!value.ok) return fail('result', value.code, value.data);
  const found = unitOf(name, split?.unit ?? null, from, context);
  if (found && 'code' in found) return found;
  // A word needs no unit, unless a limit stands beside it that does.
  if (!found && (value.value !== null || cell('reportingLimit') !== '' || cell('detectionLimit') !== '')) return fail('unit', 'no-unit');
  const taken = intoOwn(name, found, mapping);
  if ('code' in taken) return fail('unit', taken.code, { ...(found ? { unit: found.unit } : {}), parameter: name.parameter });
  const limits = limitsOf(name.parameter, found, taken.inOwn, from, context);
  if ('code' in limits) return limits;
  const result = resultOf(row, measured, { value, found, limits, inOwn: taken.inOwn }, from, context);
  return 'code' in result ? result : (contradicted(result, value, found, limits, from, context) ?? result);
}

interface Number {
  value: CellValue;
  found: CalledUnit | null;
  limits: OwnLimits;
  inOwn: (number: number) => number;
}

/** A result in the parameter's own unit, with what the lab wrote beside it; or why it cannot be one. */
function resultOf(
  row: TableRow,
  { name, held, fraction }: Measured,
  { value, found, limits, inOwn }: Number,
  from: Reader,
  { style, headed }: RowContext,
): LabResult | Unread {
  const { cell, fail } = from;
  const { parameter: id } = name;
  const bound = value.form === 'below' ? namedBound([cell('result'), cell('qualifier')], limits, style) : null;
  const number = value.value === null ? bound : inOwn(value.value);
  const [least, most] = parameter(id).possible;
  if (number !== null && number < 0 && least >= 0) return fail('result', 'negative');
  if (number !== null && (number < least || number > most)) return fail('result', 'cannot-be', { parameter: id, value: number });
  const uncertainty = uncertaintyOf(value, withShare(cell('uncertainty'), headed.uncertainty), style);
  if (uncertainty === 'unread') return fail('uncertainty', 'not-an-uncertainty');
  return {
    line: row.line,
    bottle: held.label,
    parameter: id,
    ...(fraction ? { fraction } : {}),
    form: formWithout(value.form, limits, id, found, from),
    value: number,
    ...(value.inclusive ? { inclusive: true } : {}),
    estimated: value.estimated,
    ...(value.isLate ? { isLate: true as const } : {}),
    reportingLimit: limits.reported,
    ...(limits.seen === null ? {} : { detectionLimit: limits.seen }),
    ...(uncertainty ? { uncertainty: inOwn(uncertainty) } : {}),
    ...asWritten(name.unit !== null, cell),
  };
}

/** What stands in the cells of a row, cut to what is kept of it. */
function asWritten(isUnitInName: boolean, cell: Reader['cell']) {
  const written = (role: Role, most: number) => cell(role).slice(0, most);
  const optional = (key: string, text: string) => (text === '' ? {} : { [key]: text });
  return {
    ...optional('method', written('method', 200)),
    ...optional('labLimit', written('limit', 80)),
    ...optional('dilution', written('dilution', 40)),
    ...optional('analysed', written('analysed', 40)),
    written: {
      result: written('result', 200),
      unit: written('unit', 80) || (isUnitInName ? unitText(cell('parameter')) : ''),
      reportingLimit: written('reportingLimit', 80),
    },
  };
}

/** What of a row contradicts its number, where nobody has settled it. */
function contradicted(
  result: LabResult,
  { value, form }: CellValue,
  found: CalledUnit | null,
  limits: OwnLimits,
  from: Reader,
  context: RowContext,
): Unread | null {
  const { mapping } = context;
  const against = againstLimits(result, value !== null, limits);
  if (against) return toConfirm(from, mapping, 'result', against);
  const second = from.cell('secondResult');
  if (second !== '' && form === 'value' && value !== null && differs(second, from.cell('result'), value, context)) {
    const twice = toConfirm(from, mapping, 'result', 'two-columns', { other: second });
    if (twice) return twice;
  }
  if (value !== null && !isWithin(value, from, context)) {
    const outside = toConfirm(from, mapping, 'result', 'outside-interval');
    if (outside) return outside;
  }
  return mayBeSlip(result, from, limits.units, context, found) ? toConfirm(from, mapping, 'result', 'unit-slip') : null;
}

/** Whether a number lies in the interval that stands beside it; an end that is not there, or is no number, is no end. */
function isWithin(value: number, { cell }: Reader, { style, mapping }: RowContext): boolean {
  const { intervalFrom, intervalTo } = mapping.columns;
  if (intervalFrom === undefined && intervalTo === undefined) return true;
  const end = (role: Role) => {
    const read = readValue(cell(role), '', style);
    return read.ok ? read.value : null;
  };
  const [from, to] = [end('intervalFrom'), end('intervalTo')];
  return (from === null || value >= from) && (to === null || value <= to);
}

/** Whether another column of results says another number than this one, by more than it is rounded. */
function differs(text: string, printed: string, value: number, { style }: RowContext): boolean {
  const second = readValue(text, '', style);
  return second.ok && second.value !== null && Math.abs(second.value - value) > stepOfDigits(printed, value) / 2 + 1e-9;
}

/** The unit as it stands in a name. */
const unitText = (name: string) => (/[([]([^()[\]]*)[)\]]\s*$/.exec(name)?.[1] ?? name.split(/[\s,;_]+/).at(-1) ?? '').slice(0, 80);
