import { shelf } from '../../editions/index.ts';
import { euDrinkingWater } from './eu-2020-2184.ts';

/** Every edition of every set of limits. */
export const limitSets = shelf([euDrinkingWater]);
