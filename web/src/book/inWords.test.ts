import { expect, it } from 'vitest';
import { inWords } from './inWords.ts';

it('shows a reading as it was typed, with its unit as printed', () => {
  expect(inWords({ visit: 'v', measuringPoint: 'North rim', depth: { text: '7,40', unit: 'm' }, water: 'static' })).toBe(
    'measuring point: North rim, depth: 7,40 m, water: static',
  );
  expect(inWords({ pumped: { text: '24', unit: 'L' }, values: { temperature: { text: '16.8', unit: 'degC' } } })).toBe(
    'pumped: 24 L, values: temperature: 16.8 °C',
  );
});

it('leaves out what nobody reads, and counts what is long', () => {
  expect(inWords({ visit: 'v', sha256: 'abc', name: 'r.csv' })).toBe('name: r.csv');
  expect(inWords({ results: Array.from({ length: 29 }, (_, line) => ({ line })) })).toBe('results: 29 items');
  expect(inWords({ bottles: ['A', 'B'] })).toBe('bottles: A; B');
  expect(inWords(null)).toBe('null');
});
