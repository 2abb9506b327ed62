import type { Finding } from '@fonte/core/findings';
import { expect, it } from 'vitest';
import { isAnswered } from './useEntryForm.ts';

const question = (by: number, box = 'Cooler'): Finding => ({
  code: 'record-ahead',
  severity: 'question',
  field: 'recording',
  data: { by, box },
});

it('takes an answer for a question whose number moves with the clock, and for no other', () => {
  const answered = { questions: [question(1000)], values: 'a' };
  expect(isAnswered([question(940)], answered, 'a')).toBe(true);
  expect(isAnswered([question(1000)], answered, 'b')).toBe(true);
  // Something else was typed, and it asks about another number; another box; another question beside it.
  expect(isAnswered([question(940)], answered, 'b')).toBe(false);
  expect(isAnswered([question(1000, 'Blue box')], answered, 'a')).toBe(false);
  expect(isAnswered([question(1000), { ...question(5), code: 'record-above' }], answered, 'a')).toBe(false);
  expect(isAnswered([question(1000)], null, 'a')).toBe(false);
});
