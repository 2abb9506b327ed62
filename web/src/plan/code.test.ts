import { expect, it } from 'vitest';
import { freeCode } from './code.ts';

it('takes the first free letter of the day, and none that is easily misread', () => {
  expect(freeCode('2026-11-23', [])).toBe('261123A');
  expect(freeCode('2026-11-23', ['261123A', '261123B', '261124C'])).toBe('261123C');
  const many = [...'ABCDEFGHIJKM'].map((letter) => `261123${letter}`);
  expect(freeCode('2026-11-23', many)).toBe('261123N');
});

it('still finds a code on a day with more rounds than letters', () => {
  const all = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => `261123${letter}`);
  const code = freeCode('2026-11-23', all);
  expect(all).not.toContain(code);
  expect(code).toMatch(/^[A-Z0-9]{3,10}$/);
});
