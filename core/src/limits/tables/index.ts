import { shelf } from '../../editions/index.ts';
import { euDrinkingWater, euDrinkingWater2 } from './before/eu-2020-2184.ts';
import { usDrinkingWater, usDrinkingWater2 } from './before/us-40-cfr.ts';
import { whoGuidelines, whoGuidelines2 } from './before/who-gdwq.ts';
import { australianGuidelines } from './sets/australia.ts';
import { canadianGuidelines } from './sets/canada.ts';
import { englishRegulations } from './sets/england.ts';
import { euDrinkingWater3 } from './sets/eu.ts';
import { germanOrdinance } from './sets/germany.ts';
import { indianStandard } from './sets/india.ts';
import { irrigationGuidelines } from './sets/irrigation.ts';
import { livestockGuidelines } from './sets/livestock.ts';
import { newZealandStandards } from './sets/new-zealand.ts';
import { usDrinkingWater3 } from './sets/us.ts';
import { whoGuidelines3 } from './sets/who.ts';

/** Every edition of every set of limits. */
export const limitSets = shelf([
  euDrinkingWater,
  euDrinkingWater2,
  euDrinkingWater3,
  usDrinkingWater,
  usDrinkingWater2,
  usDrinkingWater3,
  whoGuidelines,
  whoGuidelines2,
  whoGuidelines3,
  canadianGuidelines,
  germanOrdinance,
  englishRegulations,
  indianStandard,
  newZealandStandards,
  australianGuidelines,
  irrigationGuidelines,
  livestockGuidelines,
]);
