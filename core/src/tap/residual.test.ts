import { expect, it } from 'vitest';
import { usualResidualMinimum } from './index.ts';

it('a new point is offered 0.2 mg/L of free chlorine at the tap (WHO Guidelines: at the point of delivery, from memory)', () => {
  expect(usualResidualMinimum).toBe(0.2);
});
