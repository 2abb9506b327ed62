import { shelf } from '../../editions/index.ts';
import { euDrinkingWater, euDrinkingWater2 } from './eu-2020-2184.ts';
import { usDrinkingWater, usDrinkingWater2 } from './us-40-cfr.ts';
import { whoGuidelines, whoGuidelines2 } from './who-gdwq.ts';

/** Every edition of every set of limits. */
export const limitSets = shelf([euDrinkingWater, euDrinkingWater2, usDrinkingWater, usDrinkingWater2, whoGuidelines, whoGuidelines2]);
