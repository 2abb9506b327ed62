import type { ParameterId } from '../../parameters/index.ts';

/** What is a part of what else, so that there cannot be more of it; and what takes the part to the unit and form of the whole. */
export const partsOfWholes: readonly { part: ParameterId; whole: ParameterId; times?: number }[] = [
  { part: 'chromium6', whole: 'chromium' },
  { part: 'freeChlorine', whole: 'totalChlorine' },
  { part: 'calciumHardness', whole: 'hardness' },
  { part: 'alkalinityP', whole: 'alkalinity' },
  { part: 'freeCyanide', whole: 'cyanide' },
  { part: 'dissolvedOrganicCarbon', whole: 'organicCarbon' },
  { part: 'ecoli', whole: 'coliforms' },
  { part: 'unionisedAmmonia', whole: 'ammonium' },
];

/** How much more a part may be than the whole by the uncertainty of two measurements. Common practice. */
export const partMayBe = 1.2;
