import { z } from 'zod';
import { readNumber } from './numbers.ts';
import { fromBase, toBase, unit, UnitId, unitLabel, unitsOf, type Dimension } from './units.ts';

/**
 * A quantity exactly as somebody typed it. The text is the record, so 7.40 stays 7.40; the number in base units is
 * derived from it with {@link base}.
 */
export const Typed = z.object({
  text: z
    .string()
    .max(40)
    // What is built around it asks for its number: it is not asked at all where there is none.
    .refine((text) => readNumber(text).ok, { error: 'Not a number.', abort: true }),
  unit: UnitId,
});
export type Typed = z.infer<typeof Typed>;

/** How a field of a form is called, and the units it is typed in, the usual one first. */
interface FieldMeta {
  title?: string;
  units?: readonly UnitId[];
}

/** A {@link Typed} of one dimension, refused outside `min`..`max` in base units. */
export function typedOf(dimension: Dimension, { title, units, ...range }: { min?: number; max?: number } & FieldMeta = {}) {
  return Typed.superRefine((typed, issues) => {
    if (unit(typed.unit).dimension !== dimension) {
      issues.addIssue({
        code: 'custom',
        path: ['unit'],
        message: `${unitLabel(typed.unit)} is not a unit of ${dimension}.`,
        continue: false,
      });
      return;
    }
    const value = base(typed);
    if (range.min !== undefined && value < range.min) {
      issues.addIssue({ code: 'custom', path: ['text'], message: `Cannot be less than ${inUnit(range.min, typed.unit)}.` });
    }
    if (range.max !== undefined && value > range.max) {
      issues.addIssue({ code: 'custom', path: ['text'], message: `Cannot be more than ${inUnit(range.max, typed.unit)}.` });
    }
  }).meta({ ...(title ? { title } : {}), units: units ?? unitsOf(dimension) });
}

function inUnit(value: number, id: UnitId): string {
  return `${showNumber(fromBase(value, id), 2)} ${unitLabel(id)}`.trim();
}

/**
 * The typed quantity in base units.
 * @throws RangeError when the text is no number: schemas refuse such text before it gets here.
 * @example base({ text: '10', unit: 'ft' }) // 3.048
 */
export function base(typed: Typed): number {
  const reading = readNumber(typed.text);
  if (!reading.ok) throw new RangeError(reading.code);
  return toBase(reading.value, typed.unit);
}

/** How many decimals were typed. */
export function decimalsOf(typed: Typed): number {
  const reading = readNumber(typed.text);
  return reading.ok ? reading.decimals : 0;
}

/**
 * The same quantity in another unit of its dimension, with as many decimals as keep what was typed.
 * @throws RangeError where the text is no number, or the unit is of another dimension
 * @example convertTyped({ text: '7.40', unit: 'm' }, 'ft') // { text: '24.28', unit: 'ft' }
 */
export function convertTyped(typed: Typed, to: UnitId): Typed {
  if (unit(typed.unit).dimension !== unit(to).dimension) throw new RangeError('other dimension');
  const inTo = (value: number) => fromBase(toBase(value, typed.unit), to);
  const finer = Math.ceil(-Math.log10(Math.abs(inTo(1) - inTo(0))) - 1e-9);
  const decimals = Math.min(15, Math.max(0, decimalsOf(typed) + finer));
  return { text: fromBase(base(typed), to).toFixed(decimals), unit: to };
}

/**
 * `7.40 m`: the text as typed with its unit.
 * @example showTyped({ text: '7.40', unit: 'm' }) // '7.40 m'
 */
export function showTyped(typed: Typed): string {
  return `${typed.text.trim()} ${unitLabel(typed.unit)}`.trim();
}

/**
 * A number for people: fixed decimals, with a true minus sign, and no minus before a rounded zero.
 * @example showNumber(1234.5, 2) // '1234.50'
 */
export function showNumber(value: number, decimals: number): string {
  const fixed = value.toFixed(decimals);
  const isZero = Number(fixed) === 0;
  return fixed.startsWith('-') ? (isZero ? fixed.slice(1) : `−${fixed.slice(1)}`) : fixed;
}

/**
 * A number with the digits that it has, six at most: a limit of 0.5 or of 100, a sum of 0.0875.
 * @example showExact(0.1 + 0.2) // '0.3'
 */
export function showExact(value: number): string {
  const [, decimals = ''] = Number(value.toPrecision(6)).toFixed(12).replace(/0+$/, '').split('.');
  return showNumber(value, decimals.length);
}

/** A base-unit number shown in a unit: `show(0.0127, 'mm', 1)` is `12.7 mm`. */
export function show(value: number, id: UnitId, decimals: number): string {
  return `${showNumber(fromBase(value, id), decimals)} ${unitLabel(id)}`.trim();
}
