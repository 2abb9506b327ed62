import { z } from 'zod';
import { UnitId } from '../units/index.ts';

/** One quantity that went into a calculation, in the unit it was used in. */
export const WorkingInput = z.object({
  symbol: z.string(),
  name: z.string(),
  value: z.number(),
  unit: UnitId,
  decimals: z.number().int().optional(),
});

/** How a number came about, so that a page can open it beside the number and a form can print it. */
export const Working = z.object({
  formula: z.string(),
  inputs: z.array(WorkingInput),
  steps: z.array(z.string()),
  source: z.string(),
});
export type Working = z.infer<typeof Working>;

/** A calculated value: `value` is in `unit`, which is a base unit unless the function says otherwise. */
export interface Computed {
  value: number;
  unit: UnitId;
  working: Working;
}
