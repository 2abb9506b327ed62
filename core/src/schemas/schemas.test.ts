import { expect, it } from 'vitest';
import { z } from 'zod';
import './index.ts';

const message = (schema: z.ZodType, input: unknown) => schema.safeParse(input).error?.issues[0]?.message;

it.each([
  [z.string().min(1), undefined, 'Missing.'],
  [z.string().min(1), '', 'Missing.'],
  [z.string().min(3), 'ab', 'At least 3 letters.'],
  [z.string().max(2), 'abc', 'At most 2 letters.'],
  [z.number().min(0), -1, 'Cannot be less than 0.'],
  [z.number().max(5), 6, 'Cannot be more than 5.'],
  [z.number(), 'x', 'Not what is asked for here.'],
  [z.enum(['a', 'b']), 'c', 'Not one of the choices.'],
  [z.enum(['a', 'b']), undefined, 'Choose one.'],
  [z.array(z.string()).min(1), [], 'At least 1.'],
  [z.string().min(1, { error: 'Name it.' }), '', 'Name it.'],
])('says in words what a schema refuses: %#', (schema, input, expected) => expect(message(schema, input)).toBe(expected));
