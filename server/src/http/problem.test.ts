import { expect, it } from 'vitest';
import { z } from 'zod';
import { parsed, Problem } from './problem.ts';

it('an object that a check runs into is refused, and is no fault of the server', () => {
  const schema = z.object({ why: z.string().trim().min(3) });
  const hostile = { why: { length: { toString: 0 } } };
  expect(() => schema.safeParse(hostile)).toThrow(TypeError);
  expect(() => parsed(schema, hostile)).toThrow(Problem);
  expect(parsed(schema, { why: ' late ' })).toEqual({ why: 'late' });
});
