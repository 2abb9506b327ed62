import { expect, it } from 'vitest';
import { usualResidualMinimum } from './index.ts';

it('a new point is offered 0.2 mg/L of free chlorine at the tap (WHO Guidelines, 4th ed., 5.4 and table of chlorine: at the point of delivery)', () => {
  expect(usualResidualMinimum).toBe(0.2);
});
