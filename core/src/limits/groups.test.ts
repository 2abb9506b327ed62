import { expect, it } from 'vitest';
import type { ParameterId } from '../parameters/index.ts';
import { groupsConcerned } from './index.ts';

const result = (parameter: ParameterId, value: number, form: 'value' | 'below' = 'value') => ({
  parameter,
  form,
  value,
  reportingLimit: null,
});
const concerned = (...results: ReturnType<typeof result>[]) => groupsConcerned(results).map(({ parameter }) => parameter);

// Typed from the texts (from memory): US EPA on sodium, 40 CFR 141.62 as nitrate, WHO Guidelines 2022 for the rest.
it.each([
  ['sodium', 20],
  ['nitrate', 10 * 4.4266],
  ['nitrite', 3],
  ['manganese', 80],
  ['copper', 2],
  ['fluoride', 1.5],
  ['sulfate', 500],
] as const)('%s over %f concerns some people more than others', (id, value) => {
  expect([concerned(result(id, value * 0.99)), concerned(result(id, value * 1.01))]).toEqual([[], [id]]);
});

it('is said of what is there, once, and not of a bound', () => {
  expect(concerned(result('sodium', 100, 'below'), result('calcium', 900))).toEqual([]);
  expect(concerned(result('sodium', 35), result('sodium', 36))).toEqual(['sodium']);
});
