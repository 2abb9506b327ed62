import { fromBase, sayNumber, toBase, type Typed, type UnitId } from '@fonte/core/units';
import { readField } from '../units/decimal.ts';
import type { z } from 'zod';
import { fieldAt } from './schema.ts';
import { counterpart, type UnitSystem } from '../units/system.ts';
import { isPlain } from '../units/useDraft.ts';

/** What is wrong with a field: the path of its value, dotted. */
export interface FieldProblem {
  path: string;
  message: string;
}

/** What a form holds as what a schema asks for, and what is wrong with it before the schema has seen it. */
export interface Read {
  value: unknown;
  problems: FieldProblem[];
}

type Leaf = (value: Typed | string, path: string) => unknown;

const isTyped = (value: unknown): value is Typed =>
  typeof value === 'object' && value !== null && typeof (value as Typed).text === 'string' && typeof (value as Typed).unit === 'string';

/** Every typed quantity and text of a form as `leaf` has it; what it makes undefined is left out. */
function mapLeaves(value: unknown, leaf: Leaf, path = ''): unknown {
  if (isTyped(value) || typeof value === 'string') return leaf(value, path);
  if (typeof value !== 'object' || value === null) return value;
  const below = (key: string | number, inner: unknown) => mapLeaves(inner, leaf, path === '' ? String(key) : `${path}.${key}`);
  if (Array.isArray(value)) return value.map((inner, index) => below(index, inner));
  const entries = Object.entries(value).map(([key, inner]) => [key, below(key, inner)] as const);
  return Object.fromEntries(entries.filter(([, inner]) => inner !== undefined));
}

/**
 * A form whose schema keeps numbers: typed quantities in base units. An empty one is left out, as is an empty text; what is no
 * number is a problem at its field.
 * @param isNumber the paths of texts that hold numbers without a unit
 */
export function inBase(values: unknown, isNumber?: RegExp): Read {
  const problems: FieldProblem[] = [];
  const value = mapLeaves(values, (one, path) => {
    if (typeof one === 'string' && !isNumber?.test(path)) return one === '' ? undefined : one;
    const { text, unit } = typeof one === 'string' ? { text: one, unit: null } : one;
    if (text.trim() === '') return undefined;
    const reading = readField(text);
    if (reading.ok) return unit ? toBase(reading.value, unit) : reading.value;
    problems.push({ path, message: sayNumber(reading) });
    return undefined;
  });
  return { value, problems };
}

/**
 * A form whose schema keeps quantities as they were typed. What may stay empty and is, is left out; what is no number is a
 * problem at its field.
 */
export function asTyped(values: unknown, schema: z.ZodType): Read {
  const problems: FieldProblem[] = [];
  const value = mapLeaves(values, (one, path) => {
    const isEmpty = (typeof one === 'string' ? one : one.text).trim() === '';
    if (isEmpty && fieldAt(schema, nameOf(path)).isOptional) return undefined;
    if (typeof one === 'string') return one;
    const reading = readField(one.text);
    if (reading.ok) return one;
    problems.push({ path, message: sayNumber(reading, one.unit) });
    return undefined;
  });
  return { value, problems };
}

/** A form whose empty quantities are typed in the units of a system from now on, where their field takes them. */
export function withEmptyIn<T>(values: T, schema: z.ZodType, system: UnitSystem): T {
  return mapLeaves(values, (one, path) => {
    if (typeof one === 'string' || one.text.trim() !== '') return one;
    const unit = counterpart(one.unit, system);
    return fieldAt(schema, nameOf(path)).units?.includes(unit) ? { ...one, unit } : one;
  }) as T;
}

/** The name by which Ant Design's form knows a dotted path. */
export const nameOf = (path: string): (string | number)[] => path.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part));

/**
 * The field at which a problem is shown: the one of its path, the one that holds what the path is in (`depth.text` is at
 * `depth`), or the first of those within it; undefined where the form shows none of them.
 */
export function fieldOf(path: string, fields: readonly string[]): string | undefined {
  return (
    fields.find((field) => field === path) ??
    fields.filter((field) => path.startsWith(`${field}.`)).sort((a, b) => b.length - a.length)[0] ??
    fields.find((field) => field.startsWith(`${path}.`))
  );
}

/**
 * The empty form for the next entry, with what was typed into it while the one before was still being kept: the next one has
 * begun, and is not wiped away. What stands as it was sent is not typed anew, and goes.
 */
export function withTyped<T>(sent: T, now: T, empty: T): T {
  if (JSON.stringify(now) === JSON.stringify(sent)) return empty;
  if (!isPlain(now) || !isPlain(sent)) return now;
  const blank: Record<string, unknown> = isPlain(empty) ? empty : {};
  const keys = new Set([...Object.keys(blank), ...Object.keys(now)]);
  const merged = [...keys].map(
    (key) => [key, withTyped((sent as Record<string, unknown>)[key], (now as Record<string, unknown>)[key], blank[key])] as const,
  );
  return Object.fromEntries(merged.filter(([, value]) => value !== undefined)) as T;
}

/** What a form shows of a number in base units: as many digits as it needs to come back as it was. */
export const typedOf = (value: number | undefined, unit: UnitId): Typed => ({
  text: value === undefined ? '' : String(Number(fromBase(value, unit).toFixed(6))),
  unit,
});
