import { shelf } from '../../editions/index.ts';
import { euDrinkingWater } from './eu-2020-2184.ts';
import { usDrinkingWater } from './us-40-cfr.ts';
import { whoGuidelines } from './who-gdwq.ts';

/** Every edition of every set of limits. */
export const limitSets = shelf([euDrinkingWater, usDrinkingWater, whoGuidelines]);
