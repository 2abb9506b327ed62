import fc from 'fast-check';
import type { z } from 'zod';
import { unitIds } from '../src/units/index.ts';

/** What people, foreign clients and old versions put where a text is expected. */
const texts = fc.oneof(
  { weight: 3, arbitrary: fc.constantFrom('7.4', '12', '0', '-3', '1,050', '7,4', '1e3', '4.2') },
  {
    weight: 2,
    arbitrary: fc.constantFrom('', ' ', 'abc', '12\' 7"', '.', '-', '1e999', 'NaN', '٣', '1.234.567', '7..4', '\u00a0', '½', '0x10'),
  },
  { weight: 2, arbitrary: fc.constantFrom('2026-11-23', '2026-02-30', '2026-11-23T10:00:00.000Z', '0000-00-00', '24:00', '09:30', '7:61') },
  { weight: 2, arbitrary: fc.constantFrom('Atlantic/Azores', 'UTC', 'Nowhere/Zone', 'constructor', '__proto__', 'toString') },
  { weight: 2, arbitrary: fc.uuid() },
  { weight: 1, arbitrary: fc.constantFrom('a'.repeat(64), 'f'.repeat(64), 'A-1', '261123A-MW3-G', 'North rim') },
  { weight: 1, arbitrary: fc.string({ maxLength: 12 }) },
);
const numbers = fc.oneof(
  fc.constantFrom(0, 1, 2, 3, 7.4, 100, -1, 1e9, 1e-9, 2 ** 53, 0.1 + 0.2),
  fc.integer({ min: -5, max: 400 }),
  fc.double({ noNaN: true, noDefaultInfinity: true }),
);
const wild = fc.oneof(fc.jsonValue({ maxDepth: 2 }), fc.constantFrom(null, '', [], {}, 0, false, 'constructor'));

type Def = { type: string } & Record<string, unknown>;
const defOf = (schema: z.ZodType) => (schema as unknown as { _zod: { def: Def } })._zod.def;

/** Of the shape that a schema asks for; what its refinements ask for holds by luck. */
function shaped(schema: z.ZodType): fc.Arbitrary<unknown> {
  const def = defOf(schema);
  const inner = () => payloadOf(def['innerType'] as z.ZodType);
  switch (def.type) {
    case 'object': {
      const shape = def['shape'] as Record<string, z.ZodType>;
      // A unit that exists, more often than luck would have it.
      const isTyped = 'text' in shape && 'unit' in shape;
      return fc.record(
        Object.fromEntries(
          Object.entries(shape).map(([key, part]) => [key, isTyped && key === 'unit' ? fc.constantFrom(...unitIds) : payloadOf(part)]),
        ),
        { requiredKeys: Object.keys(shape).filter((key) => !['optional', 'default'].includes(defOf(shape[key]!).type)) },
      );
    }
    case 'array':
      return fc.array(payloadOf(def['element'] as z.ZodType), { maxLength: 3 });
    case 'tuple':
      return fc.tuple(...(def['items'] as z.ZodType[]).map(payloadOf));
    case 'record':
      return fc.dictionary(shaped(def['keyType'] as z.ZodType) as fc.Arbitrary<string>, payloadOf(def['valueType'] as z.ZodType), {
        maxKeys: 3,
      });
    case 'union':
      return fc.oneof(...(def['options'] as z.ZodType[]).map(payloadOf));
    case 'enum':
      return fc.constantFrom(...Object.values(def['entries'] as Record<string, string>));
    case 'literal':
      return fc.constantFrom(...(def['values'] as unknown[]));
    case 'optional':
    case 'default':
    case 'prefault':
      return fc.oneof({ weight: 2, arbitrary: inner() }, { weight: 1, arbitrary: fc.constant(undefined) });
    case 'nullable':
      return fc.oneof({ weight: 2, arbitrary: inner() }, { weight: 1, arbitrary: fc.constant(null) });
    case 'readonly':
    case 'catch':
      return inner();
    case 'pipe':
      return payloadOf(def['in'] as z.ZodType);
    case 'lazy':
      return wild;
    case 'string':
      return texts;
    case 'number':
    case 'int':
      return numbers;
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    default:
      return wild;
  }
}

/** Payloads for a schema: mostly of its shape with whatever texts and numbers, now and then of none. */
export function payloadOf(schema: z.ZodType): fc.Arbitrary<unknown> {
  return fc.oneof({ weight: 24, arbitrary: shaped(schema) }, { weight: 1, arbitrary: wild });
}
