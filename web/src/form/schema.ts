import type { UnitId } from '@fonte/core/units';
import { z } from 'zod';

/** What the schema of a payload says of one of its fields. */
export interface FieldFacts {
  /** What the field is called. */
  title?: string;
  /** The units it is typed in, the usual one first. */
  units?: readonly UnitId[];
  /** Letters at most. */
  most?: number;
  /** It may stay empty. */
  isOptional: boolean;
}

type Part = z.ZodType & { meta: () => Record<string, unknown> | undefined };

/** What a wrapper such as `optional` is around; null for what is no wrapper. */
function inside(schema: z.ZodType): z.ZodType | null {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable || schema instanceof z.ZodDefault)
    return schema.unwrap() as z.ZodType;
  return schema instanceof z.ZodPipe ? (schema.in as z.ZodType) : null;
}

function child(schema: z.ZodType, key: string | number): z.ZodType | undefined {
  const wrapped = inside(schema);
  if (wrapped) return child(wrapped, key);
  if (schema instanceof z.ZodObject) return (schema.shape as Record<string, z.ZodType>)[key];
  if (schema instanceof z.ZodArray) return schema.element as z.ZodType;
  if (schema instanceof z.ZodRecord) return (schema.valueType as z.ZodType).optional();
  // Every option that has the field says the same of it.
  if (schema instanceof z.ZodUnion) return (schema.options as z.ZodType[]).flatMap((option) => child(option, key) ?? [])[0];
  return undefined;
}

/** What a schema says of the field at a path; nothing but that it must be there where it has none such. */
export function fieldAt(schema: z.ZodType, path: readonly (string | number)[]): FieldFacts {
  let part: z.ZodType | null | undefined = path.reduce<z.ZodType | undefined>((found, key) => found && child(found, key), schema);
  const facts: FieldFacts = { isOptional: part instanceof z.ZodOptional || part instanceof z.ZodDefault };
  for (; part; part = inside(part)) {
    const { title, units } = (part as Part).meta() ?? {};
    if (typeof title === 'string') facts.title ??= title;
    if (Array.isArray(units)) facts.units ??= units as UnitId[];
    if (part instanceof z.ZodString && part.maxLength !== null) facts.most ??= part.maxLength;
  }
  return facts;
}
